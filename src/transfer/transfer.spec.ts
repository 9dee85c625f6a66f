import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type Job, MOST_ORDER } from '@esmero/model';
import { demo, demoJobs } from '@esmero/demo';
import { BlobReader, BlobWriter, TextReader, TextWriter, ZipReader, ZipWriter } from '@zip.js/zip.js';
import { noteEvent, shareOf } from '@esmero/core';
import { crewRun, readCrewMessage, writeCollection, writeJob } from '@esmero/exchange';
import { held } from '@esmero/records';
import { runs } from '@esmero/testing';
import { type Store, everything, idbStore } from '@esmero/store';
import { MANIFEST, checksum } from './backup';
import type { Review } from './review';
import { type Transfer, transferOn } from './transfer';
import { usual } from './review';

const [deck, second] = demoJobs as readonly [Job, Job];
const nothing = (): void => undefined;
let names = 0;

const freshStore = async (seed = true): Promise<Store> => {
  const store = await idbStore(`transfer-${++names}`);
  if (seed) await store.merge(demo);
  return store;
};
const fileOf = (text: string): Blob => new Blob([text], { type: 'application/json' });

async function reviewed(transfer: Transfer, file: Blob): Promise<Review> {
  const answer = await transfer.review(file, nothing);
  if (answer.kind !== 'review') throw new Error(JSON.stringify(answer));
  return answer.review;
}
const row = (review: Review, key: string) => review.rows.find((one) => one.key === key)!;
const asUsual = (review: Review) => ({
  rows: Object.fromEntries(review.rows.map(({ key, standing }) => [key, usual(standing)])),
  stock: review.stock.related,
});

async function backedUp(store: Store): Promise<Blob> {
  const backup = await transferOn(Promise.resolve(store)).backup(null, nothing);
  if (backup.kind !== 'done') throw new Error(JSON.stringify(backup));
  return backup.file!;
}
const withoutVectors = ({ jobs, library, movements }: Awaited<ReturnType<typeof everything>>) => ({
  jobs: jobs.map(({ job, archived }) => ({ job, archived })),
  library: library.map(({ kind, archived, item }) => ({ kind, archived, item })),
  movements,
});

