import type { Job, RunEvent, RunUse } from '../model';

export const startRun = (job: Job, at: number): Job => ({ ...job, run: { startedAt: at, endedAt: null, events: [], used: null } });

/** Notes what happened; the job itself where no run is under way. */
export const noteEvent = (job: Job, event: RunEvent): Job =>
  job.run && job.run.endedAt === null ? { ...job, run: { ...job.run, events: [...job.run.events, event] } } : job;

/** Takes the last thing back that was noted. */
export const takeBackEvent = (job: Job): Job =>
  job.run ? { ...job, run: { ...job.run, endedAt: null, events: job.run.endedAt === null ? job.run.events.slice(0, -1) : job.run.events } } : job;

export const endRun = (job: Job, at: number): Job => (job.run ? { ...job, run: { ...job.run, endedAt: at } } : job);

/** Notes what was used; counting again replaces it. */
export const noteUse = (job: Job, used: RunUse): Job => (job.run ? { ...job, run: { ...job.run, used } } : job);

export const dropRun = (job: Job): Job => ({ ...job, run: null });
