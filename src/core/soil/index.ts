export { byEye } from './by-eye';
export { forecastOn } from './forecast';
export { grainOf, hardShareOf, levelOfLoad, loadOfLevel, seenLoad } from './kinds';
export { totalLoad } from './load';
export type { Load } from './load';
export { seenBesideForecast } from './seen';
export { soilOn } from './zone-soil';
export type { SoilBasis, SoilState } from './zone-soil';
