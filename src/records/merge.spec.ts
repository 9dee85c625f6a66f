import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { noteEvent, paint, putMark, putPunch, setChoices, startRun } from '@esmero/core';
import { type Job, zoneIds } from '@esmero/model';
import { demoJobs } from '@esmero/demo';
import { merged, same } from '.';

const [deck] = demoJobs as readonly [Job];
const tick = (job: Job, at: number, section: number): Job =>
  noteEvent(job, { kind: 'wipe', zone: 'roof', section, of: 9, by: 0, at });
const mark = { id: 'm-new', zone: 'roof', kind: 'scratch', note: '', photo: null } as const;

/** Changes of different parts of a job. */
const edits: readonly ((job: Job) => Job)[] = [
  (job) => ({ ...job, client: 'Somebody else' }),
  (job) => ({ ...job, note: 'Seen by both' }),
  (job) => ({ ...job, site: { ...job.site, minutes: 77 } }),
  (job) => ({ ...job, site: { ...job.site, windMs: 3 } }),
  (job) => paint(job, ['roof'], { deposit: { kind: 'mud', level: 4 }, onTop: false }),
  (job) => paint(job, ['left-sill'], { deposit: { kind: 'mud', level: 3 }, onTop: false }),
  (job) => putMark(job, mark),
  (job) => setChoices(job, { approach: 'permissive' }),
  (job) => ({ ...job, towels: job.towels.map((one, i) => (i === 0 ? { ...one, clean: 3 } : one)) }),
  (job) => ({ ...job, towels: job.towels.slice(0, -1) }),
  (job) => ({ ...job, readings: { ...job.readings, bonnet: 31 as never } }),
];
const apply = (job: Job, which: readonly number[]): Job => which.reduce((now, one) => edits[one]!(now), job);
const some = fc.uniqueArray(fc.nat(edits.length - 1));

describe('two changes of one record', () => {
  it('are put together where they touch different things, in either order, with nothing lost', () => {
    fc.assert(
      fc.property(some, some, (first, second) => {
        const theirs = second.filter((one) => !first.includes(one));
        const here = merged(deck, apply(deck, first), apply(deck, theirs));
        expect(here.conflicts).toEqual([]);
        expect(same(here.value, apply(apply(deck, first), theirs))).toBe(true);
        expect(same(merged(deck, apply(deck, theirs), apply(deck, first)).value, here.value)).toBe(true);
      }),
    );
  });

  it('leave a record as it is where only one, or neither, changed it', () => {
    fc.assert(
      fc.property(some, (which) => {
        const changed = apply(deck, which);
        const copy = structuredClone(changed);
        expect(same(merged(deck, changed, deck).value, changed)).toBe(true);
        expect(same(merged(deck, deck, changed).value, changed)).toBe(true);
        expect(merged(deck, changed, copy)).toEqual({ value: changed, conflicts: [] });
      }),
    );
  });

  it('of the same field are named by its path, and mine stands', () => {
    const mine = { ...deck, client: 'Mine', site: { ...deck.site, minutes: 10 as never } };
    const theirs = { ...deck, client: 'Theirs', note: 'Theirs' };
    expect(merged(deck, mine, theirs)).toMatchObject({
      value: { client: 'Mine', note: 'Theirs', site: { minutes: 10 } },
      conflicts: ['client'],
    });
    expect([...merged(null, mine, theirs).conflicts].sort()).toEqual(['client', 'note', 'site.minutes']);
  });

  it('do not make a third thing out of halves: sizes, labels and another car are one thing each', () => {
    const sized = (lengthM: number, heightM: number): Job => ({
      ...deck,
      vehicle: {
        ...deck.vehicle,
        dimensions: { ...deck.vehicle.dimensions, lengthM: lengthM as never, heightM: heightM as never },
      },
    });
    expect(
      merged(deck, sized(4, deck.vehicle.dimensions.heightM), sized(deck.vehicle.dimensions.lengthM, 1.9)).conflicts,
    ).toEqual(['vehicle.dimensions']);
    const other = { ...deck, vehicle: { ...deck.vehicle, id: 'another', colour: 'white' as const } };
    const darker = { ...deck, vehicle: { ...deck.vehicle, colour: 'black' as const } };
    expect(merged(deck, other, darker)).toMatchObject({
      value: { vehicle: { id: 'another', colour: 'white' } },
      conflicts: ['vehicle'],
    });
  });

  it('of a run join what was ticked off in two places, in order, with nothing lost and nothing twice', () => {
    fc.assert(
      fc.property(
        fc.array(fc.boolean(), { maxLength: 12 }),
        fc.integer({ min: 0, max: 5 }),
        fc.boolean(),
        (places, common, jumps) => {
          let shared = startRun(deck, 1000);
          for (let i = 0; i < common; i++) shared = tick(shared, 1000 + i, i);
          let [mine, theirs] = [shared, shared];
          places.forEach((isMine, i) => {
            // One of the clocks may stand an hour back.
            if (isMine) mine = tick(mine, 2000 + i - (jumps ? 3_600_000 : 0), 100 + i);
            else theirs = tick(theirs, 2000 + i, 100 + i);
          });
          const here = merged(shared, mine, theirs);
          expect(here.conflicts).toEqual([]);
          expect(merged(shared, theirs, mine).value.run!.events).toEqual(here.value.run!.events);
          const { events } = here.value.run!;
          expect(events).toHaveLength(common + places.length);
          expect(events.slice(0, common)).toEqual(shared.run!.events);
          const own = (job: Job): readonly number[] =>
            job.run!.events.map((event) => ('section' in event ? event.section : -1));
          expect(own(here.value).filter((section) => own(mine).includes(section))).toEqual(own(mine));
        },
      ),
    );
    const item = { id: 'a', text: 'streak', zone: null, done: false } as const;
    const begun = putPunch(startRun(deck, 1), item);
    expect(merged(begun, begun, putPunch(begun, { ...item, done: true })).value.run!.punch).toEqual([
      { ...item, done: true },
    ]);
    expect(merged(deck, startRun(deck, 1), startRun(deck, 2)).conflicts).toEqual(['run']);
  });

  it('of what is taken out on one side and untouched on the other is gone; changed on the other it is asked about', () => {
    const marked = putMark(deck, mark);
    expect(merged(marked, deck, marked).value.marks).toEqual(deck.marks);
    expect(merged(marked, deck, putMark(marked, { ...mark, note: 'deep' })).conflicts).toEqual(['marks.m-new']);
  });

  it('knows every zone', () => {
    const all = zoneIds.reduce(
      (job, zone) => paint(job, [zone], { deposit: { kind: 'dust', level: 1 }, onTop: false }),
      deck,
    );
    expect(same(merged(deck, all, deck).value, all)).toBe(true);
  });
});
