import type { Job, LibraryEntry } from '@esmero/model';
import type { Stamp } from '@esmero/records';

/** A job as it is kept: each save raises the revision, so that two tabs can tell. */
export interface StoredJob extends Stamp {
  readonly id: string;
  readonly job: Job;
  readonly revision: number;
  readonly archived: boolean;
}

export type StoredEntry = LibraryEntry & Stamp & { readonly revision: number };