describe('a backup', () => {
  it('as one plain file holds the pictures, too, and comes into an empty browser the same', async () => {
    const store = await freshStore();
    const bytes = Uint8Array.from({ length: 70_000 }, (_, i) => (i * 13) % 256);
    await store.keepPhoto('p-1', new Blob([bytes], { type: 'image/png' }));
    await store.saveJob({ ...deck, pictures: [{ id: 'p', when: 'after', zone: null, note: '', photo: 'p-1' }] }, 1);
    const file = await transferOn(Promise.resolve(store)).collection();
    const other = await freshStore(false);
    const transfer = transferOn(Promise.resolve(other));
    const review = await reviewed(transfer, file);
    expect(review.pictures).toEqual({ fresh: 1, here: 0 });
    await transfer.apply(asUsual(review), 'all.json', nothing);
    expect(withoutVectors(await everything(other))).toEqual(withoutVectors(await everything(store)));
    expect(new Uint8Array(await (await other.photo('p-1'))!.arrayBuffer())).toEqual(bytes);
    // Out once more it is the same, letter by letter.
    const [first, second] = await Promise.all([
      file.text(),
      transferOn(Promise.resolve(other))
        .collection()
        .then((again) => again.text()),
    ]);
    const content = (text: string): unknown =>
      (JSON.parse(text) as { collection: { photos: unknown } }).collection.photos;
    expect(content(second)).toEqual(content(first));
  });

  it('goes out and comes into an empty browser with nothing different', async () => {
    const store = await freshStore();
    const bytes = Uint8Array.from({ length: 50_000 }, (_, i) => (i * 31) % 256);
    for (let i = 0; i < 20; i++) await store.keepPhoto(`p-${i}`, new Blob([bytes, `${i}`], { type: 'image/jpeg' }));
    await store.saveJob(
      {
        ...deck,
        pictures: Array.from({ length: 20 }, (_, i) => ({
          id: `${i}`,
          when: 'after',
          zone: null,
          note: '',
          photo: `p-${i}`,
        })),
      },
      1,
    );
    await store.archiveJobs([second.id], true);
    const file = await backedUp(store);
    const other = await freshStore(false);
    const transfer = transferOn(Promise.resolve(other));
    const review = await reviewed(transfer, file);
    expect(new Set(review.rows.map(({ standing }) => standing))).toEqual(new Set(['new']));
    expect(review.pictures).toEqual({ fresh: 20, here: 0 });
    const done = await transfer.apply(asUsual(review), 'all.zip', nothing);
    expect(done).toMatchObject({ kind: 'done', jobs: demoJobs.length, pictures: 20, left: [] });
    expect(withoutVectors(await everything(other))).toEqual(withoutVectors(await everything(store)));
    expect((await other.photo('p-7'))!.type).toBe('image/jpeg');
    expect(new Uint8Array(await (await other.photo('p-7'))!.slice(0, 50_000).arrayBuffer())).toEqual(bytes);
    // Once more, there is nothing new in it.
    expect(new Set((await reviewed(transfer, file)).rows.map(({ standing }) => standing))).toEqual(new Set(['same']));
  });

  it('that was cut off or changed is refused whole', async () => {
    const store = await freshStore();
    const file = await backedUp(store);
    const transfer = transferOn(Promise.resolve(store));
    expect(await transfer.review(file.slice(0, file.size - 400), nothing)).toMatchObject({
      kind: 'unreadable',
      why: { code: 'no-zip' },
    });
    expect(await transfer.review(fileOf('PK and nothing more'), nothing)).toMatchObject({
      kind: 'unreadable',
      why: { code: 'no-zip' },
    });
  });

  /** A backup with some of its files written otherwise, and its manifest as it would be of those. */
  async function rewritten(file: Blob, change: (path: string, text: string) => string | null): Promise<Blob> {
    const entries = await new ZipReader(new BlobReader(file)).getEntries();
    const to = new ZipWriter(new BlobWriter());
    const texts = new Map<string, string>();
    for (const entry of entries)
      if (!entry.directory)
        texts.set(entry.filename, change(entry.filename, await entry.getData(new TextWriter())) ?? '');
    const manifest = JSON.parse(texts.get(MANIFEST)!) as {
      backup: { files: { path: string; bytes: number; sha256: string }[] };
    };
    for (const one of manifest.backup.files) {
      const bytes = new TextEncoder().encode(texts.get(one.path)!);
      [one.bytes, one.sha256] = [bytes.length, await checksum(bytes)];
    }
    texts.set(MANIFEST, JSON.stringify(manifest));
    for (const [path, text] of texts) await to.add(path, new TextReader(text));
    return to.close();
  }

  it('with a job that cannot be read sets it aside by name, brings in the rest, and carries it on as it is', async () => {
    const store = await freshStore();
    const bad = await rewritten(await backedUp(store), (path, text) =>
      path === `jobs/${deck.id}.json` ? text.replace('"hour":', '"hour":"noon","was":') : text,
    );
    const other = await freshStore(false);
    const transfer = transferOn(Promise.resolve(other));
    const review = await reviewed(transfer, bad);
    expect(review.aside).toMatchObject([
      {
        path: `jobs/${deck.id}.json`,
        why: { code: 'faults', faults: [{ path: 'job.was' }, { path: 'job.hour' }] },
        text: expect.stringContaining('"noon"'),
      },
    ]);
    expect(review.rows.some(({ key }) => key === `job/${deck.id}`)).toBe(false);
    expect(await transfer.apply(asUsual(review), 'all.zip', nothing)).toMatchObject({
      kind: 'done',
      jobs: demoJobs.length - 1,
    });
    // The next backup has it, letter by letter, and asks about it again.
    const again = await reviewed(transferOn(Promise.resolve(await freshStore(false))), await backedUp(other));
    expect(again.aside).toMatchObject([{ path: `aside/${deck.id}.json`, text: review.aside[0]!.text }]);
    // A version that can read it brings it in.
    const mended = await rewritten(await backedUp(other), (path, text) =>
      path === `aside/${deck.id}.json` ? text.replace('"hour":"noon","was":', '"hour":') : text,
    );
    const third = await freshStore(false);
    const there = transferOn(Promise.resolve(third));
    await there.apply(asUsual(await reviewed(there, mended)), 'all.zip', nothing);
    expect(
      withoutVectors(await everything(third))
        .jobs.map(({ job }) => job.id)
        .sort(),
    ).toEqual(demoJobs.map(({ id }) => id).sort());
  });

  it('is never larger than it says: what unpacks to more is not unpacked', async () => {
    const store = await freshStore();
    await store.keepPhoto('p-1', new Blob(['x'.repeat(100)], { type: 'image/png' }));
    const file = await backedUp(store);
    const transfer = transferOn(Promise.resolve(store));
    for (const path of [MANIFEST, 'collection.json', 'pictures/p-1.png']) {
      const to = new ZipWriter(new BlobWriter());
      for (const entry of await new ZipReader(new BlobReader(file)).getEntries())
        if (!entry.directory)
          await to.add(
            entry.filename,
            entry.filename === path
              ? new TextReader(' '.repeat(60_000_000))
              : new BlobReader(await entry.getData(new BlobWriter())),
          );
      const large = await to.close();
      expect(await transfer.review(large, nothing)).toMatchObject({
        kind: 'unreadable',
        why: { code: 'damaged', paths: [path] },
      });
      // The directory says that it is small.
      const bytes = new Uint8Array(await large.arrayBuffer());
      const sizes = new DataView(bytes.buffer);
      for (let i = 0; i + 4 < bytes.length; i++)
        if (sizes.getUint32(i, true) === 60_000_000) sizes.setUint32(i, 100, true);
      expect(await transfer.review(new Blob([bytes]), nothing)).toMatchObject({
        kind: 'unreadable',
        why: { code: 'damaged', paths: [path] },
      });
    }
  });

  it('is answered with a review or a reason, whatever was done to its bytes', async () => {
    const store = await freshStore();
    await store.keepPhoto(
      'p-1',
      new Blob([Uint8Array.from({ length: 3000 }, (_, i) => (i * 7) % 256)], { type: 'image/jpeg' }),
    );
    const whole = new Uint8Array(await (await backedUp(store)).arrayBuffer());
    const kinds = new Map<string, number>();
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(whole.length - 1), fc.nat(255)), { minLength: 1, maxLength: 3 }),
        fc.option(fc.nat(whole.length), { freq: 5 }),
        async (changes, cut) => {
          const bytes = whole.slice(0, cut ?? whole.length);
          for (const [at, value] of changes) if (at < bytes.length) bytes[at] = value;
          const { kind } = await transferOn(Promise.resolve(store)).review(new Blob([bytes]), nothing);
          kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
          expect(['review', 'unreadable']).toContain(kind);
        },
      ),
      { numRuns: runs(300) },
    );
    expect(kinds.size).toBe(2);
  });

  it('can be read back whatever was done on numbers at their bound', async () => {
    const seq = MOST_ORDER;
    const run = {
      startedAt: 1000,
      endedAt: null,
      counts: [],
      punch: [],
      events: [{ kind: 'wipe', zone: 'roof', section: 1, of: 2, by: 0, at: 2000, seq }],
    } as never;
    const file = fileOf(
      writeCollection({
        jobs: [{ ...{ changedAt: 1, vector: { x: MOST_ORDER } }, archived: false, job: { ...deck, run } }],
        library: [],
        movements: [{ ...demo.movements[0]!, id: 'last', seq }],
        photos: [],
      }),
    );
    const store = await freshStore(false);
    const transfer = transferOn(Promise.resolve(store));
    await transfer.apply(asUsual(await reviewed(transfer, file)), 'f', nothing);
    const kept = (await store.job(deck.id))!;
    const next = noteEvent(kept.job, { kind: 'wipe', zone: 'roof', section: 2, of: 2, by: 0, at: 3000 });
    await store.saveJob(next, kept.revision);
    const said = readCrewMessage(crewRun(shareOf(deck.id, next.run!)));
    expect(said).toMatchObject({ kind: 'run', share: { events: [{ section: 1 }, { section: 2 }] } });
    const again = await reviewed(transferOn(Promise.resolve(await freshStore(false))), await backedUp(store));
    expect([again.aside, again.rows.map(({ standing }) => standing)]).toEqual([[], ['new']]);
  });

  it('can be called off', async () => {
    const store = await freshStore();
    const transfer = transferOn(Promise.resolve(store));
    const backup = transfer.backup(null, nothing);
    transfer.stop();
    expect((await backup).kind).toBe('stopped');
  });
});

