import { type Encoding, type Mapping, type TableKind, type Unreadable, writeCollection } from '@esmero/exchange';
import type { Photo } from '@esmero/model';
import { type KeepFault, type Store, dataUrlOf, everything } from '@esmero/store';
import { type Applied, type Choices, applied, takenBack } from './apply';
import { type BackedUp, writeBackup } from './backup';
import { type Foreign, ForeignFile, type ForeignSpan, type TableReview } from './foreign';
import { Pace, type Progress, Stopped } from './pace';
import { type Review, reviewOf } from './review';
import { type Source, openSource, sourceOf } from './source';

export type Ended = { readonly kind: 'stopped' } | { readonly kind: 'failed'; readonly message: string };

export type Backup = ({ readonly kind: 'done'; readonly file: Blob | null } & BackedUp) | Ended;
export type Reviewed =
  | { readonly kind: 'review'; readonly review: Review }
  | { readonly kind: 'unreadable'; readonly why: Unreadable }
  | Ended;

/** @property left what was changed since, and stays */
export type Undone = { readonly kind: 'done'; readonly left: readonly string[] } | KeepFault;

/** Files in and out. One thing at a time; all of it can be called off. */
export interface Transfer {
  /** @param to a file to write into; null gives the backup back */
  backup(to: FileSystemFileHandle | null, progress: Progress): Promise<Backup>;
  /** Library, jobs, stock and pictures as one plain JSON file. */
  collection(): Promise<Blob>;
  review(file: Blob, progress: Progress): Promise<Reviewed>;
  /**
   * Opens a file of another program: a table, contacts or a calendar.
   * @param encoding how its letters are written; null to find out
   */
  openForeign(file: Blob, encoding: Encoding | null, span: ForeignSpan, progress: Progress): Promise<Foreign | Ended>;
  /** What the open table comes to, with columns taken as somebody says. */
  lookAtTable(
    kind: TableKind,
    taken: Mapping,
    currency: string,
    progress: Progress,
  ): Promise<{ readonly kind: 'table'; readonly review: TableReview } | Ended>;
  /** What the open file of another program comes to, beside what is here. */
  reviewForeign(progress: Progress): Promise<Reviewed>;
  /** Brings in what was looked at last. */
  apply(choices: Choices, file: string, progress: Progress): Promise<Applied>;
  /** Takes the last import back. */
  undo(progress: Progress): Promise<Undone>;
  stop(): void;
}

const GONE = 'The file is no longer open. Choose it again.';

const ended = (error: unknown): Ended =>
  error instanceof Stopped
    ? { kind: 'stopped' }
    : { kind: 'failed', message: error instanceof Error ? error.message : String(error) };

/** Gathers what is written; the browser puts large ones on its disk. */
function gathered(): { readonly to: WritableStream<Uint8Array>; file(): Promise<Blob> } {
  const { readable, writable } = new TransformStream<Uint8Array, Uint8Array>();
  const file = new Response(readable, { headers: { 'content-type': 'application/zip' } }).blob();
  file.catch(() => undefined);
  return { to: writable, file: () => file };
}

/** Pictures as data URLs, for a file that is nothing but text. */
async function photosIn(store: Store): Promise<readonly Photo[]> {
  const photos: Photo[] = [];
  for (const key of await store.photoKeys()) {
    const picture = await store.photo(key);
    if (picture) photos.push({ key, picture: await dataUrlOf(picture) });
  }
  return photos;
}

export function transferOn(opening: Promise<Store>): Transfer {
  let pace = new Pace(() => undefined);
  let open: { readonly source: Source; readonly review: Review } | null = null;
  const foreign = opening.then((store) => new ForeignFile(store));
  foreign.catch(() => undefined);
  const begin = (progress: Progress): Pace => (pace = new Pace(progress));
  return {
    async backup(to, progress) {
      const mine = begin(progress);
      const stream = to ? await to.createWritable().catch((error: unknown) => ended(error)) : null;
      if (stream && 'kind' in stream) return stream;
      const gathering = stream ? null : gathered();
      try {
        const counts = await writeBackup(await opening, stream ?? gathering!.to, mine);
        return { kind: 'done', file: gathering ? await gathering.file() : null, ...counts };
      } catch (error) {
        // What was begun is not left behind as if it were whole.
        await (stream ?? gathering!.to).abort().catch(() => undefined);
        return ended(error);
      }
    },
    async collection() {
      const store = await opening;
      return new Blob([writeCollection({ ...(await everything(store)), photos: await photosIn(store) })], {
        type: 'application/json',
      });
    },
    async review(file, progress) {
      const mine = begin(progress);
      open = null;
      try {
        const source = await openSource(file, mine);
        if (!source.ok) return { kind: 'unreadable', why: source.why };
        const review = await reviewOf(source.value, await opening, mine);
        open = { source: source.value, review };
        return { kind: 'review', review };
      } catch (error) {
        return ended(error);
      }
    },
    async openForeign(file, encoding, span, progress) {
      const mine = begin(progress);
      return (await foreign).open(file, encoding, span, mine).catch(ended);
    },
    async lookAtTable(kind, taken, currency, progress) {
      const mine = begin(progress);
      return (await foreign)
        .look(kind, taken, currency, mine)
        .then((review) => ({ kind: 'table' as const, review }), ended);
    },
    async reviewForeign(progress) {
      const mine = begin(progress);
      const { found } = await foreign;
      if (!found) return { kind: 'failed', message: GONE };
      try {
        const source = sourceOf('collection', found);
        const review = await reviewOf(source, await opening, mine);
        open = { source, review };
        return { kind: 'review', review };
      } catch (error) {
        return ended(error);
      }
    },
    async apply(choices, file, progress) {
      const mine = begin(progress);
      if (!open) return { kind: 'failed', message: GONE };
      return applied(open.source, open.review, choices, file, await opening, mine);
    },
    async undo(progress) {
      begin(progress);
      try {
        return { kind: 'done', left: await takenBack(await opening, progress) };
      } catch (error) {
        return { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
      }
    },
    stop: () => pace.stop(),
  };
}
