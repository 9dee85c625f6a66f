import Ajv2020 from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evenMark, paint, planJob, setAssumption } from '@esmero/core';
import { type Job, type LibraryEntry, calmShade, habitKeys, soilKinds, soilLevels, zoneIds } from '@esmero/model';
import { demo, demoJobs } from '@esmero/demo';
import { type Holdings, held } from '@esmero/records';
import { schemaOf } from '../../scripts/schema';
import { collectionFormat, jobFormat, readCollection, readJob, writeCollection, writeJob } from '.';
import type { Fault } from './fault';
import { runs } from '@esmero/testing';

const deck = demoJobs[0]!;

/** The text of a job file with one thing changed. */
function changed(change: (job: Record<string, any>) => void): string {
  const file = JSON.parse(writeJob(deck)) as { job: Record<string, unknown> };
  change(file.job);
  return JSON.stringify(file);
}

/** A collection as it was before jobs in it had stamps. */
function olderCollection(): any {
  const all = JSON.parse(writeCollection(held(demo)));
  all.collection.jobs = all.collection.jobs.map(({ job }: any) => job);
  return all;
}

function faultsOf(text: string): readonly Fault[] {
  const read = readJob(text);
  if (read.ok || read.why.code !== 'faults') throw new Error(`No faults: ${JSON.stringify(read)}`);
  return read.why.faults;
}

