import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { RunEvent } from '../model';
import { elapsedMs } from './elapsed';

const noted = (times: readonly number[]): readonly RunEvent[] =>
  times.map((at, i) => ({ kind: 'again', zone: 'roof', at, seq: i + 1 }));
const MINUTE = 60_000;

describe('how long a run took', () => {
  it('is the time between its beginning and its end while the clock runs as it should', () => {
    expect(elapsedMs({ startedAt: 1000, events: noted([2000, 5000]) }, 9000)).toBe(8000);
  });

  it('leaves out the step at which the clock was set back or far ahead', () => {
    const events = noted([5 * MINUTE, -3 * 60 * MINUTE, -178 * MINUTE]);
    expect(elapsedMs({ startedAt: 0, events }, -170 * MINUTE)).toBe(15 * MINUTE);
    const year2036 = Date.UTC(2036, 1, 1);
    expect(elapsedMs({ startedAt: 0, events: noted([MINUTE, year2036]) }, 2 * MINUTE)).toBe(MINUTE);
  });

  it('is never negative and never longer than six hours for each thing noted', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 1e13 }), { maxLength: 20 }),
        fc.integer({ min: 0, max: 1e13 }),
        (times, until) => {
          const took = elapsedMs({ startedAt: times[0] ?? 0, events: noted(times) }, until);
          expect(took).toBeGreaterThanOrEqual(0);
          expect(took).toBeLessThanOrEqual((times.length + 1) * 6 * 60 * MINUTE);
        },
      ),
    );
  });
});
