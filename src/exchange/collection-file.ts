import { type Collection, type LibraryEntry, type LibraryKind, type Movement, libraryKinds } from '@esmero/core';
import { CollectionDocument } from './documents/library';
import { type Format, openEnvelope, writeEnvelope } from './envelope';
import type { Read } from './fault';
import { collectionFrom1To2, collectionFrom2To3, collectionFrom3To4, collectionFrom4To5, collectionFrom5To6, collectionFrom6To7 } from './migrate';
import { faultsIn, jobDocument, jobFrom } from './job-file';

/** Everything a user has, in one file; a job in it is of the job file's newest version. */
export const collectionFormat: Format = {
  name: 'esmero-collection',
  version: 7,
  most: 200_000_000,
  key: 'collection',
  migrations: [collectionFrom1To2, collectionFrom2To3, collectionFrom3To4, collectionFrom4To5, collectionFrom5To6, collectionFrom6To7],
};

const listNames = {
  vehicle: 'vehicles',
  site: 'sites',
  product: 'products',
  towel: 'towels',
  vessel: 'vessels',
  gear: 'gear',
  habits: 'habits',
} as const satisfies Record<LibraryKind, keyof CollectionDocument>;

/** Reads a collection file whole or not at all. Never throws. */
export function readCollection(text: string): Read<Collection> {
  const opened = openEnvelope(text, collectionFormat);
  if (!opened.ok) return opened;
  const faults = faultsIn(CollectionDocument, opened.value, collectionFormat.key);
  if (faults.length > 0) return { ok: false, why: { code: 'faults', faults } };
  const document = opened.value as CollectionDocument;
  const library = libraryKinds.flatMap((kind) =>
    document[listNames[kind]].map((entry) => ({ kind, ...entry }) as unknown as LibraryEntry),
  );
  return { ok: true, value: { library, jobs: document.jobs.map(jobFrom), movements: document.movements as unknown as Movement[], photos: document.photos } };
}

export function writeCollection({ library, jobs, movements, photos }: Collection): string {
  const lists = Object.fromEntries(
    libraryKinds.map((kind) => [
      listNames[kind],
      library
        .filter((entry) => entry.kind === kind)
        .map(({ archived, item }) => ({ archived, item })),
    ]),
  );
  return writeEnvelope(collectionFormat, { ...lists, jobs: jobs.map(jobDocument), movements, photos });
}
