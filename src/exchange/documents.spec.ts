import { describe, expect, it } from 'vitest';
import { newItem, usualDay, usualLot, usualVan } from '@esmero/core';
import { type LibraryKind, libraryKinds } from '@esmero/model';
import { demoJobs } from '@esmero/demo';
import { degrees } from '@esmero/units';
import { faultsInItem, readJob, writeJob } from '.';

const deck = demoJobs[0]!;

/** Paths of the faults in the demo job with one thing changed. */
function paths(change: (job: Record<string, never>) => void): readonly string[] {
  const file = JSON.parse(writeJob(deck)) as { job: Record<string, never> };
  change(file.job);
  const read = readJob(JSON.stringify(file));
  if (read.ok) return [];
  if (read.why.code !== 'faults') throw new Error(read.why.code);
  return read.why.faults.map(({ path }) => path);
}

describe('what a job may say', () => {
  const cases: readonly (readonly [string, string, (job: any) => void])[] = [
    ['an hour past midnight', 'job.hour', (job) => (job.hour = 25)],
    ['negative days', 'job.since[0].days', (job) => (job.since[0].days = -1)],
    ['a road nobody knows', 'job.since[0].road', (job) => (job.since[0].road = 'moon')],
    ['a glowing panel', 'job.readings[0].panelC', (job) => (job.readings = [{ zone: 'roof', panelC: 400 }])],
    [
      'two readings of a zone',
      'job.readings',
      (job) =>
        (job.readings = [
          { zone: 'roof', panelC: 20 },
          { zone: 'roof', panelC: 21 },
        ]),
    ],
    ['a mark nowhere', 'job.marks[0].zone', (job) => (job.marks[0].zone = 'keel')],
    ['a picture that is a path', 'job.marks[0].photo', (job) => (job.marks[0].photo = '../etc/passwd')],
    [
      'weather at hour 24',
      'job.weather.hours[0].hour',
      (job) => (job.weather = { source: 's', hours: [{ hour: 24, airC: 1, humidity: 0.5, windMs: 1, sunWm2: 0 }] }),
    ],
    ['nobody’s consent', 'job.consent.by', (job) => (job.consent = { by: '', on: '2031-07-14', note: '' })],
    ['a wish for the moon', 'job.wishes.approach', (job) => (job.wishes = { approach: 'reckless' })],
    ['a wish about nothing', 'job.wishes.colour', (job) => (job.wishes = { colour: 'red' })],
    [
      'a run that happened never',
      'job.run.events[0].at',
      (job) =>
        (job.run = {
          startedAt: 1,
          endedAt: null,
          counts: [],
          punch: [],
          events: [{ kind: 'wipe', zone: 'roof', section: 1, of: 1, by: 0, at: -1 }],
        }),
    ],
    [
      'a dance on the roof',
      'job.run.events[0].kind',
      (job) =>
        (job.run = {
          startedAt: 1,
          endedAt: null,
          counts: [],
          punch: [],
          events: [{ kind: 'dance', zone: 'roof', section: 1, of: 1, by: 0, at: 1 }],
        }),
    ],
    [
      'half a towel',
      'job.run.counts[0].towels[0].opened',
      (job) =>
        (job.run = {
          startedAt: 1,
          endedAt: 2,
          events: [],
          punch: [],
          counts: [
            {
              at: 2,
              because: '',
              method: null,
              doneShare: 1,
              plannedMin: 20,
              paces: [],
              soil: null,
              waterL: null,
              runoffL: null,
              mixes: [],
              towels: [{ role: 'wash', planned: 2, opened: 1.5 }],
            },
          ],
        }),
    ],
    [
      'a towel that fell off nobody’s hand',
      'job.run.events[0].kind',
      (job) =>
        (job.run = {
          startedAt: 1,
          endedAt: null,
          counts: [],
          punch: [],
          events: [{ kind: 'towel-out', role: 'wash', at: 1 }],
        }),
    ],
    [
      'a wipe by the third man',
      'job.run.events[0].by',
      (job) =>
        (job.run = {
          startedAt: 1,
          endedAt: null,
          counts: [],
          punch: [],
          events: [{ kind: 'wipe', zone: 'roof', section: 1, of: 1, by: 2, at: 1 }],
        }),
    ],
    [
      'a pace of nothing known',
      'job.run.counts[0].paces[0].act',
      (job) =>
        (job.run = {
          startedAt: 1,
          endedAt: 2,
          events: [],
          punch: [],
          counts: [
            {
              at: 2,
              because: '',
              method: null,
              doneShare: 1,
              plannedMin: 20,
              paces: [{ act: 'sing', plannedS: 1, tookS: 1 }],
              soil: null,
              waterL: null,
              runoffL: null,
              mixes: [],
              towels: [],
            },
          ],
        }),
    ],
    [
      'a wipe with a temperature',
      'job.run.events[0].kind',
      (job) =>
        (job.run = {
          startedAt: 1,
          endedAt: null,
          counts: [],
          punch: [],
          events: [{ kind: 'wipe', zone: 'roof', section: 1, of: 1, by: 0, panelC: 20, at: 1 }],
        }),
    ],
    [
      'a signature that is no drawing',
      'job.signed.path',
      (job) => (job.signed = { by: 'Somebody', at: 1, path: 'javascript:' }),
    ],
    ['an unanswered question', 'job.choices.spray', (job) => delete job.choices.spray],
    ['shade at hour 30', 'job.site.shadeHours', (job) => (job.site.shadeHours = [30])],
    ['a place beyond the pole', 'job.site.latitudeDeg', (job) => (job.site.latitudeDeg = 99)],
    ['a wand of no kind', 'job.gear[0].kind', (job) => (job.gear[0].kind = 'hose')],
    ['a deafening site', 'job.site.noiseDb', (job) => (job.site.noiseDb = 500)],
    ['an enemy without an id', 'job.products[0].notWith', (job) => (job.products[0].notWith = ['a b'])],
  ];

  it.each(cases)('refuses %s', (_what, path, change) => {
    expect(paths(change)).toContain(path);
  });

  it('allows what is left open', () => {
    expect(
      paths((job) => Object.assign(job, { wishes: {}, weather: null, consent: null, since: [], marks: [] })),
    ).toEqual([]);
  });
});

describe('a new item of every kind', () => {
  it.each(libraryKinds)('%s obeys the rules that it will be held to', (kind: LibraryKind) => {
    expect(faultsInItem(kind, newItem[kind]('new'))).toEqual([]);
  });
});

describe('what is set up on the first day', () => {
  it('obeys the rules, and what cannot be is refused by its path', () => {
    const van = usualVan({ name: 'home', latitudeDeg: degrees(43), longitudeDeg: degrees(5) });
    const day = usualDay('2031-07-20');
    const lot = usualLot('lot', '2031-07-20', []);
    expect([...faultsInItem('van', van), ...faultsInItem('day', day), ...faultsInItem('lot', lot)]).toEqual([]);
    expect(faultsInItem('van', { ...van, roadFactor: 0 }).map(({ path }) => path)).toEqual(['roadFactor']);
    expect(
      faultsInItem('day', { ...day, windows: [{ jobId: 'a', fromHour: 25, untilHour: 26 }] }).map(({ path }) => path),
    ).toEqual(['windows[0].fromHour', 'windows[0].untilHour']);
    expect(faultsInItem('lot', { ...lot, people: 5 }).map(({ path }) => path)).toEqual(['people']);
  });
});
