import type { LibraryEntry } from '@esmero/model';
import type { Holdings, KeptEntry } from '@esmero/records';
import type { Store } from './store';
import type { StoredEntry, StoredJob } from './stored';

export const keptEntry = ({ revision: _revision, ...entry }: StoredEntry): KeptEntry =>
  entry as LibraryEntry & KeptEntry;

/** Jobs that are in memory at one time. */
const PART = 40;

/** All jobs whole, a few at a time: there may be thousands. */
export async function* everyJob(store: Store): AsyncGenerator<StoredJob> {
  const ids = await store.jobIds();
  for (let at = 0; at < ids.length; at += PART) yield* await store.jobs(ids.slice(at, at + PART));
}

/** All that is kept, but the pictures. */
export async function everything(store: Store): Promise<Holdings> {
  const jobs = [];
  for await (const { job, archived, changedAt, vector } of everyJob(store))
    jobs.push({ job, archived, changedAt, vector });
  return { jobs, library: (await store.library()).map(keptEntry), movements: await store.movements(), photos: [] };
}
