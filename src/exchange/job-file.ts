import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import type { Job } from '@esmero/core';
import { JobDocument } from './documents/job';
import { type Format, openEnvelope, writeEnvelope } from './envelope';
import { type Fault, type Read, faultsOf } from './fault';
import { jobFrom1To2, jobFrom2To3, jobFrom3To4, jobFrom4To5, jobFrom5To6, jobFrom6To7, jobFrom7To8 } from './migrate';

export const jobFormat: Format = {
  name: 'esmero-job',
  version: 8,
  most: 4_000_000,
  key: 'job',
  migrations: [jobFrom1To2, jobFrom2To3, jobFrom3To4, jobFrom4To5, jobFrom5To6, jobFrom6To7, jobFrom7To8],
};

/** Checks plain data against a document class; every fault has its path below `above`. */
export function faultsIn(type: new () => object, plain: unknown, above = ''): readonly Fault[] {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
    return [{ path: above, expected: { code: 'object' }, found: JSON.stringify(plain) ?? '' }];
  const instance = plainToInstance(type, plain);
  return faultsOf(
    validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }),
    above,
  );
}

type Field = 'soil' | 'choices' | 'readings';

/** A valid document as the core's record. Only lists with keys differ between the two. */
export function jobFrom(document: JobDocument): Job {
  const { soil, choices, readings, ...same } = document;
  return {
    ...(same as unknown as Omit<Job, Field>),
    readings: Object.fromEntries(readings.map(({ zone, panelC }) => [zone, panelC])),
    soil: Object.fromEntries(
      soil.map(({ zone, deposits, spots }) => [
        zone,
        { deposits, spots: Object.fromEntries(spots.map(({ kind, count }) => [kind, count])) },
      ]),
    ),
    choices: {
      ...choices,
      fixed: Object.fromEntries(choices.fixed.map(({ zone, treatment }) => [zone, treatment])),
      assumptions: Object.fromEntries(choices.assumptions.map(({ name, value }) => [name, value])),
    } as unknown as Job['choices'],
  };
}

/** The core's record as plain data for a file. */
export function jobDocument({ soil, choices, readings, ...same }: Job): JobDocument {
  return {
    ...same,
    readings: Object.entries(readings).map(([zone, panelC]) => ({ zone, panelC })),
    soil: Object.entries(soil).map(([zone, { deposits, spots }]) => ({
      zone,
      deposits: deposits.map(({ kind, level }) => ({ kind, level })),
      spots: Object.entries(spots).map(([kind, count]) => ({ kind, count })),
    })),
    choices: {
      ...choices,
      fixed: Object.entries(choices.fixed).map(([zone, treatment]) => ({ zone, treatment })),
      assumptions: Object.entries(choices.assumptions).map(([name, value]) => ({ name, value })),
    },
  } as unknown as JobDocument;
}

/** Reads a job file of any known version. Never throws. */
export function readJob(text: string): Read<Job> {
  const opened = openEnvelope(text, jobFormat);
  if (!opened.ok) return opened;
  const faults = faultsIn(JobDocument, opened.value, 'job');
  return faults.length > 0
    ? { ok: false, why: { code: 'faults', faults } }
    : { ok: true, value: jobFrom(opened.value as JobDocument) };
}

export const writeJob = (job: Job): string => writeEnvelope(jobFormat, jobDocument(job));
