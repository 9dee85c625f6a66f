import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyHistory, workThrough } from '../testing/histories';
import { runs } from '@esmero/testing';

describe('a run of two, whatever happens when', () => {
  it('goes on with a plan or says why not, and never fails', { timeout: 7_200_000 }, () => {
    let [planned, declined] = [0, 0];
    fc.assert(
      fc.property(anyHistory(2), (history) => {
        const done = workThrough(history);
        planned += done.planned;
        declined += Number(done.isDeclined);
      }),
      { numRuns: runs(5000, 15) },
    );
    expect(planned).toBeGreaterThan(declined);
  });
});
