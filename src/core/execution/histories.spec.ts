import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { noteEvent, startRun } from '../edit';
import { HISTORY_START, anyHistory, jobsOf, work, workThrough } from '../testing/histories';
import { planRun } from './plan-run';
import { runs } from '@esmero/testing';

describe('a run, whatever happens when', () => {
  it('begun by one person, goes on with a plan or says why not, and never fails', { timeout: 7_200_000 }, () => {
    let [planned, declined] = [0, 0];
    fc.assert(
      fc.property(anyHistory(1), (history) => {
        const done = workThrough(history);
        planned += done.planned;
        declined += Number(done.isDeclined);
      }),
      { numRuns: runs(5000, 15) },
    );
    // Most of them have something to go on with.
    expect(planned).toBeGreaterThan(declined);
  });

  it('in which all of a pass is lifted when rain comes, has nothing left to finish there', () => {
    for (const count of [1, 2, 3, 5, 8]) {
      fc.assert(
        fc.property(jobsOf(1, 2), (start) => {
          const job = startRun(
            {
              ...start,
              site: { ...start.site, workers: 2 },
              choices: { ...start.choices, pair: 'lift-finish', drying: 'panel' },
            },
            HISTORY_START,
          );
          const plan = planRun(job);
          if (plan.method === 'decline') return;
          planRun(
            noteEvent(work(job, plan, count, HISTORY_START), {
              kind: 'weather',
              weather: 'rain',
              at: HISTORY_START + 600_000,
            } as never),
          );
        }),
        { numRuns: runs(10), seed: 20310714 + count },
      );
    }
  });
});
