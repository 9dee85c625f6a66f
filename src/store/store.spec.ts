import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { logOf } from '@esmero/core';
import { type Run, calmShade, somewhere } from '@esmero/model';
import { readCollection, readJob, writeCollection, writeJob } from '@esmero/exchange';
import { blobOf } from './photo';
import { held } from '@esmero/records';
import { demo, demoJobs } from '@esmero/demo';
import { type Store, type StoredBrief, everyJob, idbStore, memoryStore, openStore } from '.';
import { briefOf } from './kept';

const job = demoJobs[0]!;
let names = 0;

async function jobsOf(store: Store) {
  const all = [];
  for await (const stored of everyJob(store)) all.push(stored);
  return all;
}

describe.each<[string, () => Promise<Store>]>([
  ['in the browser', () => idbStore(`test-${++names}`)],
  ['in memory', () => memoryStore()],
])('the store %s', (_where, open) => {
  let store: Store;
  beforeEach(async () => (store = await open()));

  it('keeps a job and raises its revision with every save', async () => {
    expect(await store.saveJob(job, 0)).toEqual({ kind: 'saved', revision: 1 });
    expect(await store.saveJob({ ...job, name: 'Again' }, 1)).toEqual({ kind: 'saved', revision: 2 });
    expect(await store.job(job.id)).toMatchObject({ revision: 2, job: { name: 'Again' }, archived: false });
    expect(await store.job('none')).toBeUndefined();
  });

  it('writes nothing over what somebody else has saved since', async () => {
    await store.saveJob(job, 0);
    await store.saveJob({ ...job, name: 'Theirs' }, 1);
    const refused = await store.saveJob({ ...job, name: 'Mine' }, 1);
    expect(refused).toMatchObject({ kind: 'conflict', theirs: { revision: 2, job: { name: 'Theirs' } } });
    expect((await store.job(job.id))?.job.name).toBe('Theirs');
    expect(await store.saveJob({ ...job, name: 'Mine' }, null)).toEqual({ kind: 'saved', revision: 3 });
  });

  it('takes pictures out of a collection, byte for byte, and gives them out again', async () => {
    const bytes = Uint8Array.from({ length: 70_000 }, (_, i) => (i * 7) % 256);
    const picture = `data:image/png;base64,${Buffer.from(bytes).toString('base64')}`;
    const photo = { key: 'p-7', picture };
    const all = { library: [], jobs: [], movements: [], photos: [photo] };
    expect(readCollection(writeCollection(held(all)))).toEqual({ ok: true, value: held(all) });
    const back = blobOf(photo);
    expect([back.type, new Uint8Array(await back.arrayBuffer())]).toEqual(['image/png', bytes]);
    await store.merge(all);
    expect(await store.photo('p-7')).toBeDefined();
  });

  it('keeps pictures beside the jobs', async () => {
    const picture = new Blob(['small'], { type: 'image/jpeg' });
    expect(await store.keepPhoto('p-1', picture)).toEqual({ kind: 'kept' });
    expect(await store.photo('p-1')).toBeDefined();
    expect(await store.photo('none')).toBeUndefined();
  });

  it('lists jobs, puts them away and brings them back', async () => {
    await store.merge(demo);
    expect(await jobsOf(store)).toHaveLength(demoJobs.length);
    await store.archiveJobs([job.id], true);
    expect((await store.job(job.id))?.archived).toBe(true);
    await store.saveJob(job, 1);
    expect((await store.job(job.id))?.archived).toBe(true);
    expect((await store.briefs()).filter(({ archived }) => archived).map(({ id }) => id)).toEqual([job.id]);
  });

  it('has every job in brief, too, as it was saved last, without what was ticked off', async () => {
    const jobs = Array.from({ length: 900 }, (_, i) => ({ ...job, id: `j-${i}` }));
    await store.merge({ library: [], jobs, movements: [], photos: [] });
    const run: Run = {
      startedAt: 1,
      endedAt: 2,
      counts: [],
      punch: [],
      events: [
        { kind: 'wipe', zone: 'roof', section: 1, of: 1, by: 0, at: 1, seq: 1 },
        { kind: 'again', zone: 'roof', at: 2, seq: 2 },
      ],
    };
    await store.saveJob({ ...job, id: 'j-7', name: 'Saved last', run }, 1);
    const briefs = await store.briefs();
    expect(new Set(briefs.map(({ id }) => id)).size).toBe(900);
    expect(briefs[0]).toMatchObject({
      id: 'j-7',
      revision: 2,
      job: { name: 'Saved last', run: { events: [{ kind: 'again' }] } },
    });
    const byId = (all: readonly StoredBrief[]): readonly StoredBrief[] =>
      [...all].sort((p, q) => p.id.localeCompare(q.id));
    expect(byId(briefs)).toEqual(byId((await jobsOf(store)).map(briefOf)));
    expect(logOf(briefs.map((one) => one.job))).toHaveLength(1);
  });

  it('keeps the library by kind and id', async () => {
    await store.merge(demo);
    expect(await store.library()).toHaveLength(demo.library.length);
    const [entry] = demo.library;
    await store.saveEntry({ ...entry!, archived: true }, entry!);
    const again = await store.library();
    expect(again).toHaveLength(demo.library.length);
    expect(again.filter(({ archived }) => archived)).toHaveLength(1);
  });

  it('keeps what two people have changed of one item, and asks about the same field', async () => {
    await store.merge(demo);
    const [base] = await store.library();
    const named = { ...base!, item: { ...base!.item, name: 'Renamed' } } as typeof base & object;
    const first = await store.saveEntry(named, base!);
    expect(first).toMatchObject({ kind: 'saved', stored: { revision: 2, item: { name: 'Renamed' } } });
    const second = await store.saveEntry({ ...base!, archived: true }, base!);
    expect(second).toMatchObject({ kind: 'saved', stored: { revision: 3, archived: true, item: { name: 'Renamed' } } });
    const other = { ...base!, item: { ...base!.item, name: 'Otherwise' } } as typeof base & object;
    expect(await store.saveEntry(other, base!)).toMatchObject({
      kind: 'conflict',
      fields: ['item.name'],
      theirs: { revision: 3 },
      mine: { archived: true, item: { name: 'Otherwise' } },
    });
    expect(await store.library()).toContainEqual(expect.objectContaining({ revision: 3 }));
  });

  it('keeps settings that two tabs have changed side by side', async () => {
    const base = { units: 'metric', theme: 'light' };
    await store.keepSetting('s', base);
    await store.keepSetting('s', { units: 'us', theme: 'light' }, base);
    await store.keepSetting('s', { units: 'metric', theme: 'dark' }, base);
    expect(await store.setting('s')).toEqual({ units: 'us', theme: 'dark' });
  });

  it('deletes jobs, items and pictures for good', async () => {
    await store.merge(demo);
    await store.keepPhoto('p-1', new Blob(['small']));
    expect(await store.deleteJobs([job.id])).toEqual({ kind: 'kept' });
    expect(await store.deleteEntry(demo.library[0]!)).toEqual({ kind: 'kept' });
    expect(await store.deletePhotos(['p-1'])).toEqual({ kind: 'kept' });
    expect([await store.job(job.id), await store.photo('p-1')]).toEqual([undefined, undefined]);
    expect(await store.library()).toHaveLength(demo.library.length - 1);
    expect((await store.briefs()).map(({ id }) => id)).not.toContain(job.id);
  });

  it('keeps what moved in the van stock, oldest first, and adds to it', async () => {
    await store.merge(demo);
    const [first, ...others] = demo.movements;
    expect(await store.movements()).toEqual(demo.movements);
    await store.merge({ library: [], jobs: [], photos: [], movements: [{ ...first!, id: 'm-new', seq: 0 }] });
    const all = await store.movements();
    expect(all.map(({ id }) => id)).toEqual(['m-new', first!.id, ...others.map(({ id }) => id)]);
  });

  it('keeps settings', async () => {
    expect(await store.setting('units')).toBeUndefined();
    await store.keepSetting('units', { units: 'us' });
    expect(await store.setting('units')).toEqual({ units: 'us' });
  });
});

