import type { LibraryEntry } from '@esmero/model';
import type { Holdings, KeptEntry } from '@esmero/records';
import type { Store } from './store';
import type { StoredEntry, StoredJob } from './stored';

export const keptEntry = ({ revision: _revision, ...entry }: StoredEntry): KeptEntry => entry as LibraryEntry & KeptEntry;

/** All jobs whole, one after the other: there may be thousands. */
export async function* everyJob(store: Store): AsyncGenerator<StoredJob> {
  for (const id of await store.jobIds()) {
    const stored = await store.job(id);
    if (stored) yield stored;
  }
}

/** All that is kept, but the pictures. */
export async function everything(store: Store): Promise<Holdings> {
  const jobs = [];
  for await (const { job, archived, changedAt, vector } of everyJob(store)) jobs.push({ job, archived, changedAt, vector });
  return { jobs, library: (await store.library()).map(keptEntry), movements: await store.movements(), photos: [] };
}
