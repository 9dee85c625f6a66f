import { describe, expect, it } from 'vitest';
import { planRun } from '@esmero/core';
import { demo, demoJobs } from '@esmero/demo';
import { held } from '@esmero/records';
import { readCollection, readJob, writeCollection, writeJob } from '.';
import { mutated } from './testing/mutate';
import { MOST_FAULTS } from './validate';
import { runs } from '@esmero/testing';

const [deck] = demoJobs;

/** Faults of the demo job's file with something else in one place. */
function faults(change: (job: Record<string, any>) => void): readonly string[] {
  const file = JSON.parse(writeJob(deck!)) as { job: Record<string, unknown> };
  change(file.job);
  const read = readJob(JSON.stringify(file));
  if (read.ok || read.why.code !== 'faults') throw new Error('The file was taken.');
  return read.why.faults.map(({ path, expected, found }) => `${path} ${expected.code} ${found}`);
}

const run = { startedAt: 1, endedAt: null, events: [] as unknown[], counts: [], punch: [] };

describe('the reader of files', () => {
  it.each<[string, (job: Record<string, any>) => void, string]>([
    ['a list in the list of soil', (job) => (job['soil'] = [[{ zone: 'roof' }]]), 'job.soil[0] object a list of 1'],
    [
      'a list in a list of deposits',
      (job) => (job['soil'][0].deposits = [[]]),
      'job.soil[0].deposits[0] object a list of 0',
    ],
    [
      'a list in the list of products',
      (job) => (job['products'] = [[job['products'][0]]]),
      'job.products[0] object a list of 1',
    ],
    [
      'a list among the events',
      (job) => (job['run'] = { ...run, events: [[]] }),
      'job.run.events[0] object a list of 0',
    ],
    ['nothing among the products', (job) => (job['products'] = [null]), 'job.products[0] object null'],
    [
      'a dilution without a reading',
      (job) => delete job['products'][0].uses[0].dilution.reading,
      'job.products[0].uses[0].dilution.reading one-of ',
    ],
    [
      'a dilution that is read nobody knows how',
      (job) => (job['products'][0].uses[0].dilution.reading = 'moon'),
      'job.products[0].uses[0].dilution.reading one-of "moon"',
    ],
  ])('names %s by its path', (_what, change, fault) => {
    expect(faults(change)).toContain(fault);
  });

  it('names entries of a movement that are none, and pictures that are cut off', () => {
    const file = JSON.parse(writeCollection(held(demo))) as any;
    file.collection.movements[0].entries = [null];
    file.collection.photos = [{ key: 'p', picture: 'data:image/png;base64,AAAAA' }];
    const read = readCollection(JSON.stringify(file));
    if (read.ok || read.why.code !== 'faults') throw new Error('The file was taken.');
    expect(read.why.faults.map(({ path }) => path)).toEqual([
      'collection.movements[0].entries',
      'collection.movements[0].entries[0]',
      'collection.photos[0].picture',
    ]);
  });

  it('is not deeper than the documents, however deep the file', () => {
    let soil: unknown = [];
    for (let i = 0; i < 2000; i++) soil = [soil];
    expect(faults((job) => (job['soil'] = soil))).toEqual(['job.soil[0] object a list of 1']);
    expect(readJob(`{"format":"esmero-job","version":1,"job":${'['.repeat(100_000)}${']'.repeat(100_000)}}`).ok).toBe(
      false,
    );
    expect(
      readJob(`{"format":"esmero-job","version":1,"job":{"soil":${'{"a":'.repeat(2000)}1${'}'.repeat(2000)}}}`).ok,
    ).toBe(false);
  });

  it(`tells ${MOST_FAULTS} faults and then stops`, () => {
    const file = JSON.parse(writeCollection(held(demo))) as any;
    for (let i = 0; i < 150_000; i++) file.collection[`x${i}`] = i;
    const read = readCollection(JSON.stringify(file));
    expect(read).toMatchObject({ ok: false, why: { code: 'faults' } });
    if (!read.ok && read.why.code === 'faults') expect(read.why.faults).toHaveLength(MOST_FAULTS);
  });

  const cases = runs(6000);

  it(`answers ${cases} mutated files with faults or with a plan, and nothing else`, () => {
    const files = demoJobs.map((job) => writeJob(job));
    let taken = 0;
    for (let seed = 0; seed < cases; seed++) {
      const read = readJob(mutated(files[seed % files.length]!, seed));
      if (!read.ok) continue;
      taken++;
      const { totals, zones } = planRun(read.value);
      expect(JSON.stringify(totals), `seed ${seed}`).not.toMatch(/"value":null/);
      expect(zones.length).toBeGreaterThan(0);
    }
    // Some must get through, or nothing was planned.
    expect(taken).toBeGreaterThan(cases / 50);
    expect(taken).toBeLessThan(cases);
  });

  it('answers mutated collections, too', () => {
    const text = writeCollection(held({ ...demo, jobs: demoJobs.slice(0, 1) }));
    for (let seed = 0; seed < cases / 6; seed++) expect(() => readCollection(mutated(text, seed))).not.toThrow();
  });
});
