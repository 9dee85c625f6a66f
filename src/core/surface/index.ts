export { freezeTimeS, openTimeS, startC, steadyPanelC } from './drying';
export type { Later, Wetting } from './drying';
export { runoffOf } from './hold-up';
export { airOn, skinCapacity, skins } from './panel';
export type { Skin } from './panel';
export { NO_FROST_C, Panel, panelsOf } from './wet-panel';