describe('the database', () => {
  it('is taken from version 1 to the present with its jobs in it', async () => {
    const name = `old-${++names}`;
    const old = await openDB(name, 1, {
      upgrade(db) {
        db.createObjectStore('jobs', { keyPath: 'id' });
        db.createObjectStore('library', { keyPath: 'id' });
      },
    });
    const before = (record: object, later: readonly string[]) =>
      Object.fromEntries(Object.entries(record).filter(([key]) => !later.includes(key)));
    const site = before(job.site, [...Object.keys(calmShade), ...Object.keys(somewhere)]);
    const { approach, method, wheels, glass, bucket, soakedTowel, soakedSides, fixed, assumptions } = job.choices;
    const first = {
      ...before(job, [
        'hour',
        'gear',
        'since',
        'readings',
        'marks',
        'weather',
        'consent',
        'refused',
        'wishes',
        'pictures',
        'signed',
      ]),
      site,
      run: {
        startedAt: 1,
        endedAt: 9,
        events: [
          { kind: 'wipe', zone: 'roof', section: 1, of: 1, at: 3 },
          { kind: 'again', zone: 'roof', section: 0, of: 0, at: 4 },
        ],
        used: null,
      },
      towels: job.towels.map((towel) => before(towel, ['pile', 'sides'])),
      products: job.products.map((product) => before(product, ['leavesLayer', 'notWith', 'safety'])),
      choices: { approach, method, wheels, glass, bucket, soakedTowel, soakedSides, fixed, assumptions },
    };
    await old.put('jobs', { id: job.id, job: first, revision: 4 });
    await old.put('library', {
      id: 'towel/t',
      kind: 'towel',
      archived: false,
      item: before(job.towels[0]!, ['pile', 'sides']),
    });
    await old.put('library', { id: 'site/s', kind: 'site', archived: false, item: site });
    old.close();
    const store = await idbStore(name);
    const [kept] = await jobsOf(store);
    expect(kept).toMatchObject({ id: job.id, revision: 4, changedAt: 0, archived: false });
    expect(await store.briefs()).toEqual([briefOf(kept!)]);
    // What it has become is a sound job: a file of it reads back as it is.
    expect(readJob(writeJob(kept!.job))).toEqual({ ok: true, value: kept!.job });
    expect(kept!.job).toMatchObject({ site: { ...calmShade, ...somewhere }, since: [], gear: [{ kind: 'heater' }] });
    expect(kept!.job.run).toEqual({
      startedAt: 1,
      endedAt: 9,
      events: [
        { kind: 'wipe', zone: 'roof', section: 1, of: 1, by: null, at: 3, seq: 1 },
        { kind: 'again', zone: 'roof', at: 4, seq: 2 },
      ],
      counts: [],
      punch: [],
    });
    const library = await store.library();
    expect(library.find(({ kind }) => kind === 'site')!.item).toMatchObject({ ...calmShade, ...somewhere });
    expect(library.find(({ kind }) => kind === 'towel')!.item).toMatchObject({ pile: 'short', sides: 8 });
    expect(library.some(({ kind }) => kind === 'gear')).toBe(true);
    expect(await store.keepSetting('a', 1)).toEqual({ kind: 'kept' });
  });

  it('is taken from its last version with upgrades of its own, with runs and movements put in order', async () => {
    const name = `nine-${++names}`;
    const old = await openDB(name, 9, {
      upgrade(db) {
        for (const table of ['jobs', 'library', 'briefs', 'movements']) db.createObjectStore(table, { keyPath: 'id' });
        for (const table of ['settings', 'photos']) db.createObjectStore(table);
      },
    });
    const bare = ({ seq: _seq, ...one }: { seq: number }): object => one;
    const events = [
      { kind: 'wipe', zone: 'roof', section: 1, of: 1, by: 0, at: 9 },
      { kind: 'again', zone: 'roof', at: 4 },
    ];
    const [late, early] = [demo.movements[5]!, demo.movements[2]!];
    await old.put('jobs', {
      id: job.id,
      revision: 7,
      changedAt: 3,
      archived: true,
      job: { ...job, run: { startedAt: 1, endedAt: null, counts: [], punch: [], events } },
    });
    for (const movement of [late, early]) await old.put('movements', bare(movement));
    await old.put('photos', new Blob(['small'], { type: 'image/jpeg' }), 'p-1');
    await old.put('settings', true, 'seeded');
    old.close();
    const store = await idbStore(name);
    const kept = (await store.job(job.id))!;
    expect(kept).toMatchObject({ revision: 7, changedAt: 3, archived: true });
    expect(kept.job.run!.events.map(({ seq, kind }) => [seq, kind])).toEqual([
      [1, 'wipe'],
      [2, 'again'],
    ]);
    expect(readJob(writeJob(kept.job))).toEqual({ ok: true, value: kept.job });
    expect((await store.movements()).map(({ id, seq }) => [id, seq])).toEqual([
      [early.id, 1],
      [late.id, 2],
    ]);
    expect((await store.briefs()).map(({ id, archived }) => [id, archived])).toEqual([[job.id, true]]);
    expect([await store.setting('seeded'), (await store.photoKeys()).length]).toEqual([true, 1]);
  });

  it('says that the disk is full, and keeps what was there', async () => {
    const store = await idbStore(`full-${++names}`);
    await store.saveJob(job, 0);
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(await store.saveJob({ ...job, name: 'Too much' }, 1)).toEqual({ kind: 'full' });
    expect(await store.merge(demo)).toEqual({ kind: 'full' });
    put.mockRestore();
    expect((await store.job(job.id))?.job.name).toBe(job.name);
    expect(await store.saveJob({ ...job, name: 'Room again' }, 1)).toEqual({ kind: 'saved', revision: 2 });
  });

  it('puts in all of a collection or nothing', async () => {
    const store = await idbStore(`merge-${++names}`);
    const broken = { ...demo, jobs: [...demo.jobs.slice(0, 2), { ...job, id: Symbol('no key') as never }] };
    expect(await store.merge(broken)).toMatchObject({ kind: 'failed' });
    expect(await jobsOf(store)).toEqual([]);
    expect(await store.library()).toEqual([]);
  });
});

