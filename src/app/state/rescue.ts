import type { Job } from '@esmero/model';
import { type JobDocument, jobDocument, jobVersion, merged, readDocument, same } from '@esmero/records';
import type { Store } from '@esmero/store';

/** A job that was on the desk, unsaved, when its page went away. */
export interface Rescue {
  readonly job: Job;
  /** As it was kept when it was changed; null where it never was. */
  readonly kept: Job | null;
  /** Revision of that. */
  readonly base: number;
  /** What was on its way to the store when the page went away, and may have got there. */
  readonly sent?: Job | null;
}

/** As it is written: in the documents of the files, so that an Esmero that was renewed meanwhile can read it. */
interface Written {
  readonly version: number;
  readonly job: JobDocument;
  readonly kept: JobDocument | null;
  readonly base: number;
  readonly sent?: JobDocument | null;
}

const PREFIX = 'esmero-rescue/';

/** What this page has taken up, and is to see to. */
const adopted = new Set<string>();

/** Of this page: two tabs may go away with the same job. */
const page = `${Date.now().toString(36)}${Math.random().toString(36).slice(2, 8)}`;

const keysFor = (id: string): readonly string[] => {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(`${PREFIX}${id}/`));
  } catch {
    return [];
  }
};

/** What this page is saving now. */
let sending: Job | null = null;

/** Saves a job, and remembers meanwhile that it is under way. */
export async function whileSending<T>(job: Job, save: () => Promise<T>): Promise<T> {
  sending = job;
  return save().finally(() => (sending = null));
}

/** The rescue as it stands where what was on its way has arrived: a page’s own save is nobody else’s change. */
export const arrived = (rescue: Rescue, stored: { readonly job: Job; readonly revision: number }): Rescue =>
  rescue.sent && stored.revision === rescue.base + 1 && same(stored.job, rescue.sent)
    ? { ...rescue, kept: stored.job, base: stored.revision }
    : rescue;

/**
 * Written at once, while the page still stands; the database might not get round to it.
 * @returns whether it could be written
 */
export function leaveBehind({ job, kept, base }: Omit<Rescue, 'sent'>): boolean {
  const key = `${PREFIX}${job.id}/${page}`;
  const sent = sending?.id === job.id ? jobDocument(sending) : null;
  const written: Written = { version: jobVersion, job: jobDocument(job), kept: kept && jobDocument(kept), base, sent };
  try {
    localStorage.setItem(key, JSON.stringify(written));
    adopted.add(key);
    return true;
  } catch {
    return false;
  }
}

function read(key: string): Rescue | null {
  try {
    const { version, job, kept, base, sent } = JSON.parse(localStorage.getItem(key) ?? '{}') as Written;
    return { job: readDocument(job, version), kept: kept && readDocument(kept, version), base, sent: sent && readDocument(sent, version) };
  } catch {
    return null;
  }
}

/** What was left behind of a job and is not saved yet. */
export function rescueOf(id: string): Rescue | null {
  for (const key of keysFor(id)) {
    const rescue = read(key);
    if (!rescue) continue;
    adopted.add(key);
    return rescue;
  }
  return null;
}

/** The same, held against the rules of the files: what another program or a fault has made of it is not opened. */
export async function soundRescueOf(id: string): Promise<Rescue | null> {
  const rescue = rescueOf(id);
  return rescue && (await isSound(rescue)) ? rescue : null;
}

/** The rules are fetched when there is something to hold against them, which is seldom. */
async function isSound({ job }: Rescue): Promise<boolean> {
  const { readJob, writeJob } = await import('@esmero/exchange');
  return readJob(writeJob(job)).ok;
}

/** Jobs of which something was left behind and is not saved yet. */
export function rescuedIds(): readonly string[] {
  try {
    const keys = Object.keys(localStorage).filter((key) => key.startsWith(PREFIX));
    return [...new Set(keys.map((key) => key.slice(PREFIX.length, key.lastIndexOf('/'))))];
  } catch {
    return [];
  }
}

/** Pictures of jobs that are not saved yet. */
export function rescuedPhotos(): ReadonlySet<string> {
  const jobs = rescuedIds().flatMap(keysFor).flatMap((key) => read(key)?.job ?? []);
  return new Set(jobs.flatMap(({ marks, pictures }) => [...marks, ...pictures].flatMap(({ photo }) => photo ?? [])));
}

function remove(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // Forbidden: then nothing was left there either.
  }
}

/** What this page has left behind or taken up of a job is safe now, or was given up. */
export const forget = (id: string): void => keysFor(id).filter((key) => adopted.has(key)).forEach(remove);

/** Saves one, put together with what was saved since. False where it has to be asked about, or cannot be saved now. */
async function saved(rescue: Rescue, store: Store): Promise<boolean> {
  const { job } = rescue;
  const first = await store.saveJob(job, rescue.base);
  if (first.kind !== 'conflict') return first.kind === 'saved';
  const both = merged(arrived(rescue, first.theirs).kept, job, first.theirs.job);
  if (both.conflicts.length > 0) return false;
  if (same(both.value, first.theirs.job)) return true;
  return (await store.saveJob(both.value, first.theirs.revision)).kind === 'saved';
}

/** Saves what was left behind. What cannot be saved stays where it is, and is shown when its job is opened. */
export async function takenUp(store: Store): Promise<Store> {
  if (store.keeping !== 'for-good') return store;
  for (const key of rescuedIds().flatMap(keysFor)) {
    const rescue = read(key);
    // What cannot even be read helps nobody.
    if (!rescue || !(await isSound(rescue)) || (await saved(rescue, store).catch(() => false))) remove(key);
  }
  return store;
}