describe('job file', () => {
  it.each(demoJobs.map((job) => [job.id, job] as const))('%s comes back as it was, and byte for byte', (_id, job) => {
    const text = writeJob(job);
    const read = readJob(text);
    expect(read).toEqual({ ok: true, value: job });
    if (read.ok) expect(writeJob(read.value)).toBe(text);
  });

  it('keeps whatever is painted or chosen', () => {
    const edits = fc.array(
      fc.record({
        ids: fc.uniqueArray(fc.constantFrom(...zoneIds), { minLength: 1, maxLength: 5 }),
        kind: fc.constantFrom(...soilKinds),
        level: fc.constantFrom(...soilLevels),
        onTop: fc.boolean(),
      }),
    );
    fc.assert(
      fc.property(edits, (strokes) => {
        const job = strokes.reduce(
          (now: Job, { ids, kind, level, onTop }) => paint(now, ids, { deposit: { kind, level }, onTop }),
          setAssumption(deck, 'walking', 0.3),
        );
        expect(readJob(writeJob(job))).toEqual({ ok: true, value: job });
      }),
      { numRuns: runs(50) },
    );
  });

  it.each<[string, (job: Record<string, any>) => void, string, string]>([
    ['a negative size', (j) => (j['vehicle'].dimensions.lengthM = -3), 'job.vehicle.dimensions.lengthM', 'number'],
    ['a size of nothing', (j) => (j['vehicle'].dimensions.widthM = 0), 'job.vehicle.dimensions.widthM', 'number'],
    [
      'a size beyond all measure',
      (j) => (j['vehicle'].dimensions.widthM = 1e308),
      'job.vehicle.dimensions.widthM',
      'number',
    ],
    ['not a number', (j) => (j['site'].waterL = null), 'job.site.waterL', 'number'],
    [
      'a roof higher than the car is long',
      (j) => Object.assign(j['vehicle'].dimensions, { lengthM: 2.4, heightM: 2.6, wheelbaseM: 1.5 }),
      'job.vehicle.dimensions.heightM',
      'height',
    ],
    [
      'a wheelbase as long as the car',
      (j) => (j['vehicle'].dimensions.wheelbaseM = 4.6),
      'job.vehicle.dimensions.wheelbaseM',
      'wheelbase',
    ],
    ['a zone nobody knows', (j) => (j['soil'][2].zone = 'hat'), 'job.soil[2].zone', 'one-of'],
    ['a zone twice', (j) => (j['soil'][2].zone = j['soil'][3].zone), 'job.soil', 'unique'],
    [
      'a dilution of nothing',
      (j) => (j['products'][0].uses[0].dilution = { label: '0', reading: 'percent' }),
      'job.products[0].uses[0].dilution.label',
      'dilution',
    ],
    [
      'a label that is no number',
      (j) => (j['products'][0].uses[0].dilution.label = 'a capful'),
      'job.products[0].uses[0].dilution.label',
      'dilution',
    ],
    [
      'a band the wrong way round',
      (j) => Object.assign(j['products'][0].uses[0], { weakest: 100, strongest: 200 }),
      'job.products[0].uses[0].strongest',
      'band',
    ],
    ['half a towel', (j) => (j['towels'][0].clean = 2.5), 'job.towels[0].clean', 'whole'],
    ['a field from elsewhere', (j) => (j['site'].colour = 'red'), 'job.site.colour', 'unknown-field'],
    ['no site', (j) => delete j['site'], 'job.site', 'object'],
    ['a list for a car', (j) => (j['vehicle'] = []), 'job.vehicle', 'object'],
    [
      'an assumption out of bounds',
      (j) => (j['choices'].assumptions = [{ name: 'walking', value: 7 }]),
      'job.choices.assumptions[0].value',
      'assumption',
    ],
    ['a day that is none', (j) => (j['date'] = '2031-02-31'), 'job.date', 'day'],
    [
      'a vessel that must hold more than it can',
      (j) => (j['vessels'][0].chargeMl = 5000),
      'job.vessels[0].chargeMl',
      'charge',
    ],
  ])('names %s by its path', (_name, change, path, code) => {
    const fault = faultsOf(changed(change)).find((one) => one.path === path);
    expect(fault?.expected.code).toBe(code);
  });

  it('names every fault, not only the first', () => {
    const text = changed((job) => {
      job['site'].waterL = -1;
      job['vehicle'].body = 'boat';
      job['name'] = '';
    });
    expect(
      faultsOf(text)
        .map(({ path }) => path)
        .sort(),
    ).toEqual(['job.name', 'job.site.waterL', 'job.vehicle.body']);
  });

  it('plans a job without towels, water, products or prices without a number going astray', () => {
    const bare = readJob(changed((job) => Object.assign(job, { towels: [], vessels: [], products: [] })));
    const dry = readJob(changed((job) => (job['site'].waterL = 0)));
    const unpriced = readJob(changed((job) => job['products'].forEach((p: any) => (p.priceMinor = null))));
    for (const read of [bare, dry, unpriced]) {
      if (!read.ok) throw new Error('should be readable');
      // Anything but finite numbers would come back from JSON as null where a number was.
      const plan = planJob(read.value);
      expect(JSON.stringify(plan.totals)).not.toMatch(/"value":null/);
    }
    if (unpriced.ok) expect(planJob(unpriced.value).totals.costMinor).toBeNull();
  });

  it('refuses a newer version, another format, no version, a cut file and a huge one, each by name', () => {
    const why = (text: string) => {
      const read = readJob(text);
      return read.ok ? null : read.why;
    };
    expect(why('{"format":"esmero-job","version":99,"job":{}}')).toEqual({
      code: 'newer-version',
      version: 99,
      newest: jobFormat.version,
    });
    expect(why('{"format":"recipe","version":1}')).toMatchObject({ code: 'other-format', format: 'recipe' });
    expect(why('{"format":"esmero-job"}')).toEqual({ code: 'no-version' });
    expect(why(writeJob(deck).slice(0, 900))).toMatchObject({ code: 'not-json', cut: true });
    expect(why('[1, 2, 3]')).toMatchObject({ code: 'other-format' });
    expect(why(' '.repeat(10_000_000))).toMatchObject({ code: 'too-large' });
    expect(why('{"format":"esmero-job","version":3,"job":null}')).toMatchObject({ code: 'faults' });
  });

  it('takes a file of version 1 to the present', () => {
    const file = JSON.parse(writeJob(deck)) as { version: number; job: any };
    file.version = 1;
    file.job.soil = { roof: { kind: 'dust', level: 2 }, 'left-sill': { kind: 'mud', level: 3 } };
    file.job.choices = { ...file.job.choices, fixed: { roof: 'leave' }, assumptions: { walking: 0.2 } };
    const read = readJob(JSON.stringify(file));
    if (!read.ok) throw new Error(JSON.stringify(read.why));
    expect(read.value.soil).toEqual({
      roof: { deposits: [{ kind: 'dust', level: 2 }], spots: {} },
      'left-sill': { deposits: [{ kind: 'mud', level: 3 }], spots: {} },
    });
    expect(read.value.choices.fixed).toEqual({ roof: 'leave' });
    expect(read.value.choices.assumptions).toEqual({ walking: 0.2 });
    expect(readJob('{"format":"esmero-job","version":1,"job":7}').ok).toBe(false);
  });

  it('takes sites from before version 3 for calm shade, in jobs and collections', () => {
    const withoutAir = (site: Record<string, unknown>): void => {
      for (const field of Object.keys(calmShade)) Reflect.deleteProperty(site, field);
    };
    const file = JSON.parse(writeJob(deck)) as any;
    file.version = 2;
    withoutAir(file.job.site);
    expect(readJob(JSON.stringify(file))).toMatchObject({ ok: true, value: { site: calmShade } });
    const all = olderCollection();
    all.version = 1;
    for (const { item } of all.collection.sites) withoutAir(item);
    for (const { site } of all.collection.jobs) withoutAir(site);
    const read = readCollection(JSON.stringify(all));
    if (!read.ok) throw new Error(JSON.stringify(read.why));
    for (const { job } of read.value.jobs) expect(job.site).toMatchObject(calmShade);
  });

  it('takes towels and sites from before version 5 as they were: folded twice, level ground, steps at hand', () => {
    const older = ({ pile: _p, sides: _s, ...towel }: any): unknown => towel;
    const flat = ({ slope: _s, steps: _t, ...site }: any): unknown => site;
    const file = JSON.parse(writeJob(deck)) as any;
    file.version = 4;
    file.job = { ...file.job, towels: file.job.towels.map(older), site: flat(file.job.site) };
    const read = readJob(JSON.stringify(file));
    if (!read.ok) throw new Error(JSON.stringify(read.why));
    expect(read.value.site).toMatchObject({ slope: 0, steps: true });
    for (const { role, pile, sides } of read.value.towels)
      expect([pile, sides]).toEqual([role === 'drying' ? 'plush' : 'short', 8]);
    const all = olderCollection();
    all.version = 3;
    const { sites, towels, jobs } = all.collection;
    for (const entry of sites) entry.item = flat(entry.item);
    for (const entry of towels) entry.item = older(entry.item);
    for (const job of jobs) Object.assign(job, { towels: job.towels.map(older), site: flat(job.site) });
    expect(readCollection(JSON.stringify(all))).toMatchObject({ ok: true });
  });

  it('takes jobs from before version 6 for jobs that nobody has begun', () => {
    const file = JSON.parse(writeJob(deck)) as any;
    file.version = 5;
    delete file.job.run;
    expect(readJob(JSON.stringify(file))).toEqual({ ok: true, value: { ...deck, run: null } });
    const all = olderCollection();
    all.version = 4;
    for (const job of all.collection.jobs) delete job.run;
    expect(readCollection(JSON.stringify(all))).toMatchObject({ ok: true });
  });

  it('takes runs from before version 7 with their one count, and what was done once more', () => {
    const use = { doneShare: 1, plannedMin: 30, mixes: [], towels: [{ role: 'wash', planned: 2, opened: 3 }] };
    const again = { kind: 'again', zone: 'roof', section: 0, of: 0, at: 5 };
    const tick = { kind: 'wipe', zone: 'roof', section: 1, of: 2, at: 4 };
    const older = (job: any): any => {
      const { pictures: _pictures, signed: _signed, refused: _refused, ...rest } = job;
      const bare = ({ safety: _safety, uses, ...product }: any) => ({
        ...product,
        uses: uses.map(({ protectsDays: _days, ...one }: any) => one),
      });
      return {
        ...rest,
        products: job.products.map(bare),
        run: { startedAt: 1, endedAt: 9, events: [tick, again], used: use },
      };
    };
    const file = JSON.parse(writeJob(deck)) as any;
    const read = readJob(JSON.stringify({ ...file, version: 6, job: older(file.job) }));
    if (!read.ok) throw new Error(JSON.stringify(read.why));
    expect(read.value.run).toEqual({
      startedAt: 1,
      endedAt: 9,
      events: [
        { seq: 1, ...tick, by: null },
        { seq: 2, kind: 'again', zone: 'roof', at: 5 },
      ],
      counts: [{ at: 9, because: '', method: null, ...use, paces: [], soil: null, waterL: null, runoffL: null }],
      punch: [],
    });
    expect(read.value).toMatchObject({ pictures: [], signed: null, refused: null });
    expect(read.value.products[0]).toMatchObject({
      safety: '',
      uses: [{ protectsDays: null }, { protectsDays: null }],
    });
    const all = olderCollection();
    const { movements: _movements, ...rest } = all.collection;
    const products = rest.products.map(({ archived, item: { safety: _safety, ...item } }: any) => ({ archived, item }));
    const old = readCollection(
      JSON.stringify({ ...all, version: 5, collection: { ...rest, products, jobs: rest.jobs.map(older) } }),
    );
    expect(old).toMatchObject({ ok: true, value: { movements: [] } });
  });

  it('refuses movements that do not add up', () => {
    const all = JSON.parse(writeCollection(held(demo))) as any;
    all.collection.movements[0].entries[0].amount += 1;
    expect(readCollection(JSON.stringify(all))).toMatchObject({
      ok: false,
      why: { code: 'faults', faults: [{ path: 'collection.movements[0].entries' }] },
    });
  });

  it('never throws, whatever the text', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => void readJob(text)),
      { numRuns: runs(200) },
    );
    fc.assert(
      fc.property(fc.jsonValue(), (job) => {
        expect(readJob(JSON.stringify({ format: 'esmero-job', version: 3, job })).ok).toBe(false);
        expect(readJob(JSON.stringify({ format: 'esmero-job', version: 1, job })).ok).toBe(false);
      }),
      { numRuns: runs(100) },
    );
  });
});

