import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { endRun, noteEvent, putPunch, startRun, takeBackEvent } from '../edit';
import type { Job, PunchItem } from '../model';
import { sampleJob } from '../testing/sample';
import { type SharedRun, followed, isSameShare, joined, shareOf, withShared } from '.';

const begun = startRun(sampleJob(), 1000);

/** What somebody may do on a phone. */
type Act =
  | { readonly kind: 'tick'; readonly section: number }
  | { readonly kind: 'back' }
  | { readonly kind: 'end' }
  | { readonly kind: 'punch'; readonly id: string; readonly done: boolean };
const act: fc.Arbitrary<Act> = fc.oneof(
  { weight: 6, arbitrary: fc.record({ kind: fc.constant('tick' as const), section: fc.nat(40) }) },
  { weight: 1, arbitrary: fc.constant({ kind: 'back' as const }) },
  { weight: 1, arbitrary: fc.constant({ kind: 'end' as const }) },
  {
    weight: 2,
    arbitrary: fc.record({ kind: fc.constant('punch' as const), id: fc.constantFrom('a', 'b'), done: fc.boolean() }),
  },
);

function done(job: Job, one: Act, at: number, by: number): Job {
  switch (one.kind) {
    case 'tick':
      return noteEvent(job, { kind: 'wipe', zone: 'roof', section: one.section, of: 41, by, at });
    case 'back':
      return takeBackEvent(job);
    case 'end':
      return endRun(job, at);
    case 'punch':
      return putPunch(job, { id: one.id, text: 'streak', zone: null, done: one.done } as PunchItem);
  }
}

/** A phone with its job and what it knows. */
interface Phone {
  readonly job: Job;
  readonly known: SharedRun;
}
const phone = (): Phone => ({ job: begun, known: shareOf('j', begun.run!) });
const acted = ({ job, known }: Phone, one: Act, at: number, by: number): Phone => {
  const next = done(job, one, at, by);
  const now = followed(known, job.run!, next.run!);
  return { job: withShared(next, now), known: now };
};
const told = ({ job, known }: Phone, other: SharedRun): Phone => {
  const now = joined(known, other);
  return { job: withShared(job, now), known: now };
};

describe('a run on two phones', () => {
  it('is the same on both once all has come through, whatever came when and how often', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), act, fc.boolean()), { maxLength: 30 }),
        fc.infiniteStream(fc.nat(5)),
        (acts, which) => {
          let [here, there] = [phone(), phone()];
          const sent: SharedRun[] = [];
          acts.forEach(([isMine, one, comesThrough], i) => {
            // One of the clocks may be behind.
            if (isMine) here = acted(here, one, 2000 + i, 0);
            else there = acted(there, one, 1500 + i, 1);
            sent.push((isMine ? here : there).known);
            if (!comesThrough) return;
            const late = sent[Math.max(0, sent.length - 1 - which.next().value!)]!;
            here = told(here, late);
            there = told(there, late);
          });
          for (const one of [...sent].reverse()) [here, there] = [told(here, one), told(there, one)];
          expect(there.job.run).toEqual(here.job.run);
          expect(isSameShare(here.known, there.known)).toBe(true);
        },
      ),
    );
  });

  it('is put together in any order and grouping, and the same thing twice is the same', () => {
    const some = fc
      .array(fc.tuple(act, fc.nat(1)), { maxLength: 12 })
      .map((acts) => acts.reduce((now, [one, by], i) => acted(now, one, 2000 + i, by), phone()).known);
    fc.assert(
      fc.property(some, some, some, (p, q, r) => {
        expect(joined(q, p)).toEqual(joined(p, q));
        expect(joined(joined(p, q), r)).toEqual(joined(p, joined(q, r)));
        expect(joined(joined(p, q), q)).toEqual(joined(p, q));
      }),
    );
  });

  it('loses nothing that was ticked off while the link was cut', () => {
    let [here, there] = [phone(), phone()];
    for (let i = 0; i < 5; i++) here = acted(here, { kind: 'tick', section: i }, 2000 + i, 0);
    for (let i = 5; i < 9; i++) there = acted(there, { kind: 'tick', section: i }, 2000 + i, 1);
    const both = told(here, there.known).job.run!;
    expect(both.events.map((event) => ('section' in event ? event.section : -1)).sort((p, q) => p - q)).toEqual([
      0, 1, 2, 3, 4, 5, 6, 7, 8,
    ]);
  });

  it('takes back on both what one takes back, and ends where one ends it', () => {
    let here = acted(phone(), { kind: 'tick', section: 3 }, 2000, 0);
    let there = told(phone(), here.known);
    here = acted(here, { kind: 'back' }, 2001, 0);
    there = told(there, here.known);
    expect(there.job.run!.events).toEqual([]);
    // What was known before does not bring it back; who takes it back once more does.
    const redone = withShared(
      here.job,
      followed(
        here.known,
        here.job.run!,
        noteEvent(begun, { kind: 'wipe', zone: 'roof', section: 3, of: 41, by: 0, at: 2000 }).run!,
      ),
    );
    expect(redone.run!.events).toHaveLength(1);
    expect(told(there, followed(here.known, here.job.run!, redone.run!)).job.run!.events).toHaveLength(1);
    there = told(there, acted(phone(), { kind: 'tick', section: 3 }, 2000, 0).known);
    expect(there.job.run!.events).toEqual([]);
    there = acted(there, { kind: 'end' }, 9000, 1);
    expect(told(here, there.known).job.run!.endedAt).toBe(9000);
  });
});
