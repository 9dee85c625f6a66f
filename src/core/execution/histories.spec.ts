import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { noteEvent, noteEvents, startRun } from '../edit';
import { type Choices, type Job, type ReplanEvent, type TowelRole, type ZoneId, weatherChanges } from '../model';
import { anyJobWith } from '../testing/any-job';
import { celsius, ml } from '../units';
import { planRun } from './plan-run';
import { runStatusOf } from './status';
import { ticksOf } from './task';
import { runs } from '@esmero/testing';

const START = 1_900_000_000_000;
const TICK_MS = 20_000;
const WAIT_MS = 3000;

/** Whatever may turn out otherwise beside a car. */
const events = fc.oneof(
  fc.record({
    kind: fc.constantFrom('towel-out', 'side-full'),
    role: fc.constantFrom<TowelRole>('wash', 'finish'),
    worker: fc.constantFrom(0, 1),
  }),
  fc.record({ kind: fc.constant('workers'), workers: fc.constantFrom(1, 2) }),
  fc.record({ kind: fc.constant('panels'), panelC: fc.integer({ min: -5, max: 60 }).map((c) => celsius(c)) }),
  fc.record({
    kind: fc.constant('soil'),
    zone: fc.constantFrom<ZoneId>('bonnet', 'roof', 'left-front-door-upper', 'left-sill'),
    steps: fc.constantFrom(1, -1),
  }),
  fc.record({ kind: fc.constant('weather'), weather: fc.constantFrom(...weatherChanges) }),
  fc.record({
    kind: fc.constant('mix-left'),
    purpose: fc.constantFrom('waterless', 'wash'),
    ml: fc.integer({ min: 0, max: 400 }).map((amount) => ml(amount)),
  }),
  fc.record({
    kind: fc.constant('leave'),
    zones: fc.constantFrom<readonly ZoneId[]>(['left-sill'], ['boot-sill', 'grille']),
  }),
) as unknown as fc.Arbitrary<ReplanEvent>;

const jobs = anyJobWith({
  choices: {
    pair: fc.constantFrom<Choices['pair']>('lift-finish', 'one-panel', 'sides'),
    drying: fc.constantFrom<Choices['drying']>('panel', 'body'),
  },
}).map((job) => ({ ...job, site: { ...job.site, minutes: 400 } }) as Job);

/** Ticks off so many passes, turn about. */
function work(job: Job, count: number, from: number): Job {
  const plan = planRun(job);
  let now = job;
  for (let i = 0; i < count; i++) {
    const hands = runStatusOf(plan, now.run!).hands.flatMap((hand) => hand.now ?? []);
    if (hands.length === 0) return now;
    now = noteEvents(now, ticksOf(plan, hands[i % hands.length]!, from + i * TICK_MS));
  }
  return now;
}

describe('a run, whatever happens when', () => {
  it('goes on with a plan or says why not, and never fails', () => {
    let [planned, declined] = [0, 0];
    fc.assert(
      fc.property(
        jobs,
        fc.array(fc.tuple(fc.nat(12), fc.nat(100), events), { minLength: 1, maxLength: 4 }),
        (start, steps) => {
          let [job, at] = [startRun(start, START), START];
          for (const [count, wait, event] of steps) {
            const plan = planRun(job);
            if (plan.method === 'decline') {
              declined++;
              expect(plan.verdicts.length).toBeGreaterThan(0);
              return;
            }
            planned++;
            job = work(job, count, at);
            at += count * TICK_MS + wait * WAIT_MS;
            job = noteEvent(job, { ...event, at } as never);
          }
          planRun(job);
        },
      ),
      { numRuns: runs(10_000, 30) },
    );
    // Most of them have something to go on with.
    expect(planned).toBeGreaterThan(declined);
  });

  it('in which all of a pass is lifted when rain comes, has nothing left to finish there', () => {
    for (const count of [1, 2, 3, 5, 8]) {
      fc.assert(
        fc.property(jobs, (start) => {
          const job = startRun(
            {
              ...start,
              site: { ...start.site, workers: 2 },
              choices: { ...start.choices, pair: 'lift-finish', drying: 'panel' },
            },
            START,
          );
          if (planRun(job).method === 'decline') return;
          planRun(
            noteEvent(work(job, count, START), { kind: 'weather', weather: 'rain', at: START + 600_000 } as never),
          );
        }),
        { numRuns: runs(10), seed: 20310714 + count },
      );
    }
  });
});
