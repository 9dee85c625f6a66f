export { stepKinds } from './crew';
export type { Step, StepKind } from './crew';
export { criticalPath } from './critical-path';
export { sharings } from './share';
export type { Sharing } from './share';
export { timelineOf } from './timeline';
export type { Setup, Timeline } from './timeline';
export type { PassAct, PassPart, PlannedPass } from './recorder';
