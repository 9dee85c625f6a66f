export { zonesOf } from './zones';
export { mirrored } from './mirror';
export { bodyTemplates, defaultDimensions } from './template';
export { areaOf, centroidOf } from './polygon';
