export { elapsedMs } from './elapsed';
export { planRun } from './plan-run';
export { standingOf } from './standing';
export type { Clocks, Hand, Standing } from './standing';
export { tasksOf, tickOf } from './task';
export type { Task } from './task';
export { reckon, reckoningOf, useOf } from './use';
export type { Counted, Reckoning } from './use';
