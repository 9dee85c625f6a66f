import type { Job } from '@esmero/model';
import { jobMigrations } from '@esmero/migrations';
import { type KeptJob, type Stamp, jobDocument, jobFrom, jobVersion, unstamped } from '@esmero/records';
import { JobDocument } from './documents/job';
import { StampDocument } from './documents/library';
import { type Format, openEnvelope, writeEnvelope } from './envelope';
import type { Read } from './fault';
import { stampDocument, stampFrom } from './stamp';
import { faultsIn } from './validate';

export const jobFormat: Format = {
  name: 'esmero-job',
  version: jobVersion,
  most: 4_000_000,
  key: 'job',
  migrations: jobMigrations,
};

/** Reads a job file of any known version, with what tells whether it is older than another copy. Never throws. */
export function readKeptJob(text: string): Read<KeptJob> {
  const opened = openEnvelope(text, jobFormat);
  if (!opened.ok) return opened;
  const { content, around } = opened.value;
  const stamp = around['stamp'];
  const faults = [
    ...faultsIn(JobDocument, content, 'job'),
    ...(stamp === undefined ? [] : faultsIn(StampDocument, stamp, 'stamp')),
  ];
  if (faults.length > 0) return { ok: false, why: { code: 'faults', faults } };
  const kept = stamp === undefined ? unstamped : stampFrom(stamp as StampDocument);
  return { ok: true, value: { ...kept, archived: false, job: jobFrom(content as JobDocument) } };
}

/** Reads a job file of any known version. Never throws. */
export function readJob(text: string): Read<Job> {
  const read = readKeptJob(text);
  return read.ok ? { ok: true, value: read.value.job } : read;
}

/** @param stamp what tells this copy from an older one; left out where nobody keeps count */
export const writeJob = (job: Job, stamp?: Stamp, indent?: 0 | 2): string =>
  writeEnvelope(jobFormat, jobDocument(job), stamp ? { stamp: stampDocument(stamp) } : {}, indent);
