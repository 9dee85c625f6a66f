import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arrive, endRun, noteEvents, startRun } from '../edit';
import type { Job } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob } from '../testing/sample';
import { runStatusOf } from './status';
import { ticksOf } from './task';
import { usageAccount } from './usage-count';
import { setUpS, visitOf } from './visit';
import { runs } from '@esmero/testing';

const START = 1_940_000_000_000;
const MINUTE = 60_000;
const job = sampleJob();
const plan = planJob(job);
const status = (of: Job) => (of.run ? runStatusOf(plan, of.run) : null);
const visit = (of: Job, atMin: number) => visitOf(plan, of, status(of), START + atMin * MINUTE);
const states = (of: Job, atMin: number) => visit(of, atMin).stages.map(({ state }) => state);

/** All passes ticked off, the last one so many minutes after the beginning. */
function washed(of: Job, atMin: number): Job {
  let now = of;
  for (;;) {
    const hand = runStatusOf(plan, now.run!).hands.find((one) => one.now);
    if (!hand) return now;
    now = noteEvents(now, ticksOf(plan, hand.now!, START + atMin * MINUTE));
  }
}

const here = arrive(job, START);
const begun = startRun(here, START + 6 * MINUTE);
const through = washed(begun, 60);
const over = endRun(through, START + 66 * MINUTE);

describe('a visit on the clock', () => {
  it('gives the client the same minutes as the slot, stage by stage', () => {
    expect(visit(job, 0).plannedS / 60).toBeCloseTo(plan.slot.value, 6);
    expect(visit(job, 0).toGoS / 60).toBeCloseTo(plan.slot.value, 6);
    expect(setUpS(plan)).toBeGreaterThan(0);
  });

  it('goes from arriving to the handover, one stage at a time', () => {
    expect(states(job, 0)).toEqual(['open', 'open', 'open', 'open']);
    expect(states(here, 2)).toEqual(['now', 'open', 'open', 'open']);
    expect(states(begun, 10)).toEqual(['done', 'now', 'open', 'open']);
    expect(states(through, 62)).toEqual(['done', 'done', 'now', 'open']);
    expect(states(over, 70)).toEqual(['done', 'done', 'done', 'now']);
    expect(visit(over, 70).stages.map(({ tookS }) => tookS! / 60)).toEqual([6, 54, 6, 4]);
    expect(visit(over, 70).sinceS).toBe(70 * 60);
  });

  it('that nobody noted the beginning of still has its work on the clock', () => {
    expect(states(startRun(job, START), 3)).toEqual(['done', 'now', 'open', 'open']);
    expect(visit(startRun(job, START), 3).sinceS).toBeNull();
  });

  it('has less to go the later it is, and never less than nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(job, here, begun, through, over),
        fc.double({ min: 66, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (of, at, later) => {
          expect(visit(of, at + later).toGoS).toBeLessThanOrEqual(visit(of, at).toGoS + 1e-6);
          expect(visit(of, at + later).toGoS).toBeGreaterThanOrEqual(0);
        },
      ),
      { numRuns: runs(30) },
    );
  });

  it('tells of the time before and after the work, unless it was interrupted', () => {
    const told = (of: Job) => usageAccount(of)!.visit.map(({ act }) => act);
    expect(told(over)).toEqual(['before', 'after']);
    expect(usageAccount(over)!.visit.map(({ tookS }) => tookS / 60)).toEqual([6, 6]);
    expect(told(endRun(through, START + 600 * MINUTE))).toEqual(['before']);
    expect(told(endRun(washed(startRun(job, START), 60), START + 66 * MINUTE))).toEqual(['after']);
  });
});
