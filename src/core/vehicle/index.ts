export { detailsOf } from './drawing';
export type { Detail } from './drawing';
export { mirrored } from './mirror';
export { isInScope, outOfScope, scopePartOf } from './scope';
export { defaultDimensions } from './template';
export { zonesOf } from './zones';
