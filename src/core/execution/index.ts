export { elapsedMs } from './elapsed';
export { planRun } from './plan-run';
export { runStatusOf } from './status';
export type { Clocks, Hand, RunStatus } from './status';
export { tasksOf, ticksOf } from './task';
export type { Task } from './task';
export { usageAccount, useOf } from './usage-count';
export type { UsageAccount } from './usage-count';
