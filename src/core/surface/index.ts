export { holdUp, runoffOf } from './hold-up';
export { mixingTemperature, skinHeatCapacity } from './skin';
