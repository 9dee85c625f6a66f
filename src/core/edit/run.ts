import type { Job, PunchItem, RunEvent, RunUse } from '../model';

export const startRun = (job: Job, at: number): Job => ({ ...job, run: { startedAt: at, endedAt: null, events: [], counts: [], punch: [] } });

/** Notes what happened; the job itself where no run is under way. */
export const noteEvent = (job: Job, event: RunEvent): Job =>
  job.run && job.run.endedAt === null ? { ...job, run: { ...job.run, events: [...job.run.events, event] } } : job;

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

const key = (one: object): string => JSON.stringify(one);

/** What is in either list, once. */
const either = <T extends object>(mine: readonly T[], theirs: readonly T[]): readonly T[] => {
  const known = new Set(mine.map(key));
  return [...mine, ...theirs.filter((one) => !known.has(key(one)))];
};

/** Entries with names of their own: where both have one, that which is done. */
function eitherItem(mine: readonly PunchItem[], theirs: readonly PunchItem[]): readonly PunchItem[] {
  const others = new Map(theirs.map((one) => [one.id, one]));
  const joined = mine.map((one) => (others.get(one.id)?.done ? others.get(one.id)! : one));
  return [...joined, ...theirs.filter(({ id }) => !mine.some((one) => one.id === id))];
}

/**
 * One run that was ticked off in two places: nothing that either has noted is lost. null where they
 * are not the same run of the same job.
 */
export function joinRuns(mine: Job, theirs: Job): Job | null {
  const [run, other] = [mine.run, theirs.run];
  if (!run || !other || run.startedAt !== other.startedAt) return null;
  if (key({ ...mine, run: null }) !== key({ ...theirs, run: null })) return null;
  const byTime = <T extends { readonly at: number }>(list: readonly T[]): readonly T[] => [...list].sort((p, q) => p.at - q.at);
  return {
    ...mine,
    run: {
      ...run,
      endedAt: run.endedAt ?? other.endedAt,
      events: byTime(either(run.events, other.events)),
      counts: byTime(either(run.counts, other.counts)),
      punch: eitherItem(run.punch, other.punch),
    },
  };
}
