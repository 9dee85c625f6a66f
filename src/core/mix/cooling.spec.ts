import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { cooledC, coolingTimeS, minutesAbove } from './cooling';

const range = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('hot solution in its vessel', () => {
  it('falls towards the air, never past it, and slower in a larger vessel', () => {
    fc.assert(
      fc.property(range(30, 80), range(-15, 25), range(500, 15_000), range(0, 7200), (start, air, ml, s) => {
        const then = cooledC(start, air, ml, s, a);
        expect(then).toBeLessThanOrEqual(start + 1e-9);
        expect(then).toBeGreaterThanOrEqual(air - 1e-9);
        expect(cooledC(start, air, ml * 2, s, a)).toBeGreaterThanOrEqual(then - 1e-9);
      }),
    );
  });

  it('has lost two thirds of its excess after its cooling time', () => {
    const s = coolingTimeS(6000, a);
    expect((cooledC(60, 0, 6000, s, a) - 0) / 60).toBeCloseTo(Math.exp(-1), 6);
  });

  it('stays above a temperature for as long as it says', () => {
    fc.assert(
      fc.property(range(40, 80), range(-15, 10), range(500, 15_000), (start, air, ml) => {
        const minutes = minutesAbove(air + 15, start, air, ml, a)!;
        expect(cooledC(start, air, ml, minutes * 60, a)).toBeCloseTo(air + 15, 6);
      }),
    );
    expect(minutesAbove(5, 60, 8, 5000, a)).toBeNull();
    expect(minutesAbove(50, 40, 0, 5000, a)).toBe(0);
  });
});
