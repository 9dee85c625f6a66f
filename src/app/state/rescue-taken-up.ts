import { readDocument } from '@esmero/migrations';
import { merged, same } from '@esmero/records';
import type { Store } from '@esmero/store';
import { type Rescue, type Written, adopted, arrived, keysFor, remove, rescuedIds } from './rescue';

function read(key: string): Rescue | null {
  try {
    const { version, job, kept, base, sent } = JSON.parse(localStorage.getItem(key) ?? '{}') as Written;
    return {
      job: readDocument(job, version),
      kept: kept && readDocument(kept, version),
      base,
      sent: sent && readDocument(sent, version),
    };
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

/** Pictures of jobs that are not saved yet. */
export function rescuedPhotos(): ReadonlySet<string> {
  const jobs = rescuedIds()
    .flatMap(keysFor)
    .flatMap((key) => read(key)?.job ?? []);
  return new Set(jobs.flatMap(({ marks, pictures }) => [...marks, ...pictures].flatMap(({ photo }) => photo ?? [])));
}

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
