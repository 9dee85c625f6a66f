import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { asPractised } from '../model';
import { celsius } from '../units';
import { sampleSite } from '../testing/sample';
import { type AdviceContext, adviseStrength } from './advice';
import { apart, costPerCar } from './cost-per-car';
import { readDilution } from './dilution';

const use = (strongest: number | null, weakest: number | null) => ({
  purpose: 'waterless' as const,
  dilution: { label: '4', reading: 'water' as const },
  strongest,
  weakest,
  protectsDays: null,
  ...asPractised,
  origin: 'label' as const,
});
const day = (site: Partial<typeof sampleSite>, rest: Partial<AdviceContext> = {}): AdviceContext => ({
  hottestC: 20,
  meanLoadGm2: 2,
  site: { ...sampleSite, ...site },
  ...rest,
});

describe('the strength that a day asks for', () => {
  it('is weaker in the sun and on hot panels, stronger in the cool and on heavy dirt', () => {
    const parts = (context: AdviceContext) => adviseStrength(use(1, 8), context, a)!.waterParts;
    const ordinary = parts(day({}));
    expect(parts(day({ shade: false, sunWm2: 700 }))).toBeGreaterThan(ordinary);
    expect(parts(day({}, { hottestC: 40 }))).toBeGreaterThan(ordinary);
    expect(parts(day({ airC: celsius(4) }))).toBeLessThan(ordinary);
    expect(parts(day({}, { meanLoadGm2: 9 }))).toBeLessThan(ordinary);
  });

  it('never leaves the band of the label, and is silent where there is none', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 100 }),
        fc.integer({ min: 0, max: 400 }),
        fc.double({ min: -10, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.boolean(),
        (strongest, more, hottestC, meanLoadGm2, shade) => {
          const found = adviseStrength(
            use(strongest, strongest + more),
            day({ shade, sunWm2: 800 }, { hottestC, meanLoadGm2 }),
            a,
          )!;
          expect(found.waterParts).toBeGreaterThanOrEqual(strongest);
          expect(found.waterParts).toBeLessThanOrEqual(strongest + more);
        },
      ),
    );
    expect(adviseStrength(use(null, 8), day({}), a)).toBeNull();
    expect(adviseStrength(use(1, null), day({}), a)).toBeNull();
  });
});

describe('cost by the car', () => {
  const dilution = (label: string) => {
    const read = readDilution({ label, reading: 'water' });
    if (!read.ok) throw new Error(label);
    return read.dilution;
  };

  it('is the product in the mix at the price of its bottle', () => {
    // 500 mL at 1 to 4 hold 100 mL of product, a tenth of the bottle.
    expect(costPerCar({ priceMinor: 2000, sizeMl: 1000, dilution: dilution('4') }, 500)).toBeCloseTo(200, 9);
    expect(costPerCar({ priceMinor: 900, sizeMl: 500, dilution: dilution('0') }, 500)).toBeCloseTo(900, 9);
  });

  it('tells two doses apart by the lesser of them, whichever comes first', () => {
    expect(apart(100, 125)).toBeCloseTo(0.25, 12);
    expect(apart(125, 100)).toBeCloseTo(0.25, 12);
  });
});
