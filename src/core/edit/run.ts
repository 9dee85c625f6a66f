import type { Job, Noted, PunchItem, RunEvent, RunUse } from '../model';

export const startRun = (job: Job, at: number): Job => ({ ...job, run: { startedAt: at, endedAt: null, events: [], counts: [], punch: [] } });

const nextSeq = (events: readonly RunEvent[]): number => events.reduce((last, { seq }) => Math.max(last, seq), 0) + 1;

/** Notes what happened after all else; the job itself where no run is under way. */
export const noteEvent = (job: Job, event: Noted): Job =>
  job.run && job.run.endedAt === null
    ? { ...job, run: { ...job.run, events: [...job.run.events, { ...event, seq: nextSeq(job.run.events) }] } }
    : job;

/** Takes the last thing back that was noted. */
export const takeBackEvent = (job: Job): Job =>
  job.run ? { ...job, run: { ...job.run, endedAt: null, events: job.run.endedAt === null ? job.run.events.slice(0, -1) : job.run.events } } : job;

export const endRun = (job: Job, at: number): Job => (job.run ? { ...job, run: { ...job.run, endedAt: at } } : job);

/** Notes what was used; counting again keeps what was counted before. */
export const noteUse = (job: Job, use: RunUse): Job => (job.run ? { ...job, run: { ...job.run, counts: [...job.run.counts, use] } } : job);

/** Notes something for later, or changes it. */
export function putPunch(job: Job, item: PunchItem): Job {
  if (!job.run) return job;
  const { punch } = job.run;
  const known = punch.some(({ id }) => id === item.id);
  return { ...job, run: { ...job.run, punch: known ? punch.map((one) => (one.id === item.id ? item : one)) : [...punch, item] } };
}

export const dropRun = (job: Job): Job => ({ ...job, run: null });
