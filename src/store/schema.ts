import type { Job, LibraryEntry } from '@esmero/core';
import type { DBSchema, IDBPDatabase, IDBPTransaction, StoreNames } from 'idb';

/** A job as it is kept: each save raises the revision, so that two tabs can tell. */
export interface StoredJob {
  readonly id: string;
  readonly job: Job;
  readonly revision: number;
  /** Milliseconds since 1970. */
  readonly changedAt: number;
  readonly archived: boolean;
}

export type StoredEntry = LibraryEntry & { readonly id: string };

export interface EsmeroDb extends DBSchema {
  jobs: { key: string; value: StoredJob; indexes: { changed: number } };
  library: { key: string; value: StoredEntry };
  settings: { key: string; value: unknown };
}

type Upgrade = (
  db: IDBPDatabase<EsmeroDb>,
  tx: IDBPTransaction<EsmeroDb, StoreNames<EsmeroDb>[], 'versionchange'>,
) => void | Promise<void>;

/** As sites were before they knew of air and sun. An upgrade does not follow later changes of defaults. */
const calmShade = { humidity: 0.6, windMs: 0.5, shade: true, sunWm2: 0 };

/** upgrades[n] takes the database from version n to n + 1; steps are only ever added. */
export const upgrades: readonly Upgrade[] = [
  (db) => {
    db.createObjectStore('jobs', { keyPath: 'id' });
    db.createObjectStore('library', { keyPath: 'id' });
  },
  // Settings got a store of their own, and jobs could be archived and listed by their last change.
  async (db, tx) => {
    db.createObjectStore('settings');
    const jobs = tx.objectStore('jobs');
    jobs.createIndex('changed', 'changedAt');
    for (const stored of await jobs.getAll())
      await jobs.put({ ...stored, changedAt: stored.changedAt ?? 0, archived: stored.archived ?? false });
  },
  // Sites learned of air and sun; those from before stood in calm shade.
  async (_db, tx) => {
    const [jobs, library] = [tx.objectStore('jobs'), tx.objectStore('library')];
    for (const stored of await jobs.getAll())
      await jobs.put({ ...stored, job: { ...stored.job, site: { ...calmShade, ...stored.job.site } } });
    for (const entry of await library.getAll())
      if (entry.kind === 'site') await library.put({ ...entry, item: { ...calmShade, ...entry.item } });
  },
];
