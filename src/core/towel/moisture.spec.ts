import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { moistureOf } from './moisture';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const anyWetted = fc
  .record({
    laidMl: fc.double({ min: 0, max: 500, noNaN: true }),
    runs: share,
    washTakes: share,
    airTakesMl: fc.double({ min: 0, max: 500, noNaN: true }),
  })
  .map(({ runs, ...rest }) => ({ ...rest, runoffMl: rest.laidMl * runs }));

describe('the liquid on a zone', () => {
  it('is shared out to the last drop', () => {
    fc.assert(
      fc.property(anyWetted, (wetted) => {
        const { laidMl, runoffMl, washMl, evaporatedMl, finishMl } = moistureOf(wetted);
        expect(runoffMl + washMl + evaporatedMl + finishMl).toBeCloseTo(laidMl, 9);
        expect(Math.min(runoffMl, washMl, evaporatedMl, finishMl)).toBeGreaterThanOrEqual(-1e-9);
      }),
    );
  });

  it('leaves less to finish the more the air takes', () => {
    fc.assert(
      fc.property(anyWetted, fc.double({ min: 0, max: 100, noNaN: true }), (wetted, more) => {
        const drier = moistureOf({ ...wetted, airTakesMl: wetted.airTakesMl + more });
        expect(drier.finishMl).toBeLessThanOrEqual(moistureOf(wetted).finishMl);
      }),
    );
  });

  it('worked by hand: 30 mL, of which 2 run off; the wash takes 60 % of the rest and the air 4 mL', () => {
    expect(moistureOf({ laidMl: 30, runoffMl: 2, washTakes: 0.6, airTakesMl: 4 })).toEqual({
      laidMl: 30,
      runoffMl: 2,
      washMl: 16.8,
      evaporatedMl: 4,
      finishMl: expect.closeTo(7.2, 9) as number,
    });
  });
});
