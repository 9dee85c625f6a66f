import type { LibraryEntry, Movement } from '@esmero/model';
import type { JobDocument, Stamp } from '@esmero/records';
import type { StoredBrief } from './brief';

/** A job as it is kept: a document of its version, read through the steps of the files. */
export interface JobRow extends Stamp {
  readonly id: string;
  readonly version: number;
  readonly document: JobDocument;
  /** Each save raises it, so that two tabs can tell. */
  readonly revision: number;
  readonly archived: boolean;
}

export interface EntryRow extends Stamp {
  readonly id: string;
  readonly version: number;
  readonly kind: LibraryEntry['kind'];
  readonly archived: boolean;
  readonly item: unknown;
  readonly revision: number;
}

/** What was there before an import, so that it can be taken back. */
export interface UndoRow {
  readonly key: string;
  readonly table: 'jobs' | 'library' | 'movements';
  readonly id: string;
  /** null where there was nothing. */
  readonly before: unknown;
  /** Revision that the import gave it: whoever has changed it since keeps the change. */
  readonly revision: number | null;
}

/** What is kept on this machine. */
export interface Rows {
  readonly jobs: JobRow;
  /** Jobs in brief, written with every job: lists read thousands of them. */
  readonly briefs: StoredBrief;
  readonly library: EntryRow;
  readonly settings: unknown;
  /** Scaled-down pictures, by their key. */
  readonly photos: Blob;
  /** What moved in the stock; nothing is ever taken out but by taking back an import. */
  readonly movements: Movement;
  readonly undo: UndoRow;
}
export type Table = keyof Rows;

/** Tables whose rows have no field that names them. */
export const outOfLine: ReadonlySet<Table> = new Set<Table>(['settings', 'photos']);
export const keyOf: Readonly<Partial<Record<Table, string>>> = {
  jobs: 'id',
  briefs: 'id',
  library: 'id',
  movements: 'id',
  undo: 'key',
};
export const tables: readonly Table[] = ['jobs', 'briefs', 'library', 'settings', 'photos', 'movements', 'undo'];

/** One transaction: all of it is written, or nothing. It must wait for nothing but itself. */
export interface Transaction {
  get<T extends Table>(table: T, key: string): Promise<Rows[T] | undefined>;
  /** @param key where rows have no field that names them */
  put<T extends Table>(table: T, row: Rows[T], key?: string): Promise<void>;
  delete(table: Table, key: string): Promise<void>;
  /** In order. */
  keys(table: Table): Promise<readonly string[]>;
  /** Rows from one key to another, both included, in the order of their keys. */
  between<T extends Table>(table: T, first: string, last: string): Promise<readonly Rows[T][]>;
  clear(table: Table): Promise<void>;
}

export interface Tables {
  /** @throws what the browser throws; then nothing has been written */
  run<T>(names: readonly Table[], mode: 'readonly' | 'readwrite', work: (tx: Transaction) => Promise<T>): Promise<T>;
  /** Told when a connection that was closed underneath has been opened again, or cannot be. */
  onReopened?(listener: (outcome: 'open' | 'newer') => unknown): void;
  close(): void;
}
