import { type FileEntry, Reader, ZipReader, configure } from '@zip.js/zip.js';
import type { Movement } from '@esmero/model';
import {
  type Manifest,
  type Read,
  type Unreadable,
  readKeptJob,
  readManifest,
  readingCollection,
} from '@esmero/exchange';
import type { Holdings, KeptEntry, KeptJob } from '@esmero/records';
import { blobOf } from '@esmero/store';
import { ASIDE, COLLECTION, JOBS, MANIFEST, PICTURES, checksum, pictureAt } from './backup';
import type { Pace } from './pace';

configure({ useWebWorkers: false });

/** A job of a backup that cannot be read: the rest comes in, and it is kept as it is. */
export interface Aside {
  readonly path: string;
  readonly why: Unreadable;
  /** The whole file; null where its bytes are gone. */
  readonly text: string | null;
}

/** What a file holds that somebody chose; jobs are fetched one by one, as often as they are asked for. */
export interface Source {
  readonly kind: 'job' | 'collection' | 'backup';
  readonly jobCount: number;
  jobs(): AsyncGenerator<KeptJob | Aside>;
  readonly library: readonly KeptEntry[];
  readonly movements: readonly Movement[];
  readonly photoKeys: ReadonlySet<string>;
  photo(key: string): Promise<Blob>;
}

const no = (why: Unreadable): Read<never> => ({ ok: false, why });

export const isAside = (one: KeptJob | Aside): one is Aside => 'why' in one;

export function sourceOf(kind: Source['kind'], { jobs, library, movements, photos }: Holdings): Source {
  const pictures = new Map(photos.map((photo) => [photo.key, photo]));
  return {
    kind,
    jobCount: jobs.length,
    async *jobs() {
      yield* jobs;
    },
    library,
    movements,
    photoKeys: new Set(pictures.keys()),
    photo: async (key) => blobOf(pictures.get(key)!),
  };
}

/** A job or a whole collection: the file says which. */
async function openJson(text: string, pace: Pace): Promise<Read<Source>> {
  const reading = readingCollection(text);
  for (;;) {
    const { done, value } = reading.next();
    if (!done) {
      await pace.at(value);
      continue;
    }
    if (value.ok) return { ok: true, value: sourceOf('collection', value.value) };
    if (value.why.code !== 'other-format') return value;
    const job = readKeptJob(text);
    return job.ok
      ? { ok: true, value: sourceOf('job', { jobs: [job.value], library: [], movements: [], photos: [] }) }
      : job;
  }
}

type Entries = ReadonlyMap<string, FileEntry>;
type Listed = Manifest['files'][number];

/** More than a manifest, a collection, a job or a picture ever is, bytes. */
const MOST_MANIFEST = 50_000_000;
const MOST_FILE = 500_000_000;
const MOST_PICTURE = 20_000_000;
/** All of a backup, unpacked. */
const MOST_ALL = 4_000_000_000;

class TooMuch extends Error {}

/** Takes so many bytes, and breaks off where more come: what an entry says of its size need not be true. */
class BoundedWriter {
  private readonly parts: Uint8Array<ArrayBuffer>[] = [];
  private size = 0;
  readonly writable = new WritableStream<Uint8Array<ArrayBuffer>>({
    write: (part) => {
      this.size += part.length;
      if (this.size > this.most) throw new TooMuch();
      this.parts.push(part.slice());
    },
  });

  constructor(private readonly most: number) {}

  bytes(): Uint8Array<ArrayBuffer> {
    if (this.parts.length === 1) return this.parts[0]!;
    const all = new Uint8Array(this.size);
    let at = 0;
    for (const part of this.parts) {
      all.set(part, at);
      at += part.length;
    }
    return all;
  }
}

/** So much of a file is read at once: entries that lie beside each other are not fetched one by one. */
const WINDOW_BYTES = 4_000_000;

/** Reads a file window by window. */
class WindowReader extends Reader<Blob> {
  private window = new Uint8Array(0);
  private from = 0;

  constructor(private readonly file: Blob) {
    super(file);
  }

  override async init(): Promise<void> {
    this.size = this.file.size;
    await super.init?.();
  }

  override async readUint8Array(index: number, length: number): Promise<Uint8Array> {
    const isInside = index >= this.from && index + length <= this.from + this.window.length;
    if (!isInside) {
      this.window = new Uint8Array(await this.file.slice(index, index + Math.max(length, WINDOW_BYTES)).arrayBuffer());
      this.from = index;
    }
    return this.window.slice(index - this.from, index - this.from + length);
  }
}

/** An entry of a zip, unpacked; null where it cannot be, or is larger than that. */
async function unpacked(entry: FileEntry | undefined, most: number): Promise<Uint8Array<ArrayBuffer> | null> {
  if (!entry || entry.uncompressedSize > most) return null;
  const writer = new BoundedWriter(most);
  const isDone = await entry.getData(writer.writable).then(
    () => true,
    () => false,
  );
  return isDone ? writer.bytes() : null;
}

