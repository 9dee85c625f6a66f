export { stepKinds } from './crew';
export type { Step, StepKind } from './crew';
export { criticalPath } from './critical-path';
export { runOrder, runStages } from './run-order';
export type { Ordered, RunStage } from './run-order';
export { timelineOf } from './timeline';
export type { Setup, Timeline } from './timeline';
