import type { SharedRun } from '@esmero/core';
import type { Job } from '@esmero/model';
import { SharedRunDocument } from './documents/crew';
import { type Format, openEnvelope, writeEnvelope } from './envelope';
import type { Read } from './fault';
import { readJob, writeJob } from './job-file';
import { faultsIn } from './validate';

/** A run as several phones know it, to be passed on as a file where there is no network. */
const sharedRunFormat: Format = { name: 'esmero-run', version: 1, most: 2_000_000, key: 'run', migrations: [] };

export const writeSharedRun = (share: SharedRun): string => writeEnvelope(sharedRunFormat, share);

/** Reads a run that another phone has passed on. Never throws. */
export function readSharedRun(text: string): Read<SharedRun> {
  const opened = openEnvelope(text, sharedRunFormat);
  if (!opened.ok) return opened;
  const faults = faultsIn(SharedRunDocument, opened.value.content, sharedRunFormat.key);
  return faults.length > 0
    ? { ok: false, why: { code: 'faults', faults } }
    : { ok: true, value: opened.value.content as SharedRun };
}

/** What one phone says to the others of a car. */
export type CrewMessage =
  { readonly kind: 'job'; readonly job: Job } | { readonly kind: 'run'; readonly share: SharedRun };

export const crewJob = (job: Job): string =>
  JSON.stringify({ job: writeJob({ ...job, pictures: [], proofs: [], bills: [] }) });
export const crewRun = (share: SharedRun): string => JSON.stringify({ run: writeSharedRun(share) });

const MOST_PEERS = 100;

/** How many phones there are, as the relay says; null for what says nothing of it. Never throws. */
export function readPeers(text: string): number | null {
  try {
    const { peers } = JSON.parse(text) as { readonly peers?: unknown };
    return typeof peers === 'number' && Number.isInteger(peers) && peers > 0 && peers <= MOST_PEERS ? peers : null;
  } catch {
    return null;
  }
}

/** Reads what came from another phone, held to the rules of files; null for what is none of it. Never throws. */
export function readCrewMessage(text: string): CrewMessage | null {
  try {
    const { job, run } = JSON.parse(text) as { readonly job?: unknown; readonly run?: unknown };
    if (typeof job === 'string') {
      const read = readJob(job);
      return read.ok ? { kind: 'job', job: read.value } : null;
    }
    if (typeof run !== 'string') return null;
    const read = readSharedRun(run);
    return read.ok ? { kind: 'run', share: read.value } : null;
  } catch {
    return null;
  }
}
