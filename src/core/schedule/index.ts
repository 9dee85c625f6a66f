export { runOrder, runStages, wheelsGoFirst } from './run-order';
export type { Ordered, RunStage } from './run-order';
export { stepKinds, timelineOf } from './timeline';
export type { Step, StepKind, Timeline } from './timeline';
export { totalWork } from './work';
export type { WorkSeconds } from './work';
