export { freezeTimeS, openTimeS, startC, steadyPanelC } from './drying';
export type { Wetting } from './drying';
export { runoffOf } from './hold-up';
export { airOn, skinCapacity, skins } from './panel';
export type { Skin } from './panel';
export { Panel, panelsOf } from './wet-panel';
