import { type IDBPDatabase, openDB } from 'idb';
import type { LibraryEntry } from '@esmero/core';
import { type EsmeroDb, upgrades } from './schema';
import { type KeepFault, type Kept, type Store, nextStored, storedEntry } from './store';

export const DB_NAME = 'esmero';

const isFull = (error: unknown): boolean =>
  error instanceof DOMException && error.name === 'QuotaExceededError';

const faultOf = (error: unknown): KeepFault =>
  isFull(error)
    ? { kind: 'full' }
    : { kind: 'failed', message: error instanceof Error ? error.message : String(error) };

/** Runs a write and turns what it throws into data. */
async function keep(write: () => Promise<unknown>): Promise<Kept> {
  try {
    await write();
    return { kind: 'kept' };
  } catch (error) {
    return faultOf(error);
  }
}

const open = (name: string): Promise<IDBPDatabase<EsmeroDb>> =>
  openDB<EsmeroDb>(name, upgrades.length, {
    async upgrade(db, from, _to, tx) {
      for (const step of upgrades.slice(from)) await step(db, tx);
    },
    // A newer tab wants to upgrade: let it, rather than block it.
    blocking(_current, _blocked, event) {
      (event.target as IDBDatabase).close();
    },
  });

/** @throws when the browser has no IndexedDB or refuses it */
export async function idbStore(name = DB_NAME): Promise<Store> {
  const db = await open(name);
  return {
    durable: true,
    jobs: async () => (await db.getAllFromIndex('jobs', 'changed')).reverse(),
    job: (id) => db.get('jobs', id),
    async saveJob(job, base) {
      try {
        const tx = db.transaction('jobs', 'readwrite');
        const next = nextStored(await tx.store.get(job.id), job, base);
        if (next.ok) await tx.store.put(next.stored);
        await tx.done;
        return next.ok
          ? { kind: 'saved', revision: next.stored.revision }
          : { kind: 'conflict', theirs: next.theirs };
      } catch (error) {
        return faultOf(error);
      }
    },
    archiveJob: (id, archived) =>
      keep(async () => {
        const tx = db.transaction('jobs', 'readwrite');
        const present = await tx.store.get(id);
        if (present) await tx.store.put({ ...present, archived });
        await tx.done;
      }),
    library: async () => (await db.getAll('library')).map(({ id: _id, ...entry }) => entry as LibraryEntry),
    saveEntry: (entry) => keep(() => db.put('library', storedEntry(entry))),
    movements: () => db.getAllFromIndex('movements', 'at'),
    merge: ({ library, jobs, movements }) =>
      keep(async () => {
        const tx = db.transaction(['jobs', 'library', 'movements'], 'readwrite');
        try {
          for (const movement of movements) await tx.objectStore('movements').put(movement);
          for (const entry of library) await tx.objectStore('library').put(storedEntry(entry));
          const store = tx.objectStore('jobs');
          for (const job of jobs) {
            const next = nextStored(await store.get(job.id), job, null);
            if (next.ok) await store.put(next.stored);
          }
        } catch (error) {
          // Without this the part that went well would stay.
          tx.done.catch(() => undefined);
          tx.abort();
          throw error;
        }
        await tx.done;
      }),
    photo: (key) => db.get('photos', key),
    keepPhoto: (key, picture) => keep(() => db.put('photos', picture, key)),
    setting: (key) => db.get('settings', key),
    keepSetting: (key, value) => keep(() => db.put('settings', value, key)),
  };
}