describe('collection file', () => {
  it('comes back as it was', () => {
    const stamp = { changedAt: 1_900_000_000_000, vector: { 'van-tablet': 4, phone: 1 } };
    const { library, jobs, ...others } = held(demo);
    const all: Holdings = {
      ...others,
      library: library.map((entry, i) => ({ ...entry, ...stamp, archived: i === 0 })),
      jobs: jobs.map((one, i) => ({ ...one, ...stamp, archived: i === 1 })),
    };
    expect(readCollection(writeCollection(all))).toEqual({ ok: true, value: all });
  });

  it('is read whole or not at all', () => {
    const file = JSON.parse(writeCollection(held(demo))) as any;
    file.collection.jobs[3].job.site.minutes = 'soon';
    const read = readCollection(JSON.stringify(file));
    expect(read).toMatchObject({
      ok: false,
      why: { code: 'faults', faults: [{ path: 'collection.jobs[3].job.site.minutes' }] },
    });
  });
});

describe('habits in files', () => {
  it('are those of this version: one more is a step more in the migrations, with what was done before anybody asked', () => {
    expect(jobFormat.version).toBe(16);
    expect(habitKeys.join(' ')).toBe(
      'approach dirtLimit chemistry parts strength spray dwell bucket medium guards dryTouch soakedSides soakedTowel ' +
        'glassTowels wiping drying order rinseWith steamWith standing pair wheels glass sun cold topping brush droppings',
    );
  });
});

