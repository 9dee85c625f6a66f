import type { Job } from '@esmero/model';
import { type JobDocument, jobDocument, jobVersion, same } from '@esmero/records';

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
export interface Written {
  readonly version: number;
  readonly job: JobDocument;
  readonly kept: JobDocument | null;
  readonly base: number;
  readonly sent?: JobDocument | null;
}

const PREFIX = 'esmero-rescue/';

/** What this page has taken up, and is to see to. */
export const adopted = new Set<string>();

/** Of this page: two tabs may go away with the same job. */
const page = `${Date.now().toString(36)}${Math.random().toString(36).slice(2, 8)}`;

export const keysFor = (id: string): readonly string[] => {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(`${PREFIX}${id}/`));
  } catch {
    return [];
  }
};

/** Jobs of which something was left behind and is not saved yet. */
export function rescuedIds(): readonly string[] {
  try {
    const keys = Object.keys(localStorage).filter((key) => key.startsWith(PREFIX));
    return [...new Set(keys.map((key) => key.slice(PREFIX.length, key.lastIndexOf('/'))))];
  } catch {
    return [];
  }
}

/** Was something left behind of a job that is not saved yet? */
export const isLeftBehind = (id: string): boolean => keysFor(id).length > 0;

/** Is a job safe that this page could not save: did it leave it behind, or take it up from where it was left? */
export const isKeptAside = (id: string): boolean => keysFor(id).some((key) => adopted.has(key));

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

export function remove(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // Forbidden: then nothing was left there either.
  }
}

/** What this page has left behind or taken up of a job is safe now, or was given up. */
export const forget = (id: string): void =>
  keysFor(id)
    .filter((key) => adopted.has(key))
    .forEach(remove);
