import type { Job, LibraryEntry } from '@esmero/model';
import { type Stamp, freshId, together } from '@esmero/records';
import { type Change, type KeepFault, type Store, entryId } from '@esmero/store';
import { keepAside } from './aside';
import { type Pace, Stopped } from './pace';
import type { Choice, Review, ReviewRow } from './review';
import { type Source, isAside } from './source';

/** What is to become of what a file holds. */
export interface Choices {
  /** By the key of a row; those that are left out stay as they are. */
  readonly rows: Readonly<Record<string, Choice>>;
  /** Are its movements to be added to the stock? */
  readonly stock: boolean;
}

/** What came in. */
export interface Brought {
  readonly jobs: number;
  readonly items: number;
  readonly movements: number;
  readonly pictures: number;
  /** Keys of what had changed here meanwhile, and was left as it is. */
  readonly left: readonly string[];
}

export type Applied = ({ readonly kind: 'done' } & Brought) | { readonly kind: 'stopped' } | KeepFault;

const SETTING = 'import';
/** Changes, and bytes of pictures, that are written in one transaction. */
const SLICE = 50;
const SLICE_BYTES = 8_000_000;
const MOST_NAME = 120;

/** The last import, as long as it can be taken back. */
export interface LastImport {
  readonly file: string;
  readonly at: number;
  /** It was cut off in the middle: nothing but taking it back makes sense of it. */
  readonly unfinished: boolean;
}

export async function lastImport(store: Store): Promise<LastImport | null> {
  return ((await store.setting(SETTING)) as LastImport | null | undefined) ?? null;
}

class Writer {
  private slice: Change[] = [];
  private bytes = 0;
  readonly left: string[] = [];

  constructor(private readonly store: Store) {}

  async add(change: Change): Promise<void> {
    this.slice.push(change);
    if (change.table === 'photos') this.bytes += change.picture.size;
    if (this.slice.length >= SLICE || this.bytes >= SLICE_BYTES) await this.flush();
  }

  /** @throws KeepFault when it cannot be stored */
  async flush(): Promise<void> {
    const done = await this.store.importSlice(this.slice);
    [this.slice, this.bytes] = [[], 0];
    if (done.kind !== 'kept') throw done;
    this.left.push(...done.left);
  }
}

const photosOf = ({ marks, pictures }: Job): readonly string[] =>
  [...marks, ...pictures].flatMap(({ photo }) => photo ?? []);

/**
 * Brings in what was chosen, slice by slice. When it is called off or cannot be stored, what came in so far is taken
 * back: it is all of it or nothing.
 */
export async function applied(
  source: Source,
  review: Review,
  choices: Choices,
  file: string,
  store: Store,
  pace: Pace,
): Promise<Applied> {
  const rows = new Map(review.rows.map((row) => [row.key, row]));
  const state = (unfinished: boolean) =>
    store.keepSetting(SETTING, { file, at: Date.now(), unfinished } satisfies LastImport);
  const begun = await store.beginImport();
  if (begun.kind !== 'kept') return begun;
  await state(true);
  try {
    const brought = await bring(source, rows, choices, store, pace);
    const aside = review.aside.flatMap(({ path, text }) => (text === null ? [] : [{ path, text }]));
    if (aside.length > 0) await keepAside(store, aside);
    await state(false);
    return { kind: 'done', ...brought };
  } catch (error) {
    await takenBack(store, () => undefined);
    if (error instanceof Stopped) return { kind: 'stopped' };
    if (typeof error === 'object' && error !== null && 'kind' in error) return error as KeepFault;
    return { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
  }
}

async function bring(
  source: Source,
  rows: ReadonlyMap<string, ReviewRow>,
  choices: Choices,
  store: Store,
  pace: Pace,
): Promise<Brought> {
  const writer = new Writer(store);
  const count = { jobs: 0, items: 0, movements: 0, pictures: 0 };
  const all = source.jobCount + source.library.length + source.movements.length;
  let at = 0;
  /** It follows from both; what is in it is theirs, so it is no change of this browser. */
  const stampFor = (theirs: Stamp, mine: Stamp | undefined): Stamp => ({
    changedAt: theirs.changedAt || Date.now(),
    vector: together(theirs.vector, mine?.vector ?? {}),
  });
  for await (const theirs of source.jobs()) {
    await pace.at(at++ / all);
    if (isAside(theirs)) continue;
    const row = rows.get(`job/${theirs.job.id}`);
    const choice = row && choices.rows[row.key];
    if (!row || !choice || choice === 'mine') continue;
    for (const key of photosOf(theirs.job))
      if (source.photoKeys.has(key)) {
        await writer.add({ table: 'photos', id: key, picture: await source.photo(key) });
        count.pictures++;
      }
    const mine = choice === 'both' || row.expects === null ? undefined : await store.job(theirs.job.id);
    const job =
      choice === 'both' ? { ...theirs.job, id: freshId('job'), name: copied(theirs.job.name, 160) } : theirs.job;
    await writer.add({
      table: 'jobs',
      id: job.id,
      expects: choice === 'both' ? null : row.expects,
      job,
      archived: theirs.archived,
      stamp: stampFor(theirs, mine),
    });
    count.jobs++;
  }
  const library = new Map((await store.library()).map((entry) => [entryId(entry), entry]));
  for (const theirs of source.library) {
    await pace.at(at++ / all);
    const row = rows.get(entryId(theirs));
    const choice = row && choices.rows[row.key];
    if (!row || !choice || choice === 'mine') continue;
    const item =
      choice === 'both'
        ? { ...theirs.item, id: freshId(theirs.kind), name: copied(theirs.item.name, MOST_NAME) }
        : theirs.item;
    const entry = { kind: theirs.kind, archived: theirs.archived, item } as LibraryEntry;
    const mine = choice === 'both' ? undefined : library.get(entryId(theirs));
    await writer.add({
      table: 'library',
      id: entryId(entry),
      expects: choice === 'both' ? null : row.expects,
      entry,
      stamp: stampFor(theirs, mine),
    });
    count.items++;
  }
  if (choices.stock) {
    const known = new Set((await store.movements()).map(({ id }) => id));
    for (const movement of source.movements) {
      await pace.at(at++ / all);
      if (known.has(movement.id)) continue;
      await writer.add({ table: 'movements', id: movement.id, movement });
      count.movements++;
    }
  }
  await writer.flush();
  return { ...count, left: writer.left };
}

const copied = (name: string, most: number): string => `${name.slice(0, most - ' (imported)'.length)} (imported)`;

/** Takes the last import back. Names what was changed since, and stays. */
export async function takenBack(store: Store, progress: (share: number) => void): Promise<readonly string[]> {
  const back = store.takeBackImport();
  for (;;) {
    const { done, value } = await back.next();
    if (done) {
      await store.keepSetting(SETTING, null);
      return value;
    }
    progress(value);
  }
}
