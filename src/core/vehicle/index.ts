export { detailKinds, detailsOf } from './drawing';
export type { Detail, DetailKind } from './drawing';
export { mirrored } from './mirror';
export { defaultDimensions } from './template';
export { zonesOf } from './zones';
