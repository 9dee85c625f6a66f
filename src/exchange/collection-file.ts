import { finish } from '@esmero/core';
import { type EntryKind, type LibraryEntry, type Movement, type Photo, entryKinds } from '@esmero/model';
import { collectionMigrations, listNames } from '@esmero/migrations';
import { type Holdings, type KeptEntry, type KeptJob, collectionVersion, jobDocument, jobFrom } from '@esmero/records';
import { CollectionDocument, JobEntryDocument } from './documents/library';
import { type Format, openEnvelope, writeEnvelope } from './envelope';
import type { Fault, Read } from './fault';
import { stampDocument, stampFrom } from './stamp';
import { MOST_FAULTS, faultsIn } from './validate';

/** Everything a user has, in one file; a job in it is of the job file's newest version. */
export const collectionFormat: Format = {
  name: 'esmero-collection',
  version: collectionVersion,
  // A text of more letters than this no browser holds; backups have no such limit.
  most: 500_000_000,
  key: 'collection',
  migrations: collectionMigrations,
};

const entryFrom = (
  kind: EntryKind,
  { archived, item, ...stamp }: CollectionDocument[(typeof listNames)[EntryKind]][number],
): KeptEntry => ({ kind, archived, item, ...stampFrom(stamp) }) as unknown as KeptEntry;

const jobEntryFrom = ({ archived, job, ...stamp }: JobEntryDocument): KeptJob => ({
  archived,
  job: jobFrom(job),
  ...stampFrom(stamp),
});

/**
 * Reads a collection file whole or not at all, job by job, so that whoever waits can look up in between: yields the
 * share that is read. Never throws.
 */
export function* readingCollection(text: string): Generator<number, Read<Holdings>> {
  const opened = openEnvelope(text, collectionFormat);
  if (!opened.ok) return opened;
  const { content } = opened.value;
  const jobs = (content as { readonly jobs?: unknown } | null)?.jobs;
  const list = Array.isArray(jobs) ? (jobs as unknown[]) : [];
  // All but the jobs at once, then each job for itself.
  const faults: Fault[] = [
    ...faultsIn(
      CollectionDocument,
      Array.isArray(jobs) ? { ...(content as object), jobs: [] } : content,
      collectionFormat.key,
    ),
  ];
  for (let i = 0; i < list.length && faults.length < MOST_FAULTS; i++) {
    yield i / list.length;
    faults.push(...faultsIn(JobEntryDocument, list[i], `${collectionFormat.key}.jobs[${i}]`));
  }
  if (faults.length > 0) return { ok: false, why: { code: 'faults', faults: faults.slice(0, MOST_FAULTS) } };
  const document = content as CollectionDocument;
  const library = entryKinds.flatMap((kind) => document[listNames[kind]].map((entry) => entryFrom(kind, entry)));
  return {
    ok: true,
    value: {
      library,
      jobs: document.jobs.map(jobEntryFrom),
      movements: document.movements as unknown as readonly Movement[],
      photos: document.photos as readonly Photo[],
    },
  };
}

/** The same at one go. */
export const readCollection = (text: string): Read<Holdings> => finish(readingCollection(text));

const entryDocument = ({ archived, item, ...stamp }: LibraryEntry & KeptEntry) => ({
  archived,
  ...stampDocument(stamp),
  item,
});

export function writeCollection({ library, jobs, movements, photos }: Holdings): string {
  const lists = Object.fromEntries(
    entryKinds.map((kind) => [listNames[kind], library.filter((entry) => entry.kind === kind).map(entryDocument)]),
  );
  const kept = jobs.map(({ archived, job, ...stamp }) => ({
    archived,
    ...stampDocument(stamp),
    job: jobDocument(job),
  }));
  return writeEnvelope(collectionFormat, { ...lists, jobs: kept, movements, photos });
}
