export { alongDevice, slopeUnder, throughCamera } from './attitude';
export type { Attitude, Bearing } from './attitude';
export { clearSkyWm2, sunAtSite, sunOnPanel } from './irradiance';
export { sunAt } from './position';
export type { SunPosition } from './position';
export { shadedHours, skylineAt } from './skyline';
