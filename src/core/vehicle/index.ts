export { detailsOf } from './drawing';
export type { Detail } from './detail';
export { mirrored } from './mirror';
export { hiddenInScope, isInScope, outOfScope, scopePartOf, zonesIn } from './scope';
export { defaultDimensions } from './template';
export { zonesOf } from './zones';
