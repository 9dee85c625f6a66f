import { type Job, type Noted, type PunchItem, type RunEvent, type RunUse, isTick, orderAfter } from '../model';

/** Somebody has come to the car: the clock of the visit begins. */
export const arrive = (job: Job, at: number): Job => ({ ...job, arrivedAt: at });

export const startRun = (job: Job, at: number): Job => ({
  ...job,
  run: { startedAt: at, endedAt: null, events: [], counts: [], punch: [] },
});

const lastSeq = (events: readonly RunEvent[]): number => events.reduce((last, { seq }) => Math.max(last, seq), 0);

/** Notes what happened after all else, in this order; the job itself where no run is under way. */
export function noteEvents(job: Job, events: readonly Noted[]): Job {
  if (!job.run || job.run.endedAt !== null) return job;
  let seq = lastSeq(job.run.events);
  const noted = events.map((event) => ({ ...event, seq: (seq = orderAfter(seq)) }));
  return { ...job, run: { ...job.run, events: [...job.run.events, ...noted] } };
}

export const noteEvent = (job: Job, event: Noted): Job => noteEvents(job, [event]);

/** How many events one press noted last: a pass, part by part, and what was wetted ahead by then. */
function lastPress(events: readonly RunEvent[]): number {
  let at = events.length;
  while (at > 0 && events[at - 1]!.kind === 'wet') at--;
  const last = events[at - 1];
  if (!last || !isTick(last)) return Math.max(1, events.length - at);
  const isSame = (one: RunEvent | undefined): boolean =>
    one !== undefined && isTick(one) && one.kind === last.kind && one.at === last.at && one.by === last.by;
  while (isSame(events[at - 1])) at--;
  return events.length - at;
}

/** Takes the last press back. */
export function takeBackEvent(job: Job): Job {
  if (!job.run) return job;
  const { events, endedAt } = job.run;
  return {
    ...job,
    run: {
      ...job.run,
      endedAt: null,
      events: endedAt === null ? events.slice(0, events.length - Math.min(events.length, lastPress(events))) : events,
    },
  };
}

export const endRun = (job: Job, at: number): Job => (job.run ? { ...job, run: { ...job.run, endedAt: at } } : job);

/** Notes what was used; counting again keeps what was counted before. */
export const noteUse = (job: Job, use: RunUse): Job =>
  job.run ? { ...job, run: { ...job.run, counts: [...job.run.counts, use] } } : job;

/** Notes something for later, or changes it. */
export function putPunch(job: Job, item: PunchItem): Job {
  if (!job.run) return job;
  const { punch } = job.run;
  const known = punch.some(({ id }) => id === item.id);
  return {
    ...job,
    run: { ...job.run, punch: known ? punch.map((one) => (one.id === item.id ? item : one)) : [...punch, item] },
  };
}

export const dropRun = (job: Job): Job => ({ ...job, run: null });
