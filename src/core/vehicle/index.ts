export { detailsOf } from './drawing';
export type { Detail } from './drawing';
export { mirrored } from './mirror';
export { defaultDimensions } from './template';
export { zonesOf } from './zones';
