export { grainOf, hardShareOf, levelOfLoad, loadOfLevel } from './kinds';
export { seenBesideForecast } from './seen';
export { forecastOn } from './forecast';
export { soilOn, totalLoad } from './zone-soil';
export type { Load, SoilBasis, SoilState } from './zone-soil';
