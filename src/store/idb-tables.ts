import { type IDBPDatabase, type IDBPTransaction, openDB } from 'idb';
import { heaterBefore4, movementsInOrder } from '@esmero/migrations';
import { collectionVersion, jobVersion } from '@esmero/records';
import { documentOf } from './before';
import { type Rows, type Table, type Tables, type Transaction, keyOf, outOfLine, tables } from './tables';

const DB_NAME = 'esmero';

/**
 * Rises with every version of its documents, so that an older application in an old tab is told that there is a
 * newer one, rather than reading what it cannot.
 */
const DB_VERSION = 1 + jobVersion + collectionVersion;

/** Up to here the database had upgrades of its own; since then rows name the version of their document. */
const LAST_UNVERSIONED = 9;
/** Versions of the files that rows of such a database are alike to, from its version 1. */
const jobVersionBefore = [2, 2, 3, 4, 5, 6, 7, 8, 8];
const collectionVersionBefore = [1, 1, 2, 3, 4, 5, 6, 7, 7];

type Database = IDBPDatabase;
type Upgrading = IDBPTransaction<unknown, string[], 'versionchange'>;

type Old = Readonly<Record<string, unknown>>;
const unstamped = { changedAt: 0, vector: {} };

/** Gives the rows of an older database the version of their document; reading takes them to the present. */
async function nameVersions(tx: Upgrading, from: number): Promise<void> {
  const rows = async (table: Table): Promise<Old[]> =>
    tx.objectStoreNames.contains(table) ? tx.objectStore(table).getAll() : [];
  for (const { job, ...kept } of await rows('jobs'))
    await tx.objectStore('jobs').put({
      revision: 1,
      archived: false,
      ...unstamped,
      ...kept,
      version: jobVersionBefore[from - 1],
      document: documentOf(job as Old),
    });
  const version = collectionVersionBefore[from - 1];
  const library = await rows('library');
  for (const entry of library) await tx.objectStore('library').put({ revision: 1, ...unstamped, ...entry, version });
  // Before version 4 a heater came with mains power.
  if (from < 4 && library.length > 0)
    await tx.objectStore('library').put({
      id: 'gear/heater',
      kind: 'gear',
      archived: false,
      item: heaterBefore4,
      revision: 1,
      ...unstamped,
      version,
    });
  const movements = movementsInOrder(await rows('movements')) as Old[];
  for (const movement of movements) await tx.objectStore('movements').put(movement);
}

async function upgrade(db: Database, from: number, tx: Upgrading): Promise<void> {
  for (const name of tables)
    if (!db.objectStoreNames.contains(name))
      db.createObjectStore(name, outOfLine.has(name) ? {} : { keyPath: keyOf[name]! });
  if (from > 0 && from <= LAST_UNVERSIONED) await nameVersions(tx, from);
  // Made anew from the jobs when the store is opened.
  await tx.objectStore('briefs').clear();
  await tx.objectStore('settings').delete('briefs');
}

const transactionOf = (tx: IDBPTransaction<unknown, string[], 'readwrite'>): Transaction => ({
  get: (table, key) => tx.objectStore(table).get(key),
  put: async <T extends Table>(table: T, row: Rows[T], key?: string) =>
    void (await tx.objectStore(table).put(row, key)),
  delete: (table, key) => tx.objectStore(table).delete(key),
  keys: async (table) => (await tx.objectStore(table).getAllKeys()) as string[],
  between: (table, first, last) => tx.objectStore(table).getAll(IDBKeyRange.bound(first, last)),
  clear: (table) => tx.objectStore(table).clear(),
});

/** Whoever took the database away is given so long to be done with it. */
const REOPEN_AFTER_MS = 200;

/** Was the connection closed, by the browser, by a newer version or with the database itself? */
const isClosed = (error: unknown): boolean =>
  error instanceof DOMException && (error.name === 'InvalidStateError' || error.name === 'AbortError');

/**
 * The browser's database. A connection that was closed underneath is opened again, and what was being done is done
 * again: a transaction that did not come to its end has changed nothing.
 * @throws VersionError (DOMException) when a newer application has taken the database further
 */
export async function idbTables(name = DB_NAME): Promise<Tables> {
  let gone = false;
  const listeners: ((outcome: 'open' | 'newer') => unknown)[] = [];
  const connect = (): Promise<Database> => {
    gone = false;
    return openDB(name, DB_VERSION, {
      upgrade: (db, from, _to, tx) => upgrade(db, from, tx as unknown as Upgrading),
      // A newer tab wants to upgrade, or somebody deletes all: let them, rather than block them.
      blocking(_current, _blocked, event) {
        lose();
        (event.target as IDBDatabase).close();
      },
      terminated: () => lose(),
    });
  };
  let db = await connect();

  async function reconnect(): Promise<void> {
    db.close();
    try {
      db = await connect();
    } catch (error) {
      const isNewer = error instanceof DOMException && error.name === 'VersionError';
      if (isNewer) listeners.forEach((listener) => listener('newer'));
      throw error;
    }
    listeners.forEach((listener) => listener('open'));
  }

  /** Opened again soon, so that what is on the page is not left without a place. */
  function lose(): void {
    gone = true;
    setTimeout(() => {
      if (gone) reconnect().catch(() => undefined);
    }, REOPEN_AFTER_MS);
  }

  async function once<T>(
    names: readonly Table[],
    mode: 'readonly' | 'readwrite',
    work: (tx: Transaction) => Promise<T>,
  ): Promise<T> {
    const tx = db.transaction([...names], mode) as unknown as IDBPTransaction<unknown, string[], 'readwrite'>;
    try {
      const value = await work(transactionOf(tx));
      await tx.done;
      return value;
    } catch (error) {
      // Without this the part that went well would stay.
      tx.done.catch(() => undefined);
      try {
        tx.abort();
      } catch {
        // It has ended already.
      }
      throw error;
    }
  }

  return {
    async run(names, mode, work) {
      if (gone) await reconnect();
      try {
        return await once(names, mode, work);
      } catch (error) {
        if (!gone && !isClosed(error)) throw error;
        await reconnect();
        return once(names, mode, work);
      }
    },
    onReopened: (listener) => void listeners.push(listener),
    close: () => db.close(),
  };
}