describe('a connection that is lost', () => {
  it('is made again after the database was deleted, and says so', async () => {
    const name = `lost-${++names}`;
    const store = await idbStore(name);
    await store.merge(demo);
    const told = vi.fn();
    store.onTrouble(told);
    await new Promise((resolve) => (indexedDB.deleteDatabase(name).onsuccess = resolve));
    await vi.waitFor(() => expect(told).toHaveBeenCalledWith('lost'));
    expect(await store.saveJob(job, 5)).toEqual({ kind: 'saved', revision: 6 });
    expect(await jobsOf(store)).toHaveLength(1);
  });

  it('is not made again where a newer application has taken the data further', async () => {
    const name = `newer-${++names}`;
    const store = await idbStore(name);
    await store.saveJob(job, 0);
    const told = vi.fn();
    store.onTrouble(told);
    const newer = await openDB(name, 9999);
    await vi.waitFor(() => expect(told).toHaveBeenCalledWith('newer'));
    expect(await store.saveJob({ ...job, name: 'From the old one' }, 1)).toEqual({ kind: 'newer' });
    newer.close();
    await expect(idbStore(name)).rejects.toMatchObject({ name: 'VersionError' });
  });

  it('by the browser in the middle of a write has written nothing, and the write is done again', async () => {
    const store = await idbStore(`cut-${++names}`);
    await store.saveJob(job, 0);
    const real = IDBObjectStore.prototype.put;
    let cut = false;
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
      if (!cut) {
        cut = true;
        throw new DOMException('closing', 'InvalidStateError');
      }
      return real.apply(this, args);
    });
    expect(await store.saveJob({ ...job, name: 'After it' }, 1)).toEqual({ kind: 'saved', revision: 2 });
    put.mockRestore();
    expect((await store.job(job.id))?.job.name).toBe('After it');
  });
});

describe('a browser that keeps nothing', () => {
  const real = globalThis.indexedDB;
  afterEach(() => (globalThis.indexedDB = real));

  it('gets a store in memory that says so', async () => {
    globalThis.indexedDB = {
      open: () => {
        throw new DOMException('refused', 'SecurityError');
      },
    } as unknown as IDBFactory;
    const store = await openStore();
    expect(store.keeping).toBe('nowhere');
    expect(await store.saveJob(job, 0)).toEqual({ kind: 'saved', revision: 1 });
  });
});
