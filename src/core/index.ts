/** The only door into the core. */
export * from './units';
export * from './model';
export * from './assumptions';
export * from './reasons';
export { areaOf, bodyTemplates, centroidOf, defaultDimensions, mirrored, zonesOf } from './vehicle';
export { forecastOn, grainOf, hardShareOf, levelOfLoad, loadOfLevel, soilOn } from './soil';
export type { Load, SoilBasis, SoilState } from './soil';
export { clearSkyWm2, sunAt, sunOnPanel } from './sun';
export type { SunPosition } from './sun';
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
export { settlingMs } from './bucket';
export type { BucketName, BucketRun, BucketState, Dip } from './bucket';
export { bucketSpread, compareBuckets, crossingsOf, runBuckets } from './plan/buckets';
export type { BucketSpread, Crossing, SystemRun } from './plan/buckets';
export { afterwards } from './plan/after';
export type { Afterwards, Keeping, LaundryLoad, LeftOver } from './plan/after';
export { carryOf } from './plan/carry';
export type { Carry, Enough, EnoughMix, EnoughTowels } from './plan/carry';
export type { Spread } from './chance';
export { criticalPath } from './schedule';
export { lubrication, marringIndex, limitOf, sensitivityOf } from './method/marring';
export type { Contacting, Marring } from './method/marring';
export type { Kit } from './method/kit';
export type { Begun, BegunZone, Spent } from './method/begun';
export type { SpotPlan } from './method/spots';
export { choicesOf } from './method/habits';
export { coolingTimeS, cooledC, minutesAbove } from './mix/cooling';
export type { Option, Usage } from './method/option';
export type { BlockedZone, Shortage } from './method/choose';
export * from './mix';
export * from './towel';
export { runStages, stepKinds } from './schedule';
export type { RunStage, Step, StepKind, Timeline } from './schedule';
export { planJob } from './plan/plan-job';
export { panelAt } from './plan/panel-at';
export { weighZone } from './plan/weigh-zone';
export type { Alternative, Plan, Totals, ZonePlan } from './plan/plan';
export * from './edit';
export { runRows } from './plan/run-rows';
export type { RunRow, SideAt } from './plan/run-rows';
export { indexOf } from './method/index-of';
export type { IndexAnswer, IndexQuestion } from './method/index-of';
export { whatIf, withChange } from './plan/what-if';
export type { Change, WhatIf } from './plan/what-if';
export { habitAnswers, whatMattered } from './plan/what-mattered';
export type { Mattered } from './plan/what-mattered';
export type { Outcome } from './plan/outcome';
export { ordersOf } from './plan/orders';
export type { Ordering, RunOrdering } from './plan/orders';
export { dayAfter, lastsOf, nextVisitOf, usualLeg } from './plan/next-visit';
export type { Lasts, LowWater, NextVisit, Until, ZoneLasts } from './plan/next-visit';
export * from './run';
export * from './learn';
export * from './log';
export * from './shelf';
export { claimsOf } from './plan/claims';
export type { Claim } from './plan/claims';
export { windowsOf } from './plan/windows';
export type { Window } from './plan/windows';
export { fillingOf } from './plan/filling';
export { liquidOf } from './plan/liquid';
export type { Liquid } from './plan/liquid';
export { frontOf, takeWeights } from './plan/front';
export type { FrontPoint, Weights } from './plan/front';
export { dayOf, dayPanels } from './plan/day';
export type { Question } from './plan/questions';
export type { HotWater } from './plan/hot-water';
export type { Day, DayAdvice, PanelDay, PanelHour } from './plan/day';
export { finish } from './plan/study';
export type { Study } from './plan/study';
