import { type IDBPDatabase, type IDBPTransaction, type StoreNames, openDB } from 'idb';
import type { LibraryEntry } from '@esmero/core';
import { briefOf } from './brief';
import { blobOf } from './photo';
import { type EsmeroDb, type StoredJob, upgrades } from './schema';
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

type Writing = IDBPTransaction<EsmeroDb, StoreNames<EsmeroDb>[], 'readwrite'>;

/** A job and its brief go together. */
async function putJob(tx: Writing, stored: StoredJob): Promise<void> {
  await tx.objectStore('jobs').put(stored);
  await tx.objectStore('briefs').put(briefOf(stored));
}

/** Records that are read in one go: a few milliseconds, so that the page is free in between. */
const PART = 400;

/** All of what there are thousands of, part by part. */
async function inParts<S extends 'briefs' | 'movements'>(db: IDBPDatabase<EsmeroDb>, name: S): Promise<EsmeroDb[S]['value'][]> {
  const keys = await db.getAllKeys(name);
  const all: EsmeroDb[S]['value'][] = [];
  for (let at = 0; at < keys.length; at += PART) {
    const range = IDBKeyRange.bound(keys[at]!, keys[Math.min(at + PART, keys.length) - 1]!);
    all.push(...(await db.getAll(name, range)));
  }
  return all;
}

/** @throws when the browser has no IndexedDB or refuses it */
export async function idbStore(name = DB_NAME): Promise<Store> {
  const db = await open(name);
  return {
    durable: true,
    jobs: async () => (await db.getAllFromIndex('jobs', 'changed')).reverse(),
    job: (id) => db.get('jobs', id),
    briefs: async () => (await inParts(db, 'briefs')).sort((p, q) => q.changedAt - p.changedAt),
    async saveJob(job, base) {
      try {
        const tx = db.transaction(['jobs', 'briefs'], 'readwrite');
        const next = nextStored(await tx.objectStore('jobs').get(job.id), job, base);
        if (next.ok) await putJob(tx, next.stored);
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
        const tx = db.transaction(['jobs', 'briefs'], 'readwrite');
        const present = await tx.objectStore('jobs').get(id);
        if (present) await putJob(tx, { ...present, archived });
        await tx.done;
      }),
    library: async () => (await db.getAll('library')).map(({ id: _id, ...entry }) => entry as LibraryEntry),
    saveEntry: (entry) => keep(() => db.put('library', storedEntry(entry))),
    movements: async () => (await inParts(db, 'movements')).sort((p, q) => p.at - q.at),
    merge: ({ library, jobs, movements, photos }) =>
      keep(async () => {
        // A transaction waits for nothing else.
        const pictures = photos.map((photo) => [photo.key, blobOf(photo)] as const);
        const tx = db.transaction(['jobs', 'briefs', 'library', 'movements', 'photos'], 'readwrite');
        try {
          for (const [key, picture] of pictures) await tx.objectStore('photos').put(picture, key);
          for (const movement of movements) await tx.objectStore('movements').put(movement);
          for (const entry of library) await tx.objectStore('library').put(storedEntry(entry));
          const store = tx.objectStore('jobs');
          for (const job of jobs) {
            const next = nextStored(await store.get(job.id), job, null);
            if (next.ok) await putJob(tx, next.stored);
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
