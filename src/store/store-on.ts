import { type Job, type LibraryEntry, byOrder } from '@esmero/model';
import { migrateItem, readDocument } from '@esmero/migrations';
import { type Stamp, advanced, collectionVersion, jobDocument, jobVersion, merged, same } from '@esmero/records';
import { briefOf, isOfToday, BRIEFS } from './brief';
import { blobOf } from './photo';
import { type Change, type KeepFault, type Kept, type Keeping, type Store, entryId } from './store';
import type { StoredEntry, StoredJob } from './stored';
import type { EntryRow, JobRow, Rows, Table, Tables, Transaction, UndoRow } from './tables';

/** Records that are read or written in one go: a few milliseconds, so that the page is free in between. */
const PART = 400;
/** Rows that are put back in one transaction. */
const UNDO_PART = 50;

function faultOf(error: unknown): KeepFault {
  if (error instanceof DOMException && error.name === 'QuotaExceededError') return { kind: 'full' };
  if (error instanceof DOMException && error.name === 'VersionError') return { kind: 'newer' };
  return { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
}

const jobOf = ({ id, version, document, revision, changedAt, vector, archived }: JobRow): StoredJob => ({
  ...{ id, revision, changedAt, vector, archived },
  job: readDocument(document, version),
});

const entryOf = ({ kind, version, item, archived, revision, changedAt, vector }: EntryRow): StoredEntry =>
  ({
    kind,
    archived,
    item: version === collectionVersion ? item : migrateItem(kind, item, version),
    revision,
    changedAt,
    vector,
  }) as StoredEntry;

const jobRow = (job: Job, kept: Omit<StoredJob, 'id' | 'job'>): JobRow => ({
  ...{ id: job.id, version: jobVersion, document: jobDocument(job) },
  ...{ revision: kept.revision, changedAt: kept.changedAt, vector: kept.vector, archived: kept.archived },
});

const entryRow = (entry: LibraryEntry, kept: Stamp & { readonly revision: number }): EntryRow => ({
  ...{ id: entryId(entry), version: collectionVersion, kind: entry.kind, archived: entry.archived, item: entry.item },
  ...{ revision: kept.revision, changedAt: kept.changedAt, vector: kept.vector },
});

/** A job and its brief go together. */
async function putJob(tx: Transaction, row: JobRow): Promise<void> {
  await tx.put('jobs', row);
  await tx.put('briefs', briefOf(jobOf(row)));
}

/** A store on tables, wherever these are. */
export async function storeOn(tables: Tables, keeping: Keeping): Promise<Store> {
  const read = <T>(names: readonly Table[], work: (tx: Transaction) => Promise<T>): Promise<T> =>
    tables.run(names, 'readonly', work);
  const write = <T>(names: readonly Table[], work: (tx: Transaction) => Promise<T>): Promise<T> =>
    tables.run(names, 'readwrite', work);

  /** Runs a write and turns what it throws into data. */
  const keep = async (names: readonly Table[], work: (tx: Transaction) => Promise<unknown>): Promise<Kept> =>
    write(names, work).then((): Kept => ({ kind: 'kept' }), faultOf);

  /** All of what there are thousands of, part by part. */
  async function inParts<T extends 'briefs' | 'movements' | 'undo'>(table: T): Promise<Rows[T][]> {
    const keys = await read([table], (tx) => tx.keys(table));
    const all: Rows[T][] = [];
    for (let at = 0; at < keys.length; at += PART)
      all.push(
        ...(await read([table], (tx) => tx.between(table, keys[at]!, keys[Math.min(at + PART, keys.length) - 1]!))),
      );
    return all;
  }

  const browser = await write(['settings'], async (tx) => {
    const known = await tx.get('settings', 'browser');
    if (typeof known === 'string') return known;
    const fresh = `b${[...crypto.getRandomValues(new Uint8Array(8))].map((byte) => byte.toString(36)).join('')}`;
    await tx.put('settings', fresh, 'browser');
    return fresh;
  });

  /** After an upgrade, or where briefs know more than they did. */
  async function makeBriefs(): Promise<void> {
    if (isOfToday(await read(['settings'], (tx) => tx.get('settings', 'briefs')))) return;
    const ids = await read(['jobs'], (tx) => tx.keys('jobs'));
    for (let at = 0; at < ids.length; at += PART)
      await write(['jobs', 'briefs'], async (tx) => {
        const rows = await tx.between('jobs', ids[at]!, ids[Math.min(at + PART, ids.length) - 1]!);
        for (const row of rows) await tx.put('briefs', briefOf(jobOf(row)));
      });
    await write(['settings'], (tx) => tx.put('settings', BRIEFS, 'briefs'));
  }
  await makeBriefs();

  const next = (present: Stamp | undefined): Stamp => ({
    changedAt: Date.now(),
    vector: advanced(present?.vector ?? {}, browser),
  });

  async function change(tx: Transaction, one: Change, left: string[]): Promise<void> {
    if (one.table === 'photos') {
      if ((await tx.get('photos', one.id)) === undefined) await tx.put('photos', one.picture, one.id);
      return;
    }
    const present = (await tx.get(one.table, one.id)) as { readonly revision?: number } | undefined;
    const revision = one.table === 'movements' ? null : (present?.revision ?? 0) + 1;
    if (one.table === 'movements' ? present : (present?.revision ?? null) !== one.expects)
      return void left.push(one.id);
    const key = `${one.table}/${one.id}`;
    if (!(await tx.get('undo', key)))
      await tx.put('undo', { key, table: one.table, id: one.id, before: present ?? null, revision });
    if (one.table === 'movements') await tx.put('movements', one.movement);
    else if (one.table === 'jobs')
      await putJob(tx, jobRow(one.job, { ...one.stamp, archived: one.archived, revision: revision! }));
    else await tx.put('library', entryRow(one.entry, { ...one.stamp, revision: revision! }));
  }

  async function putBack(tx: Transaction, { table, id, before, revision }: UndoRow, left: string[]): Promise<void> {
    const present = (await tx.get(table, id)) as { readonly revision?: number } | undefined;
    if (table !== 'movements' && present?.revision !== revision) return void left.push(`${table}/${id}`);
    if (before === null) {
      await tx.delete(table, id);
      if (table === 'jobs') await tx.delete('briefs', id);
    } else if (table === 'jobs') await putJob(tx, { ...(before as JobRow), revision: revision! + 1 });
    else if (table === 'library') await tx.put('library', { ...(before as EntryRow), revision: revision! + 1 });
  }

  return {
    keeping,
    browser,
    briefs: async () => (await inParts('briefs')).sort((p, q) => q.changedAt - p.changedAt),
    jobIds: () => read(['jobs'], (tx) => tx.keys('jobs')),
    job: async (id) => {
      const row = await read(['jobs'], (tx) => tx.get('jobs', id));
      return row && jobOf(row);
    },
    jobs: async (ids) => {
      const rows = await read(['jobs'], (tx) => Promise.all(ids.map((id) => tx.get('jobs', id))));
      return rows.flatMap((row) => (row ? [jobOf(row)] : []));
    },
    saveJob: (job, base) =>
      write(['jobs', 'briefs'], async (tx) => {
        const present = await tx.get('jobs', job.id);
        if (present && base !== null && present.revision !== base)
          return { kind: 'conflict' as const, theirs: jobOf(present) };
        const revision = Math.max(present?.revision ?? 0, base ?? 0) + 1;
        await putJob(tx, jobRow(job, { ...next(present), revision, archived: present?.archived ?? false }));
        return { kind: 'saved' as const, revision };
      }).catch(faultOf),
    archiveJobs: (ids, archived) =>
      keep(['jobs', 'briefs'], async (tx) => {
        for (const id of ids) {
          const present = await tx.get('jobs', id);
          if (present) await putJob(tx, { ...present, archived });
        }
      }),
    deleteJobs: (ids) =>
      keep(['jobs', 'briefs'], async (tx) => {
        for (const id of ids) {
          await tx.delete('jobs', id);
          await tx.delete('briefs', id);
        }
      }),
    library: async () => {
      const rows = await read(['library'], async (tx) => {
        const keys = await tx.keys('library');
        return keys.length > 0 ? tx.between('library', keys[0]!, keys.at(-1)!) : [];
      });
      return rows.map(entryOf);
    },
    saveEntry: (entry, base) =>
      write(['library'], async (tx) => {
        const row = await tx.get('library', entryId(entry));
        const present = row && entryOf(row);
        const mine = { archived: entry.archived, item: entry.item };
        const both =
          present && base
            ? merged<object>({ archived: base.archived, item: base.item }, mine, {
                archived: present.archived,
                item: present.item,
              })
            : { value: mine, conflicts: [] };
        const kept = { kind: entry.kind, ...both.value } as LibraryEntry;
        if (both.conflicts.length > 0)
          return { kind: 'conflict' as const, theirs: present!, fields: both.conflicts, mine: kept };
        if (present && same({ archived: present.archived, item: present.item }, both.value))
          return { kind: 'saved' as const, stored: present };
        const written = entryRow(kept, { ...next(present), revision: (present?.revision ?? 0) + 1 });
        await tx.put('library', written);
        return { kind: 'saved' as const, stored: entryOf(written) };
      }).catch(faultOf),
    deleteEntry: (entry) => keep(['library'], (tx) => tx.delete('library', entryId(entry))),
    movements: async () => (await inParts('movements')).sort(byOrder),
    post: (movements) =>
      keep(['movements'], async (tx) => {
        for (const movement of movements) await tx.put('movements', movement);
      }),
    merge: ({ library, jobs, movements, photos }) =>
      keep(['jobs', 'briefs', 'library', 'movements', 'photos'], async (tx) => {
        for (const photo of photos) await tx.put('photos', blobOf(photo), photo.key);
        for (const movement of movements) await tx.put('movements', movement);
        for (const entry of library) {
          const present = await tx.get('library', entryId(entry));
          await tx.put('library', entryRow(entry, { ...next(present), revision: (present?.revision ?? 0) + 1 }));
        }
        for (const job of jobs) {
          const present = await tx.get('jobs', job.id);
          await putJob(
            tx,
            jobRow(job, {
              ...next(present),
              revision: (present?.revision ?? 0) + 1,
              archived: present?.archived ?? false,
            }),
          );
        }
      }),
    photo: (key) => read(['photos'], (tx) => tx.get('photos', key)),
    photoKeys: () => read(['photos'], (tx) => tx.keys('photos')),
    usedPhotos: async () => {
      const used = new Set((await inParts('briefs')).flatMap(({ photos }) => photos));
      for (const { table, before } of await inParts('undo'))
        if (table === 'jobs' && before) briefOf(jobOf(before as JobRow)).photos.forEach((key) => used.add(key));
      return used;
    },
    keepPhoto: (key, picture) => keep(['photos'], (tx) => tx.put('photos', picture, key)),
    deletePhotos: (keys) =>
      keep(['photos'], async (tx) => {
        for (const key of keys) await tx.delete('photos', key);
      }),
    setting: (key) => read(['settings'], (tx) => tx.get('settings', key)),
    keepSetting: (key, value, base) =>
      keep(['settings'], async (tx) => {
        const present = await tx.get('settings', key);
        const both = base && present ? merged(base as object, value as object, present as object).value : value;
        await tx.put('settings', both, key);
      }),
    beginImport: () => keep(['undo'], (tx) => tx.clear('undo')),
    importSlice: (changes) => {
      const left: string[] = [];
      return write(['jobs', 'briefs', 'library', 'movements', 'photos', 'undo'], async (tx) => {
        left.length = 0;
        for (const one of changes) await change(tx, one, left);
      }).then(() => ({ kind: 'kept' as const, left }), faultOf);
    },
    async *takeBackImport() {
      const keys = await read(['undo'], (tx) => tx.keys('undo'));
      const left: string[] = [];
      for (let at = 0; at < keys.length; at += UNDO_PART) {
        const part = keys.slice(at, at + UNDO_PART);
        const leftHere: string[] = [];
        await write(['jobs', 'briefs', 'library', 'movements', 'undo'], async (tx) => {
          leftHere.length = 0;
          for (const key of part) {
            const row = await tx.get('undo', key);
            if (row) await putBack(tx, row, leftHere);
            await tx.delete('undo', key);
          }
        });
        left.push(...leftHere);
        yield (at + part.length) / keys.length;
      }
      return left;
    },
    onTrouble: tables.onReopened ? watched(tables, browser) : () => undefined,
    close: () => tables.close(),
  };
}

/** Tells when the database was deleted underneath, or taken further by a newer application. */
function watched(tables: Tables, browser: string): Store['onTrouble'] {
  const listeners: Parameters<Store['onTrouble']>[0][] = [];
  tables.onReopened?.(async (outcome) => {
    if (outcome === 'newer') return listeners.forEach((listener) => listener('newer'));
    const isThere = (await tables.run(['settings'], 'readonly', (tx) => tx.get('settings', 'browser'))) === browser;
    if (isThere) return;
    await tables.run(['settings'], 'readwrite', async (tx) => {
      await tx.put('settings', browser, 'browser');
      await tx.put('settings', BRIEFS, 'briefs');
    });
    listeners.forEach((listener) => listener('lost'));
  });
  return (listener) => void listeners.push(listener);
}
