export { clearSkyWm2, sunOnPanel } from './irradiance';
export { sunAt } from './position';
export type { SunPosition } from './position';
