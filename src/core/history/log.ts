import { elapsedMs } from '../execution';
import { type JobBrief, type Run, type RunUse, type VehicleMethod, usedIn } from '../model';
import { type Day, dayAt } from '../units';

/** How it ended: counted and whole, counted but broken off, never counted, or the car was sent away. */
export const runStates = ['counted', 'broken-off', 'not-counted', 'refused'] as const;
export type RunState = (typeof runStates)[number];

/** A run that is over, or a car that was sent away, as the log has it. */
export interface LogEntry<J extends JobBrief = JobBrief> {
  readonly job: J;
  /** null where the car was sent away. */
  readonly run: Run | null;
  readonly used: RunUse | null;
  /** When it began, or was refused. */
  readonly at: number;
  /** ISO day on which it ended, by universal time and the site’s offset. */
  readonly day: string;
  /** null where nothing was done. */
  readonly minutes: number | null;
  readonly method: VehicleMethod | null;
  readonly state: RunState;
  /** What is searched, in small letters. */
  readonly text: string;
}

const MINUTE_MS = 60_000;

const stateOf = (used: RunUse | null): RunState =>
  !used ? 'not-counted' : used.doneShare < 1 ? 'broken-off' : 'counted';

/** What is searched of a job, in small letters. */
const textOf = ({ name, client, vehicle, site, date, note, marks }: JobBrief): string =>
  [name, client, vehicle.name, site.name, date, note, ...marks.map((mark) => mark.note)].join(' ').toLowerCase();

const dayOf = (at: number, { site }: JobBrief): Day => dayAt(at, site.utcOffsetH);

function ranEntry<J extends JobBrief>(job: J, run: Run, endedAt: number): LogEntry<J> {
  const used = usedIn(run);
  const { startedAt } = run;
  return {
    job,
    run,
    used,
    at: startedAt,
    day: dayOf(endedAt, job),
    minutes: elapsedMs(run, endedAt) / MINUTE_MS,
    method: used?.method ?? null,
    state: stateOf(used),
    text: textOf(job),
  };
}

const refusedEntry = <J extends JobBrief>(job: J, at: number): LogEntry<J> => ({
  ...{ job, run: null, used: null, at, minutes: null, method: null, state: 'refused' as const },
  day: dayOf(at, job),
  text: textOf(job),
});

function entriesOf<J extends JobBrief>(job: J): readonly LogEntry<J>[] {
  const { run, refused } = job;
  if (run && run.endedAt !== null) return [ranEntry(job, run, run.endedAt)];
  return !run && refused ? [refusedEntry(job, refused.at)] : [];
}

/** All runs that are over and all cars that were sent away, the last one first. */
export const logOf = <J extends JobBrief>(jobs: readonly J[]): readonly LogEntry<J>[] =>
  jobs.flatMap(entriesOf).sort((p, q) => q.at - p.at);

/** What is looked for; null and no words let everything through. */
export interface LogQuery {
  readonly words: string;
  readonly state: RunState | null;
  readonly method: VehicleMethod | null;
  /** A day, or the beginning of one: 2031-07 is a month. */
  readonly day: string | null;
  readonly vehicle: string | null;
}

export const everything: LogQuery = { words: '', state: null, method: null, day: null, vehicle: null };

/** The words of a search, in small letters. */
export const wordsOf = (text: string): readonly string[] => text.toLowerCase().split(/\s+/).filter(Boolean);

/** Has a job all these words in it? */
export function hasWords(job: JobBrief, words: readonly string[]): boolean {
  if (words.length === 0) return true;
  const text = textOf(job);
  return words.every((word) => text.includes(word));
}

/** Entries that have every word and all that is asked for. */
export function searchLog(
  log: readonly LogEntry[],
  { words, state, method, day, vehicle }: LogQuery,
): readonly LogEntry[] {
  const wanted = wordsOf(words);
  return log.filter(
    (entry) =>
      (state === null || entry.state === state) &&
      (method === null || entry.method === method) &&
      (day === null || entry.day.startsWith(day)) &&
      (vehicle === null || entry.job.vehicle.id === vehicle) &&
      wanted.every((word) => entry.text.includes(word)),
  );
}
