/** The only door into the core. */
export * from './units';
export * from './model';
export * from './assumptions';
export * from './reasons';
export { areaOf, bodyTemplates, centroidOf, defaultDimensions, mirrored, zonesOf } from './vehicle';
export { grainOf, hardShareOf, loadOfLevel } from './soil';
export type { SoilState } from './soil';
export {
  airOn,
  freezeTimeS,
  holdUp,
  leastLiquidC,
  openTimeS,
  saturationPa,
  skinCapacity,
  skins,
  startC,
  steadyPanelC,
} from './surface';
export type { Observed, Skin, Wetting } from './surface';
export { settlingMs } from './bucket/settling';
export { lubrication, marringIndex, limitOf, sensitivityOf } from './method/marring';
export type { Contacting, Marring } from './method/marring';
export type { Kit } from './method/kit';
export type { Option, Usage } from './method/option';
export type { BlockedZone, Shortage } from './method/choose';
export * from './mix';
export * from './towel';
export { runStages, stepKinds } from './schedule';
export type { RunStage, Step, StepKind, Timeline } from './schedule';
export { planJob } from './plan/plan-job';
export type { Alternative, Plan, Totals, ZonePlan } from './plan/plan';
export * from './edit';
export { sectionsOf } from './method/drying-window';
export { runRows } from './plan/run-rows';
export type { RunRow, SideAt } from './plan/run-rows';
export { indexOf } from './method/index-of';
export type { IndexAnswer, IndexQuestion } from './method/index-of';
export { whatIf, withChange } from './plan/what-if';
export type { Change, WhatIf } from './plan/what-if';
