export { grainOf, hardShareOf, loadOfLevel } from './kinds';
export { soilOn, totalLoad } from './zone-soil';
export type { Load, SoilState } from './zone-soil';
