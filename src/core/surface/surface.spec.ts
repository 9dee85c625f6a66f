import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { degrees, m2, um } from '../units';
import { holdUp, runoffOf } from './hold-up';

describe('hold-up and runoff', () => {
  it('runs from 250 µm on a level panel to 70 µm on a vertical one', () => {
    expect(holdUp(degrees(0), a)).toBe(250);
    expect(holdUp(degrees(90), a)).toBeCloseTo(70, 9);
    expect(holdUp(degrees(40), a)).toBeGreaterThan(holdUp(degrees(60), a));
  });

  it('counts what is over the hold-up, but not the drips a towel catches', () => {
    expect(runoffOf(um(900), um(70), m2(0.5), a)).toBe(415);
    expect(runoffOf(um(75), um(70), m2(2), a)).toBe(0);
    expect(runoffOf(um(30), um(70), m2(2), a)).toBe(0);
  });
});
