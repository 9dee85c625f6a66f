import type { LibraryEntry, Movement } from '@esmero/core';
import { briefOf } from './brief';
import { blobOf } from './photo';
import type { StoredJob } from './schema';
import { type Kept, type Store, entryId, nextStored } from './store';

const kept: Kept = { kind: 'kept' };

/** Stands in where the browser keeps nothing: all is there until the tab closes. */
export function memoryStore(): Store {
  const jobs = new Map<string, StoredJob>();
  const entries = new Map<string, LibraryEntry>();
  const settings = new Map<string, unknown>();
  const movements = new Map<string, Movement>();
  const photos = new Map<string, Blob>();
  const lastFirst = (): readonly StoredJob[] => [...jobs.values()].sort((p, q) => q.changedAt - p.changedAt);
  const saveJob: Store['saveJob'] = async (job, base) => {
    const next = nextStored(jobs.get(job.id), job, base);
    if (!next.ok) return { kind: 'conflict', theirs: next.theirs };
    jobs.set(job.id, next.stored);
    return { kind: 'saved', revision: next.stored.revision };
  };
  return {
    durable: false,
    jobs: async () => lastFirst(),
    briefs: async () => lastFirst().map(briefOf),
    job: async (id) => jobs.get(id),
    saveJob,
    archiveJob: async (id, archived) => {
      const present = jobs.get(id);
      if (present) jobs.set(id, { ...present, archived });
      return kept;
    },
    library: async () => [...entries.values()],
    saveEntry: async (entry) => {
      entries.set(entryId(entry), entry);
      return kept;
    },
    movements: async () => [...movements.values()].sort((p, q) => p.at - q.at),
    merge: async (collection) => {
      for (const photo of collection.photos) photos.set(photo.key, blobOf(photo));
      for (const movement of collection.movements) movements.set(movement.id, movement);
      for (const entry of collection.library) entries.set(entryId(entry), entry);
      for (const job of collection.jobs) await saveJob(job, null);
      return kept;
    },
    photo: async (key) => photos.get(key),
    keepPhoto: async (key, picture) => {
      photos.set(key, picture);
      return kept;
    },
    setting: async (key) => settings.get(key),
    keepSetting: async (key, value) => {
      settings.set(key, value);
      return kept;
    },
  };
}