describe('an import', () => {
  let store: Store;
  let transfer: Transfer;
  beforeEach(async () => {
    store = await freshStore();
    transfer = transferOn(Promise.resolve(store));
  });

  it('tells what is new, the same, older, newer and different', async () => {
    const file = fileOf(writeCollection(await everything(store)));
    await store.saveJob({ ...deck, name: 'Changed here since' }, 1);
    expect(row(await reviewed(transfer, file), `job/${deck.id}`).standing).toBe('older');
    const later = fileOf(writeCollection(await everything(store)));
    // A browser that has the older state of the same.
    const other = await freshStore(false);
    const there = transferOn(Promise.resolve(other));
    await there.apply(asUsual(await reviewed(there, file)), 'a', nothing);
    const review = await reviewed(there, later);
    expect(row(review, `job/${deck.id}`).standing).toBe('newer');
    expect(row(review, `job/${second.id}`).standing).toBe('same');
    await other.saveJob({ ...deck, note: 'Changed there' }, 1);
    expect(row(await reviewed(there, later), `job/${deck.id}`).standing).toBe('different');
    const fresh = await reviewed(there, fileOf(writeJob({ ...deck, id: 'never-seen' })));
    expect(fresh.rows).toMatchObject([{ standing: 'new', expects: null }]);
  });

  it.each(['mine', 'theirs', 'both'] as const)('keeps %s, and is taken back whole', async (choice) => {
    const before = withoutVectors(await everything(store));
    const theirs = { ...deck, name: 'From the file' };
    const review = await reviewed(
      transfer,
      fileOf(writeCollection(held({ ...demo, jobs: [theirs, { ...second, id: 'new-one' }] }))),
    );
    const choices = { rows: { [`job/${deck.id}`]: choice, 'job/new-one': 'theirs' as const }, stock: false };
    expect(await transfer.apply(choices, 'file.json', nothing)).toMatchObject({
      kind: 'done',
      jobs: choice === 'mine' ? 1 : 2,
    });
    const { jobs } = await everything(store);
    expect(jobs).toHaveLength(demoJobs.length + (choice === 'both' ? 2 : 1));
    expect(jobs.find(({ job }) => job.id === deck.id)!.job.name).toBe(
      choice === 'theirs' ? 'From the file' : deck.name,
    );
    expect(jobs.some(({ job }) => job.name === 'From the file (imported)')).toBe(choice === 'both');
    expect(row(review, 'job/new-one').standing).toBe('new');
    expect(await transfer.undo(nothing)).toEqual({ kind: 'done', left: [] });
    expect(withoutVectors(await everything(store))).toEqual(before);
  });

  it('keeps the pictures that taking it back would show again', async () => {
    const mine = { ...deck, pictures: [{ id: 'p', when: 'after', zone: null, note: '', photo: 'mine' } as const] };
    await store.keepPhoto('mine', new Blob(['x']));
    await store.saveJob(mine, 1);
    await reviewed(transfer, fileOf(writeJob(deck)));
    await transfer.apply({ rows: { [`job/${deck.id}`]: 'theirs' }, stock: false }, 'f', nothing);
    expect((await store.job(deck.id))!.job.pictures).toEqual(deck.pictures);
    expect([...(await store.usedPhotos())]).toContain('mine');
    await transfer.undo(nothing);
    expect((await store.job(deck.id))!.job.pictures).toEqual(mine.pictures);
  });

  it('leaves what was changed since as it is when it is taken back, and says so', async () => {
    await reviewed(transfer, fileOf(writeJob({ ...deck, name: 'From the file' })));
    await transfer.apply({ rows: { [`job/${deck.id}`]: 'theirs' }, stock: false }, 'file.json', nothing);
    const now = (await store.job(deck.id))!;
    await store.saveJob({ ...now.job, note: 'worked on' }, now.revision);
    expect(await transfer.undo(nothing)).toEqual({ kind: 'done', left: [`jobs/${deck.id}`] });
    expect((await store.job(deck.id))!.job).toMatchObject({ name: 'From the file', note: 'worked on' });
  });

  it('does not write over what was changed while somebody was choosing', async () => {
    await reviewed(transfer, fileOf(writeJob({ ...deck, name: 'From the file' })));
    await store.saveJob({ ...deck, name: 'Changed meanwhile' }, 1);
    expect(await transfer.apply({ rows: { [`job/${deck.id}`]: 'theirs' }, stock: false }, 'f', nothing)).toMatchObject({
      kind: 'done',
      left: [deck.id],
    });
    expect((await store.job(deck.id))!.job.name).toBe('Changed meanwhile');
  });

  it('sets no stock back: an old count of towels changes nothing, and movements come in only when asked for', async () => {
    const old = demo.library.map((entry) =>
      entry.kind === 'towel' ? { ...entry, item: { ...entry.item, clean: 99 } } : entry,
    );
    const [first] = demo.movements;
    const fresh = { ...first!, id: 'from-there', seq: 900 };
    const file = fileOf(
      writeCollection(
        held({ library: old as typeof demo.library, jobs: [], photos: [], movements: [...demo.movements, fresh] }),
      ),
    );
    const review = await reviewed(transfer, file);
    expect(review.rows.filter(({ kind }) => kind === 'towel').every(({ standing }) => standing === 'same')).toBe(true);
    expect(review.stock).toMatchObject({ fresh: 1, here: demo.movements.length, related: true });
    expect(review.stock.changes).toHaveLength(1);
    await transfer.apply({ rows: {}, stock: false }, 'f', nothing);
    expect(await store.movements()).toHaveLength(demo.movements.length);
    await reviewed(transfer, file);
    await transfer.apply({ rows: {}, stock: true }, 'f', nothing);
    expect(await store.movements()).toHaveLength(demo.movements.length + 1);
  });

  it('is all or nothing when the disk is full in the middle, or when it is called off', async () => {
    const before = withoutVectors(await everything(store));
    const jobs = Array.from({ length: 160 }, (_, i) => ({ ...deck, id: `many-${i}` }));
    const file = fileOf(writeCollection(held({ library: [], movements: [], photos: [], jobs })));
    const review = await reviewed(transfer, file);
    let puts = 0;
    const real = IDBObjectStore.prototype.put;
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
      if (++puts === 300) throw new DOMException('full', 'QuotaExceededError');
      return real.apply(this, args);
    });
    expect(await transfer.apply(asUsual(review), 'f', nothing)).toEqual({ kind: 'full' });
    put.mockRestore();
    expect(withoutVectors(await everything(store))).toEqual(before);
    const again = await reviewed(transfer, file);
    const applying = transfer.apply(asUsual(again), 'f', nothing);
    setTimeout(() => transfer.stop(), 30);
    expect(await applying).toEqual({ kind: 'stopped' });
    expect(withoutVectors(await everything(store))).toEqual(before);
  });
});
