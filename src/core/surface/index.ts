export { holdUp, runoffOf } from './hold-up';
export { saturationPa } from './air';
export { coldestPanelC, freezeTimeS, leastLiquidC, openTimeS, startC, steadyPanelC } from './drying';
export type { Wetting } from './drying';
export { airOn, skinCapacity, skinOf, skins } from './panel';
export type { Observed, Skin } from './panel';
export { Panel, panelsOf } from './wet-panel';