const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);

/** A file of a backup as it was written; null where it is not. */
async function whole(entries: Entries, { path, bytes, sha256 }: Listed): Promise<Uint8Array<ArrayBuffer> | null> {
  const found = await unpacked(entries.get(path), Math.min(bytes, MOST_FILE));
  const isSame = found?.length === bytes && (await checksum(found)) === sha256;
  return isSame ? found : null;
}

/** Pictures and the collection that are missing, of another size as the directory has it, or not as they were written. */
async function damagedIn(files: readonly Listed[], entries: Entries, pace: Pace): Promise<readonly string[]> {
  const pictures = files.filter(({ path }) => path.startsWith(PICTURES));
  const isOff = ({ path, bytes }: Listed): boolean => entries.get(path)?.uncompressedSize !== bytes;
  const damaged = files.filter((one) => isCollection(one) && isOff(one)).map(({ path }) => path);
  for (const [i, one] of pictures.entries()) {
    await pace.at((i / pictures.length) * 0.5);
    if (isOff(one) || one.bytes > MOST_PICTURE || !(await whole(entries, one))) damaged.push(one.path);
  }
  return damaged;
}

const isCollection = ({ path }: Listed): boolean => path === COLLECTION;

/** The jobs of a backup, each held against its checksum and the rules when its turn comes; one that is unsound stands aside. */
async function* jobsIn(files: readonly Listed[], entries: Entries): AsyncGenerator<KeptJob | Aside> {
  for (const one of files) {
    const { path } = one;
    const found = await whole(entries, one);
    const written = found ?? (await unpacked(entries.get(path), Math.min(one.bytes, MOST_FILE)));
    const text = written && textOf(written);
    const job = found && text !== null ? readKeptJob(text) : null;
    if (job?.ok) yield { ...job.value, archived: one.archived };
    else yield { path, why: job ? job.why : { code: 'damaged', paths: [path] }, text };
  }
}

async function openBackup(file: Blob, pace: Pace): Promise<Read<Source>> {
  // Entries are found by the directory at the end, so a file that was cut off is known at once.
  const found = await new ZipReader(new WindowReader(file))
    .getEntries()
    .catch((error: unknown) => (error instanceof Error ? error : new Error(String(error))));
  if (found instanceof Error) return no({ code: 'no-zip', detail: found.message });
  const entries: Entries = new Map(found.flatMap((entry) => (entry.directory ? [] : [[entry.filename, entry]])));
  if (!entries.has(MANIFEST)) return no({ code: 'no-zip', detail: `It holds no ${MANIFEST}.` });
  const manifestFile = await unpacked(entries.get(MANIFEST), MOST_MANIFEST);
  const manifest = manifestFile ? readManifest(textOf(manifestFile)) : no({ code: 'damaged', paths: [MANIFEST] });
  if (!manifest.ok) return manifest;
  const { files } = manifest.value;
  const bytes = files.reduce((sum, one) => sum + one.bytes, 0);
  if (bytes > MOST_ALL) return no({ code: 'too-large', bytes, most: MOST_ALL });
  const damaged = await damagedIn(files, entries, pace);
  const collectionFile = files.find(isCollection);
  const collectionText = collectionFile && damaged.length === 0 ? await whole(entries, collectionFile) : null;
  if (!collectionText) return no({ code: 'damaged', paths: damaged.length > 0 ? damaged : [COLLECTION] });
  const collection = await openJson(textOf(collectionText), pace);
  if (!collection.ok) return collection;
  const jobs = files.filter(({ path }) => path.startsWith(JOBS) || path.startsWith(ASIDE));
  const pictures = new Map(
    files.filter(({ path }) => path.startsWith(PICTURES)).map((one) => [pictureAt(one.path).key, one]),
  );
  return {
    ok: true,
    value: {
      ...collection.value,
      kind: 'backup',
      jobCount: jobs.length,
      jobs: () => jobsIn(jobs, entries),
      photoKeys: new Set(pictures.keys()),
      photo: async (key) => {
        const one = pictures.get(key)!;
        return new Blob([(await whole(entries, one))!], { type: pictureAt(one.path).type });
      },
    },
  };
}

const ZIP = 0x504b;

/** Opens a file that somebody chose: a backup, a collection or a job. All of it is held against the rules before any of it is used; the jobs of a backup when they are gone through. */
export async function openSource(file: Blob, pace: Pace): Promise<Read<Source>> {
  const head = new DataView(await file.slice(0, 2).arrayBuffer());
  if (head.byteLength === 2 && head.getUint16(0) === ZIP) return openBackup(file, pace);
  return openJson(await file.text(), pace);
}
