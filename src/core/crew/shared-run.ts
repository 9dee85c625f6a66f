import { noteEvents } from '../edit';
import { type Job, type PunchItem, type Run, type RunEvent, orderAfter } from '../model';

/** Something that may be said again, otherwise: what was said in the later turn holds. */
interface Said<T> {
  readonly turn: number;
  readonly value: T;
}

/**
 * A run as several phones know it. Whatever of it reaches whom, in whatever order and however often, put together it is the same: events only
 * grow, and of all else the later turn holds.
 */
export interface SharedRun {
  readonly jobId: string;
  readonly startedAt: number;
  readonly events: readonly RunEvent[];
  /** Of events that were ever taken back, by key: whether they still are. */
  readonly takenBack: readonly (Said<boolean> & { readonly key: string })[];
  readonly ended: Said<number | null>;
  readonly punch: readonly Said<PunchItem>[];
}

/** The same for the same event, however its fields came in. */
const keyOf = (event: RunEvent): string => JSON.stringify(Object.entries(event).sort(([p], [q]) => (p < q ? -1 : 1)));

/** By their numbers; two phones may have given the same one. */
const inOrder = (p: RunEvent, q: RunEvent): number => p.seq - q.seq || p.at - q.at || (keyOf(p) < keyOf(q) ? -1 : 1);

function later<T>(p: Said<T>, q: Said<T>): Said<T> {
  if (p.turn !== q.turn) return p.turn > q.turn ? p : q;
  // Said at the same time: everybody has to choose the same.
  return JSON.stringify(p.value) >= JSON.stringify(q.value) ? p : q;
}

const byKey = (events: readonly RunEvent[]): ReadonlyMap<string, RunEvent> =>
  new Map(events.map((event) => [keyOf(event), event]));
const takenIn = ({ takenBack }: SharedRun): ReadonlyMap<string, SharedRun['takenBack'][number]> =>
  new Map(takenBack.map((said) => [said.key, said]));
const byId = (punch: SharedRun['punch']): ReadonlyMap<string, Said<PunchItem>> =>
  new Map(punch.map((said) => [said.value.id, said]));
const sorted = (keys: Iterable<string>): readonly string[] => [...new Set(keys)].sort();

/** A run that nobody has shared yet. */
export const shareOf = (jobId: string, run: Run): SharedRun => ({
  jobId,
  startedAt: run.startedAt,
  events: [...run.events].sort(inOrder),
  takenBack: [],
  ended: { turn: 0, value: run.endedAt },
  punch: run.punch.map((value) => ({ turn: 0, value })),
});

/** The entries of both, the later one where both have one. */
function laterOf<T extends Said<unknown>>(mine: ReadonlyMap<string, T>, theirs: ReadonlyMap<string, T>): readonly T[] {
  return sorted([...mine.keys(), ...theirs.keys()]).map((key) => {
    const [one, other] = [mine.get(key), theirs.get(key)];
    return one && other ? (later(one, other) as T) : (one ?? other)!;
  });
}

/** What two phones know, put together. */
export function joined(p: SharedRun, q: SharedRun): SharedRun {
  const takenBack = laterOf(takenIn(p), takenIn(q));
  const gone = new Set(takenBack.flatMap(({ key, value }) => (value ? [key] : [])));
  const events = [...new Map([...byKey(p.events), ...byKey(q.events)])]
    .filter(([key]) => !gone.has(key))
    .map(([, event]) => event);
  const punch = laterOf(byId(p.punch), byId(q.punch));
  return {
    jobId: p.jobId,
    startedAt: Math.min(p.startedAt, q.startedAt),
    events: events.sort(inOrder),
    takenBack,
    ended: later(p.ended, q.ended),
    punch,
  };
}

/** What is known once somebody on this phone has changed the run: what is new, what was taken back, what was said otherwise. */
export function followed(known: SharedRun, before: Run, now: Run): SharedRun {
  const [had, has] = [byKey(before.events), byKey(now.events)];
  const taken = takenIn(known);
  const said = (key: string, value: boolean) => ({ key, value, turn: orderAfter(taken.get(key)?.turn ?? 0) });
  const gone = [...had.keys()].filter((key) => !has.has(key)).map((key) => said(key, true));
  const back = [...has.keys()].filter((key) => !had.has(key) && taken.get(key)?.value).map((key) => said(key, false));
  const punched = now.punch.filter(
    (item) => !before.punch.some((one) => one === item || JSON.stringify(one) === JSON.stringify(item)),
  );
  const turnOf = (id: string): number => orderAfter(known.punch.find(({ value }) => value.id === id)?.turn ?? 0);
  return joined(known, {
    jobId: known.jobId,
    startedAt: now.startedAt,
    events: now.events,
    takenBack: [...gone, ...back],
    ended: now.endedAt === before.endedAt ? known.ended : { turn: orderAfter(known.ended.turn), value: now.endedAt },
    punch: punched.map((value) => ({ turn: turnOf(value.id), value })),
  });
}

/** The run of a job as all phones know it; counts of what was used stay where they were counted. */
export function withShared(job: Job, { startedAt, events, ended, punch }: SharedRun): Job {
  const counts = job.run?.counts ?? [];
  return { ...job, run: { startedAt, endedAt: ended.value, events, counts, punch: punch.map(({ value }) => value) } };
}

/** What was ticked off and is so no more: events of one run that another lacks. */
export function takenFrom(before: Run, now: Run): readonly RunEvent[] {
  const left = byKey(now.events);
  return [...byKey(before.events)].flatMap(([key, event]) => (left.has(key) ? [] : [event]));
}

/** The job with what was taken back ticked off again: noted anew, so that nobody has taken it back yet. */
export const putBack = (job: Job, events: readonly RunEvent[]): Job => noteEvents(job, events);

/** Does one know all that the other does? */
export const isSameShare = (p: SharedRun, q: SharedRun): boolean =>
  JSON.stringify(joined(p, q)) === JSON.stringify(joined(p, p)) &&
  JSON.stringify(joined(p, q)) === JSON.stringify(joined(q, q));
