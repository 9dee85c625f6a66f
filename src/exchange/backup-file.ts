import { BackupDocument } from './documents/backup';
import { type Format, openEnvelope, writeEnvelope } from './envelope';
import type { Read } from './fault';
import { faultsIn } from './validate';

/** The manifest of a backup: a zip of job files, a collection without jobs, and pictures. */
export const backupFormat: Format = {
  name: 'esmero-backup',
  version: 1,
  most: 400_000_000,
  key: 'backup',
  migrations: [],
};

export type Manifest = Readonly<BackupDocument>;

/** Reads the manifest of a backup. Never throws. */
export function readManifest(text: string): Read<Manifest> {
  const opened = openEnvelope(text, backupFormat);
  if (!opened.ok) return opened;
  const faults = faultsIn(BackupDocument, opened.value.content, backupFormat.key);
  return faults.length > 0
    ? { ok: false, why: { code: 'faults', faults } }
    : { ok: true, value: opened.value.content as Manifest };
}

export const writeManifest = (manifest: Manifest): string => writeEnvelope(backupFormat, manifest);