describe('published schemas', () => {
  const ajv = new Ajv2020({ strict: false });
  const job = ajv.compile(schemaOf(jobFormat, 'JobDocument', 'job', { stamp: 'StampDocument' }));
  const collection = ajv.compile(schemaOf(collectionFormat, 'CollectionDocument', 'collection'));

  it('accept what the app writes', () => {
    for (const one of demoJobs) {
      job(JSON.parse(writeJob(one, { changedAt: 5, vector: { 'van-tablet': 2 } })));
      expect(job.errors ?? [], one.id).toEqual([]);
    }
    collection(JSON.parse(writeCollection(held(demo))));
    expect(collection.errors ?? []).toEqual([]);
  });

  it('lets a figure go that no plan asks for any more', () => {
    const { version, ...file } = JSON.parse(writeJob(deck));
    file.job.choices.assumptions = [
      { name: 'stretch', value: 2 },
      { name: 'rateFlush', value: 20 },
      { name: 'walking', value: 0.2 },
    ];
    const read = readJob(JSON.stringify({ ...file, version: 9 }));
    expect(version).toBeGreaterThan(9);
    expect(read.ok && read.value.choices.assumptions).toEqual({ walking: 0.2 });
  });

  it('takes the approach from before version 13, of jobs, wishes and saved habits', () => {
    const before = ({ approach, ...others }: Record<string, unknown>): Record<string, unknown> => ({
      ...others,
      school: approach,
    });
    const cautious = {
      ...deck,
      wishes: { approach: 'permissive' as const },
      choices: { ...deck.choices, approach: 'cautious' as const },
    };
    const file = JSON.parse(writeJob(cautious));
    const job = { ...file.job, choices: before(file.job.choices), wishes: before(file.job.wishes) };
    const read = readJob(JSON.stringify({ ...file, version: 12, job }));
    expect(read.ok && read.value).toEqual(cautious);
    const all = JSON.parse(writeCollection(held(demo)));
    const habits = all.collection.habits.map((one: { item: Record<string, unknown> }) => ({
      ...one,
      item: before(one.item),
    }));
    const jobs = all.collection.jobs.map((one: { job: any }) => ({
      ...one,
      job: { ...one.job, choices: before(one.job.choices), wishes: one.job.wishes },
    }));
    const again = readCollection(
      JSON.stringify({ ...all, version: 11, collection: { ...all.collection, habits, jobs } }),
    );
    expect(again.ok && again.value).toEqual(held(demo));
  });

  it('takes counted bugs from before version 13 for the cover they come to, and all of the outside for the scope', () => {
    const file = JSON.parse(writeJob(deck));
    const { scope: _1, soldAs: _2, ...before } = file.job;
    const soil = before.soil.map(({ bugs: _3, ...one }: { bugs?: string; zone: string; spots: unknown[] }) => {
      const counts: Record<string, number> = { bonnet: 2, grille: 9, roof: 40, 'boot-lid': 0 };
      const count = counts[one.zone];
      return count === undefined ? one : { ...one, spots: [...one.spots, { kind: 'insects', count }] };
    });
    before.choices.assumptions = [{ name: 'secondsInsects', value: 20 }];
    const read = readJob(JSON.stringify({ ...file, version: 12, job: { ...before, soil } }));
    expect(read.ok).toBe(true);
    if (!read.ok) return;
    expect(
      Object.fromEntries(
        ['bonnet', 'grille', 'roof', 'boot-lid'].map((zone) => [zone, read.value.soil[zone as 'roof']?.bugs]),
      ),
    ).toEqual({ bonnet: 'few', grille: 'many', roof: 'covered', 'boot-lid': undefined });
    expect(read.value.soil.roof!.spots).toEqual({});
    expect(read.value.scope).toEqual(['body', 'trim', 'glass', 'wheels', 'shuts', 'boot-sill']);
    expect(read.value.choices.assumptions).toEqual({});
  });

  it('takes jobs, cars, products and packages from before version 14 as they were: nothing put on, nothing to mind, grille and badges with the body', () => {
    const file = JSON.parse(writeJob(deck));
    const { care: _1, around: _2, ...before } = file.job;
    delete before.vehicle.protection;
    const without = (of: object, ...keys: readonly string[]): object =>
      Object.fromEntries(Object.entries(of).filter(([key]) => !keys.includes(key)));
    for (const product of before.products)
      product.uses = product.uses.map((use: object) => without(use, 'mLPerM2', 'dwellS', 'rinseAfter', 'inSun'));
    before.choices = without(before.choices, 'chemistry', 'medium', 'guards', 'dryTouch', 'steamWith');
    before.scope = ['body', 'glass', 'wheels', 'shuts', 'boot-sill'];
    const read = readJob(JSON.stringify({ ...file, version: 13, job: before }));
    expect(read.ok && read.value).toEqual(deck);
    const all = JSON.parse(writeCollection(held(demo)));
    for (const { item } of all.collection.packages) delete item.care;
    for (const { item } of all.collection.vehicles) delete item.protection;
    const again = readCollection(JSON.stringify({ ...all, version: 12 }));
    expect(
      again.ok && again.value.library.filter(({ kind }) => kind === 'package').every(({ item }) => 'care' in item),
    ).toBe(true);
  });

  it('carries what was measured, proved and learned of a dye, and knows none of it from before version 16', () => {
    const measured = { loadGm2: 2.4, spread: 1.2 };
    const proof = {
      id: 'proof-1',
      zone: 'bonnet',
      at: 1000,
      before: 'b',
      after: 'a',
      marksBefore: 4,
      marksAfter: 5,
      doubt: 2,
    } as const;
    const told: Job = {
      ...deck,
      soil: { ...deck.soil, bonnet: { deposits: [{ kind: 'dust', level: 2 }], spots: {}, measured } },
      proofs: [proof],
      pictures: [{ id: 'b', when: 'before', zone: 'bonnet', note: '', photo: 'p-b', shows: 'lamp' }],
      products: deck.products.map((one, i) => (i === 0 ? { ...one, dye: { red: 1.6, green: 0.9, blue: 0.5 } } : one)),
    };
    const read = readJob(writeJob(told));
    expect(read.ok && read.value).toEqual(told);
    const file = JSON.parse(writeJob(deck));
    const { proofs: _none, ...before } = file.job;
    const old = readJob(JSON.stringify({ ...file, version: 15, job: before }));
    expect(old.ok && old.value).toEqual(deck);
    const broken = JSON.parse(writeJob(told));
    broken.job.soil.find(({ zone }: { zone: string }) => zone === 'bonnet').measured.loadGm2 = -1;
    expect(readJob(JSON.stringify(broken))).toMatchObject({ ok: false });
    const other = JSON.parse(writeJob(told));
    other.job.pictures[0].shows = 'sky';
    expect(readJob(JSON.stringify(other))).toMatchObject({ ok: false });
    const calibration = {
      id: 'c-1',
      name: 'white',
      person: 'Ada',
      kind: 'dust',
      by: 'scale',
      at: 5,
      onTowelGm2: 0.6,
      shades: evenMark(0.6, 0.3),
    } as const;
    const practice = {
      id: 'p-1',
      name: 'Ada',
      drill: 'panels',
      tries: [{ card: 'dust/2', truth: 2.1, answer: 2, isRight: true, at: 9 }],
    } as const;
    const entries: readonly LibraryEntry[] = [
      { kind: 'calibration', archived: false, item: calibration },
      { kind: 'practice', archived: false, item: practice },
    ];
    const all = readCollection(writeCollection(held({ ...demo, library: [...demo.library, ...entries] })));
    expect(
      all.ok &&
        all.value.library.filter(({ kind }) => kind === 'calibration' || kind === 'practice').map(({ item }) => item),
    ).toEqual([calibration, practice]);
    const { shades: _shades, ...weighed } = calibration;
    const earlier = JSON.parse(writeCollection(held({ ...demo, library: entries })));
    earlier.collection.calibrations[0].item = { ...weighed, absorbed: 0.05 };
    const taken = readCollection(JSON.stringify({ ...earlier, version: 17 }));
    const [kept] = taken.ok ? taken.value.library.flatMap((one) => (one.kind === 'calibration' ? [one.item] : [])) : [];
    expect(kept).toMatchObject(weighed);
    // A third of the side, at the shade that absorbs three times the mean.
    expect(kept?.shades.filter((share) => share > 0)).toEqual([1 / 3]);
    expect(kept?.shades.findIndex((share) => share > 0)).toBe(8);
  });

  it('answers what version 12 asks as everybody did before, and keeps passes that were changed by hand', () => {
    const file = JSON.parse(writeJob(deck));
    const { rinseWith: _1, standing: _2, pair: _3, passes: _4, ...before } = file.job.choices;
    file.job.choices = before;
    const read = readJob(JSON.stringify({ ...file, version: 11 }));
    expect(read.ok && read.value.choices).toMatchObject({
      rinseWith: 'water',
      standing: 'blower',
      pair: 'sides',
      passes: [],
    });
    const roof = { zone: 'roof', section: 1, of: 2 } as const;
    const changed = {
      ...deck,
      choices: {
        ...deck.choices,
        passes: [
          { kind: 'split', part: roof },
          { kind: 'join', part: roof, with: { zone: 'bonnet', section: 1, of: 2 } },
        ] as const,
      },
    };
    const again = readJob(writeJob(changed));
    expect(again.ok && again.value.choices.passes).toEqual(changed.choices.passes);
  });

  it.each([
    ['a join with nothing', { kind: 'join', part: { zone: 'roof', section: 1, of: 2 } }],
    [
      'a split with more than it needs',
      { kind: 'split', part: { zone: 'roof', section: 1, of: 2 }, before: { zone: 'roof', section: 2, of: 2 } },
    ],
    ['a part that does not exist', { kind: 'split', part: { zone: 'chimney', section: 1, of: 2 } }],
    ['no part', { kind: 'move' }],
  ])('refuses a change of passes with %s', (_what, change) => {
    const file = JSON.parse(writeJob(deck));
    file.job.choices.passes = [change];
    expect(readJob(JSON.stringify(file)).ok).toBe(false);
  });

  it('answers what version 11 asks as everybody did before, and keeps a label’s silence', () => {
    const file = JSON.parse(writeJob(deck));
    const { dirtLimit: _1, parts: _2, glassTowels: _3, ...before } = file.job.choices;
    file.job.choices = before;
    const read = readJob(JSON.stringify({ ...file, version: 10 }));
    expect(read.ok && read.value.choices).toMatchObject({ dirtLimit: 'index', parts: 'leave-out', glassTowels: 'own' });
    const silent = JSON.parse(writeJob(deck));
    silent.job.products[0].maxPanelC = null;
    const again = readJob(JSON.stringify(silent));
    expect(again.ok && again.value.products[0]!.maxPanelC).toBeNull();
  });

  it.each<(job: Record<string, any>) => void>([
    (j) => (j['vehicle'].body = 'boat'),
    (j) => (j['site'].waterL = -1),
    (j) => (j['soil'][0].deposits[0].level = 9),
    (j) => delete j['device'],
    (j) => (j['extra'] = 1),
  ])('refuse what the app refuses %#', (change) => {
    const text = changed(change);
    expect(readJob(text).ok).toBe(false);
    expect(job(JSON.parse(text))).toBe(false);
  });

  it('reads version 3 as it was meant: a heater where there was power, no place, no history', () => {
    const {
      hour: _h,
      gear: _g,
      since: _s,
      readings: _r,
      marks: _m,
      weather: _w,
      consent: _c,
      wishes: _i,
      ...old
    } = JSON.parse(writeJob(deck)).job as Record<string, unknown>;
    const {
      strength: _1,
      spray: _2,
      dwell: _3,
      order: _4,
      drying: _5,
      wiping: _6,
      sun: _7,
      cold: _8,
      topping: _9,
      brush: _10,
      droppings: _11,
      ...choices
    } = old['choices'] as Record<string, unknown>;
    const read = readJob(JSON.stringify({ format: 'esmero-job', version: 3, job: { ...old, choices } }));
    expect(read).toMatchObject({
      ok: true,
      value: {
        hour: 9,
        since: [],
        marks: [],
        weather: null,
        consent: null,
        gear: [{ kind: 'heater' }],
        choices: { cold: 'plenty', topping: 'welcome' },
      },
    });
  });
});
