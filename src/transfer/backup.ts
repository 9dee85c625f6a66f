import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { BlobReader, TextReader, Uint8ArrayReader, ZipWriter, configure } from '@zip.js/zip.js';
import { type Manifest, writeCollection, writeJob, writeManifest } from '@esmero/exchange';
import { type Store, everyJob, keptEntry } from '@esmero/store';
import { keptAside } from './aside';
import type { Pace } from './pace';

// It has a worker to itself already.
configure({ useWebWorkers: false });

/** What a backup holds. */
export interface BackedUp {
  readonly jobs: number;
  readonly items: number;
  readonly pictures: number;
}

export const MANIFEST = 'manifest.json';
export const COLLECTION = 'collection.json';
export const JOBS = 'jobs/';
const jobPath = (id: string): string => `${JOBS}${id}.json`;
export const PICTURES = 'pictures/';
/** Files that could not be read when they came in: they go out as they are, for a version that can. */
export const ASIDE = 'aside/';

/** Kinds of pictures by the ending that they have in a backup. */
const endings = { jpg: 'image/jpeg', png: 'image/png', webp: 'image/webp' } as const;

function picturePath(key: string, type: string): string {
  const ending = Object.entries(endings).find(([, known]) => known === type)?.[0];
  return `${PICTURES}${key}${ending ? `.${ending}` : ''}`;
}

/** The picture that a path in a backup stands for. */
export function pictureAt(path: string): { readonly key: string; readonly type: string } {
  const name = path.slice(PICTURES.length);
  const [, key, ending] = /^(.*)\.(jpg|png|webp)$/.exec(name) ?? [];
  return key === undefined ? { key: name, type: '' } : { key, type: endings[ending as keyof typeof endings] };
}

/** SHA-256, by the browser where the page is secure. */
export async function checksum(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  const { subtle } = globalThis.crypto;
  return bytesToHex(
    (subtle as SubtleCrypto | undefined) ? new Uint8Array(await subtle.digest('SHA-256', bytes)) : sha256(bytes),
  );
}

/** Jobs that are packed side by side. */
const AT_ONCE = 10;

type Files = Manifest['files'][number];

/**
 * Writes all that is kept as a zip: a file for each job, a collection with the library and the stock, the pictures,
 * and last a manifest with the checksum of each. Nothing but one job or picture is held in memory.
 */
export async function writeBackup(store: Store, to: WritableStream<Uint8Array>, pace: Pace): Promise<BackedUp> {
  const zip = new ZipWriter(to);
  const files: Files[] = [];
  const [ids, keys] = [await store.jobIds(), await store.photoKeys()];
  const all = ids.length + keys.length + 2;
  const add = async (path: string, text: string, archived = false): Promise<void> => {
    const bytes = new TextEncoder().encode(text);
    files.push({ path, bytes: bytes.length, sha256: await checksum(bytes), archived });
    await zip.add(path, new Uint8ArrayReader(bytes));
  };
  let packing: Promise<void>[] = [];
  for await (const { job, archived, changedAt, vector } of everyJob(store)) {
    packing.push(add(jobPath(job.id), writeJob(job, { changedAt, vector }, 0), archived));
    if (packing.length < AT_ONCE) continue;
    await Promise.all(packing);
    packing = [];
    await pace.at(files.length / all);
  }
  await Promise.all(packing);
  const jobs = files.length;
  for (const { path, text } of await keptAside(store)) await add(`${ASIDE}${path.split('/').at(-1)}`, text);
  const aside = files.length - jobs;
  const library = (await store.library()).map(keptEntry);
  await add(COLLECTION, writeCollection({ library, jobs: [], movements: await store.movements(), photos: [] }));
  for (const key of keys) {
    const picture = await store.photo(key);
    if (!picture) continue;
    const bytes = new Uint8Array(await picture.arrayBuffer());
    const path = picturePath(key, picture.type);
    files.push({ path, bytes: bytes.length, sha256: await checksum(bytes), archived: false });
    // They are packed already.
    await zip.add(path, new BlobReader(picture), { level: 0 });
    await pace.at(files.length / all);
  }
  const pictures = files.length - jobs - aside - 1;
  await zip.add(MANIFEST, new TextReader(writeManifest({ at: Date.now(), jobs, pictures, files })));
  await zip.close();
  return { jobs, items: library.length, pictures };
}
