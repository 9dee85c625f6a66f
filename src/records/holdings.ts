import type { Collection, Job, LibraryEntry, Movement, Photo } from '@esmero/model';
import type { VersionVector } from './vector';

/** When a record was changed last, and by how many changes of which browsers. */
export interface Stamp {
  /** Milliseconds since 1970; 0 where nobody noted it. */
  readonly changedAt: number;
  readonly vector: VersionVector;
}

export interface KeptJob extends Stamp {
  readonly job: Job;
  readonly archived: boolean;
}

export type KeptEntry = LibraryEntry & Stamp;

/** All that somebody has, with what is needed to tell older from newer. */
export interface Holdings {
  readonly library: readonly KeptEntry[];
  readonly jobs: readonly KeptJob[];
  readonly movements: readonly Movement[];
  readonly photos: readonly Photo[];
}

/** Of a record from before anybody kept count. */
export const unstamped: Stamp = { changedAt: 0, vector: {} };

/** A collection of which nobody has kept count. */
export const held = ({ library, jobs, movements, photos }: Collection): Holdings => ({
  library: library.map((entry) => ({ ...unstamped, ...entry })),
  jobs: jobs.map((job) => ({ ...unstamped, archived: false, job })),
  movements,
  photos,
});
