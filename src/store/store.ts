import type { Collection, Job, LibraryEntry, Movement } from '@esmero/core';
import type { StoredBrief } from './brief';
import type { StoredEntry, StoredJob } from './schema';

/** Why something could not be kept, as data. */
export type KeepFault =
  | { readonly kind: 'full' }
  | { readonly kind: 'failed'; readonly message: string };

export type Saved =
  | { readonly kind: 'saved'; readonly revision: number }
  /** Somebody else has saved since: nothing was written. */
  | { readonly kind: 'conflict'; readonly theirs: StoredJob }
  | KeepFault;

export type Kept = { readonly kind: 'kept' } | KeepFault;

/** Everything that is kept on this machine. */
export interface Store {
  /** False when nothing outlives the tab. */
  readonly durable: boolean;
  /** All jobs whole, the last changed first: for taking everything out. */
  jobs(): Promise<readonly StoredJob[]>;
  /** All jobs in brief, the last changed first. */
  briefs(): Promise<readonly StoredBrief[]>;
  job(id: string): Promise<StoredJob | undefined>;
  /** @param base the revision this change was made on; 0 for a new job; null overwrites */
  saveJob(job: Job, base: number | null): Promise<Saved>;
  archiveJob(id: string, archived: boolean): Promise<Kept>;
  library(): Promise<readonly LibraryEntry[]>;
  saveEntry(entry: LibraryEntry): Promise<Kept>;
  /** All or nothing; what has the same id is replaced. */
  merge(collection: Collection): Promise<Kept>;
  /** Oldest first. */
  movements(): Promise<readonly Movement[]>;
  photo(key: string): Promise<Blob | undefined>;
  keepPhoto(key: string, picture: Blob): Promise<Kept>;
  setting(key: string): Promise<unknown>;
  keepSetting(key: string, value: unknown): Promise<Kept>;
}

export const entryId = ({ kind, item }: LibraryEntry): string => `${kind}/${item.id}`;

export const storedEntry = (entry: LibraryEntry): StoredEntry => ({ ...entry, id: entryId(entry) });

/** The next state of a job in the store, or the conflict that forbids it. */
export function nextStored(
  present: StoredJob | undefined,
  job: Job,
  base: number | null,
): { readonly ok: true; readonly stored: StoredJob } | { readonly ok: false; readonly theirs: StoredJob } {
  if (present && base !== null && present.revision !== base) return { ok: false, theirs: present };
  return {
    ok: true,
    stored: {
      id: job.id,
      job,
      revision: (present?.revision ?? 0) + 1,
      changedAt: Date.now(),
      archived: present?.archived ?? false,
    },
  };
}
