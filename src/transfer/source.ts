import { BlobReader, BlobWriter, type FileEntry, TextWriter, ZipReader, configure } from '@zip.js/zip.js';
import type { Movement } from '@esmero/model';
import { type Manifest, type Read, type Unreadable, readCollection, readKeptJob, readManifest, readingCollection } from '@esmero/exchange';
import type { Holdings, KeptEntry, KeptJob } from '@esmero/records';
import { blobOf } from '@esmero/store';
import { COLLECTION, JOBS, MANIFEST, PICTURES, checksum, pictureAt } from './backup';
import type { Pace } from './pace';

configure({ useWebWorkers: false });

/** What a file holds that somebody chose; jobs are fetched one by one, as often as they are asked for. */
export interface Source {
  readonly kind: 'job' | 'collection' | 'backup';
  readonly jobCount: number;
  /** @throws UnreadableError at a job that is not as it was written */
  jobs(): AsyncGenerator<KeptJob>;
  readonly library: readonly KeptEntry[];
  readonly movements: readonly Movement[];
  readonly photoKeys: ReadonlySet<string>;
  photo(key: string): Promise<Blob>;
}

const no = (why: Unreadable): Read<never> => ({ ok: false, why });

function sourceOf(kind: Source['kind'], { jobs, library, movements, photos }: Holdings): Source {
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
    return job.ok ? { ok: true, value: sourceOf('job', { jobs: [job.value], library: [], movements: [], photos: [] }) } : job;
  }
}

type Entries = ReadonlyMap<string, FileEntry>;
type Listed = Manifest['files'][number];

/** What is found to be unreadable only when its turn has come. */
export class UnreadableError extends Error {
  constructor(readonly why: Unreadable) {
    super(why.code);
  }
}

/** A file of a backup as it was written; null where it is not. */
async function whole(entries: Entries, { path, bytes, sha256 }: Listed): Promise<Blob | null> {
  const found = await entries.get(path)?.getData(new BlobWriter()).catch(() => null);
  const isSame = found?.size === bytes && checksum(new Uint8Array(await found.arrayBuffer())) === sha256;
  return isSame ? found : null;
}

/** Files that are missing or of another size, as the directory has it, and pictures that are not as they were written. */
async function damagedIn(files: readonly Listed[], entries: Entries, pace: Pace): Promise<readonly string[]> {
  const damaged = files.filter(({ path, bytes }) => entries.get(path)?.uncompressedSize !== bytes).map(({ path }) => path);
  const pictures = files.filter(({ path }) => path.startsWith(PICTURES) && !damaged.includes(path));
  for (const [i, one] of pictures.entries()) {
    await pace.at((i / pictures.length) * 0.5);
    if (!(await whole(entries, one))) damaged.push(one.path);
  }
  return damaged;
}

/** The jobs of a backup, each held against its checksum and the rules when its turn comes. @throws UnreadableError */
async function* jobsIn(files: readonly Listed[], entries: Entries): AsyncGenerator<KeptJob> {
  for (const one of files) {
    const found = await whole(entries, one);
    if (!found) throw new UnreadableError({ code: 'damaged', paths: [one.path] });
    const job = readKeptJob(await found.text());
    if (!job.ok) throw new UnreadableError(job.why);
    yield { ...job.value, archived: one.archived };
  }
}

async function openBackup(file: Blob, pace: Pace): Promise<Read<Source>> {
  // Entries are found by the directory at the end, so a file that was cut off is known at once.
  const found = await new ZipReader(new BlobReader(file)).getEntries().catch((error: unknown) => (error instanceof Error ? error : new Error(String(error))));
  if (found instanceof Error) return no({ code: 'no-zip', detail: found.message });
  const entries: Entries = new Map(found.flatMap((entry) => (entry.directory ? [] : [[entry.filename, entry]])));
  const manifestEntry = entries.get(MANIFEST);
  if (!manifestEntry) return no({ code: 'no-zip', detail: `It holds no ${MANIFEST}.` });
  const manifest = readManifest(await manifestEntry.getData(new TextWriter()).catch(() => ''));
  if (!manifest.ok) return manifest;
  const { files } = manifest.value;
  const damaged = await damagedIn(files, entries, pace);
  const collectionFile = files.find(({ path }) => path === COLLECTION);
  const collectionText = collectionFile && (await whole(entries, collectionFile));
  if (damaged.length > 0 || !collectionText) return no({ code: 'damaged', paths: damaged.length > 0 ? damaged : [COLLECTION] });
  const collection = readCollection(await collectionText.text());
  if (!collection.ok) return collection;
  const jobs = files.filter(({ path }) => path.startsWith(JOBS));
  const pictures = new Map(files.filter(({ path }) => path.startsWith(PICTURES)).map(({ path }) => [pictureAt(path).key, path]));
  return {
    ok: true,
    value: {
      ...sourceOf('backup', collection.value),
      jobCount: jobs.length,
      jobs: () => jobsIn(jobs, entries),
      photoKeys: new Set(pictures.keys()),
      photo: (key) => {
        const path = pictures.get(key)!;
        return entries.get(path)!.getData(new BlobWriter(pictureAt(path).type));
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
