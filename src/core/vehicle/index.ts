export { mirrored } from './mirror';
export { defaultDimensions } from './template';
export { zonesOf } from './zones';
