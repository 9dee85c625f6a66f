export { detailsOf } from './drawing';
export type { Detail } from './detail';
export { mirrored } from './mirror';
export { hiddenZonesOf } from './hidden';
export { hiddenInScope, isInScope, outOfScope, scopePartOf, zonesIn } from './scope';
export { defaultDimensions } from './template';
export { zonesOf } from './zones';
