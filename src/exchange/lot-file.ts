import type { Lot } from '@esmero/model';
import { jobDocument, jobFrom, jobVersion } from '@esmero/records';
import { LotDocument } from './documents/lot';
import { type Format, openEnvelope, writeEnvelope } from './envelope';
import type { Read } from './fault';
import { faultsIn } from './validate';
import { stepsForJobsIn, vanDocument, vanFrom } from './van';

export const lotFormat: Format = {
  name: 'esmero-lot',
  version: jobVersion,
  most: 20_000_000,
  key: 'lot',
  migrations: stepsForJobsIn('classes'),
};

/** Reads a file with a lot of cars, of any known version. Never throws. */
export function readLot(text: string): Read<Lot> {
  const opened = openEnvelope(text, lotFormat);
  if (!opened.ok) return opened;
  const faults = faultsIn(LotDocument, opened.value.content, 'lot');
  if (faults.length > 0) return { ok: false, why: { code: 'faults', faults } };
  const { van, classes, laundry = null, ...same } = opened.value.content as LotDocument;
  return {
    ok: true,
    value: {
      ...(same as Omit<Lot, 'van' | 'classes' | 'laundry'>),
      laundry,
      van: vanFrom(van),
      classes: classes.map(({ job, ...one }) => ({ ...one, job: jobFrom(job) })),
    },
  };
}

export const writeLot = ({ van, classes, ...same }: Lot): string =>
  writeEnvelope(lotFormat, {
    ...same,
    van: vanDocument(van),
    classes: classes.map(({ job, ...one }) => ({ ...one, job: jobDocument(job) })),
  });
