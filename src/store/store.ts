import type { Collection, Job, LibraryEntry, Movement } from '@esmero/model';
import type { Stamp } from '@esmero/records';
import type { StoredBrief } from './brief';
import type { StoredEntry, StoredJob } from './stored';

/** Why something could not be kept, as data. */
export type KeepFault =
  | { readonly kind: 'full' }
  /** A newer Esmero has taken the data further. */
  | { readonly kind: 'newer' }
  | { readonly kind: 'failed'; readonly message: string };

export type Saved =
  | { readonly kind: 'saved'; readonly revision: number }
  /** Somebody else has saved since: nothing was written. */
  | { readonly kind: 'conflict'; readonly theirs: StoredJob }
  | KeepFault;

type SavedEntry =
  /** As it is kept now: perhaps with what somebody else has changed beside it. */
  | { readonly kind: 'saved'; readonly stored: StoredEntry }
  /** Somebody else has changed the same fields since: nothing was written. */
  | {
      readonly kind: 'conflict';
      readonly theirs: StoredEntry;
      readonly fields: readonly string[];
      /** Both put together, with mine where both changed the same. */
      readonly mine: LibraryEntry;
    }
  | KeepFault;

export type Kept = { readonly kind: 'kept' } | KeepFault;

/** One thing that an import writes. It is left alone where it has changed since it was looked at. */
export type Change =
  | {
      readonly table: 'jobs';
      readonly id: string;
      readonly expects: number | null;
      readonly job: Job;
      readonly archived: boolean;
      readonly stamp: Stamp;
    }
  | {
      readonly table: 'library';
      readonly id: string;
      readonly expects: number | null;
      readonly entry: LibraryEntry;
      readonly stamp: Stamp;
    }
  | { readonly table: 'movements'; readonly id: string; readonly movement: Movement }
  | { readonly table: 'photos'; readonly id: string; readonly picture: Blob };

/** What became of changes: those that were left out had been changed meanwhile. */
type Imported = { readonly kind: 'kept'; readonly left: readonly string[] } | KeepFault;

/** Where things are kept: for good; nowhere, as the browser keeps nothing; or a newer Esmero has them. */
export type Keeping = 'for-good' | 'nowhere' | 'newer';

/** Everything that is kept on this machine. */
export interface Store {
  readonly keeping: Keeping;
  /** Names this browser in version vectors. */
  readonly browser: string;
  /** All jobs in brief, the last changed first. */
  briefs(): Promise<readonly StoredBrief[]>;
  jobIds(): Promise<readonly string[]>;
  job(id: string): Promise<StoredJob | undefined>;
  /** Those of them that are still there, read in one go. */
  jobs(ids: readonly string[]): Promise<readonly StoredJob[]>;
  /** @param base the revision this change was made on; 0 for a new job; null overwrites */
  saveJob(job: Job, base: number | null): Promise<Saved>;
  archiveJobs(ids: readonly string[], archived: boolean): Promise<Kept>;
  /** For good; there is no way back but a backup. */
  deleteJobs(ids: readonly string[]): Promise<Kept>;
  library(): Promise<readonly StoredEntry[]>;
  /**
   * Changes of two people to different fields of one item are both kept.
   * @param base the item that the change was made on; null for a new one
   */
  saveEntry(entry: LibraryEntry, base: LibraryEntry | null): Promise<SavedEntry>;
  deleteEntry(entry: LibraryEntry): Promise<Kept>;
  /** In the order of posting. */
  movements(): Promise<readonly Movement[]>;
  /** All of them or none. */
  post(movements: readonly Movement[]): Promise<Kept>;
  /** All or nothing; what has the same id is replaced. */
  merge(collection: Collection): Promise<Kept>;
  photo(key: string): Promise<Blob | undefined>;
  photoKeys(): Promise<readonly string[]>;
  /** Pictures that a job shows, or would show again if the last import were taken back. */
  usedPhotos(): Promise<ReadonlySet<string>>;
  keepPhoto(key: string, picture: Blob): Promise<Kept>;
  deletePhotos(keys: readonly string[]): Promise<Kept>;
  setting(key: string): Promise<unknown>;
  /** Fields that somebody else has changed since are kept as they have them. */
  keepSetting(key: string, value: unknown, base?: unknown): Promise<Kept>;
  /** Begins an import: what the last one replaced is forgotten. */
  beginImport(): Promise<Kept>;
  /** One slice of an import, whole or not at all. */
  importSlice(changes: readonly Change[]): Promise<Imported>;
  /** Takes the last import back, slice by slice; yields the share that is done. Names what was changed since, and stays. */
  takeBackImport(): AsyncGenerator<number, readonly string[]>;
  /** Told when all was deleted underneath, or a newer Esmero has taken it further. */
  onTrouble(listener: (what: 'lost' | 'newer') => void): void;
  close(): void;
}

export const entryId = ({ kind, item }: LibraryEntry): string => `${kind}/${item.id}`;
