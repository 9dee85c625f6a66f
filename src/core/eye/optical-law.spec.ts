import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { absorption } from './kubelka-munk';
import { given } from './normal';
import { byLaw, lightLeft, opticalLaws, steepness } from './optical-law';
import { evenMark, mixedShades, shadeAt } from './shades';

const reflectance = fc.double({ min: 0.06, max: 0.97, noNaN: true });

describe('the laws of optics', () => {
  it('share what is likely between them, agree half-way to black, and find nothing on clean cloth', () => {
    expect(opticalLaws.reduce((sum, { prior }) => sum + prior, 0)).toBeCloseTo(1);
    for (const { absorbed } of opticalLaws) {
      expect(absorbed(0.5)).toBeCloseTo(absorption(0.5));
      expect(absorbed(1)).toBeCloseTo(0);
    }
  });

  it('find more where it is darker, as steeply as they say', () => {
    fc.assert(
      fc.property(reflectance, fc.constantFrom(...opticalLaws), (r, law) => {
        const rise = (law.absorbed(r - 1e-5) - law.absorbed(r + 1e-5)) / 2e-5;
        return rise > 0 && Math.abs(steepness(law, r) / rise - 1) < 0.01;
      }),
    );
  });

  it('make of a side what they make of its marks, by their share', () => {
    fc.assert(
      fc.property(
        reflectance,
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.constantFrom(...opticalLaws),
        (r, share, law) => {
          // A mark lies between two shades, a fifteenth apart.
          const { absorbed, depth } = byLaw(law, evenMark(r, share));
          const own = law.absorbed(r);
          return Math.abs(absorbed - share * own) < 0.02 * share * own + 0.001 && depth >= Math.log(own) - 0.05;
        },
      ),
    );
  });

  it('differ over light marks by the cloth, and over heavy ones by the law', () => {
    const [white, grey, filter] = [opticalLaws[0]!, opticalLaws[4]!, opticalLaws[5]!];
    expect(grey.absorbed(0.9) / white.absorbed(0.9)).toBeGreaterThan(1.8);
    expect(white.absorbed(0.08) / filter.absorbed(0.08)).toBeGreaterThan(3);
  });
});

describe('the light that is left', () => {
  it('is less the more there is, and lies between what the laws say', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 2, noNaN: true }), (absorbed) => {
        const left = lightLeft(absorbed);
        const says = opticalLaws.map((law) => law.absorbed(left));
        return (
          lightLeft(1.1 * absorbed) < left &&
          Math.min(...says) <= 1.06 * absorbed &&
          Math.max(...says) >= 0.94 * absorbed
        );
      }),
    );
    expect(lightLeft(0)).toBe(1);
    expect(lightLeft(absorption(0.5))).toBeCloseTo(0.5, 2);
  });
});

describe('shades', () => {
  it('keep how much there is, and its mean reflectance', () => {
    fc.assert(
      fc.property(reflectance, fc.double({ min: 0.05, max: 1, noNaN: true }), (r, share) => {
        const shades = evenMark(r, share);
        const sum = shades.reduce((total, one) => total + one, 0);
        const mean = shades.reduce((total, one, i) => total + one * shadeAt(i), 0) / sum;
        return Math.abs(sum - share) < 1e-9 && Math.abs(mean - r) < 1e-9;
      }),
    );
    const both = mixedShades([evenMark(0.5, 0.2), evenMark(0.25, 0.4)], [0.5, 0.5]);
    expect(both.reduce((total, one) => total + one, 0)).toBeCloseTo(0.3);
  });
});

describe('figures that vary together', () => {
  it('tell of one another as the formula for two says', () => {
    const [own, other, together] = [0.09, 0.16, 0.06];
    const { mean, variance } = given([0.5], [[own]]).tell([together], other);
    expect(mean).toBeCloseTo((together / own) * 0.5);
    expect(variance).toBeCloseTo(other - together ** 2 / own);
  });

  it('tell nothing where none was seen, and no more of one that was seen without error', () => {
    expect(given([], []).tell([], 0.2)).toEqual({ mean: 0, variance: 0.2 });
    const seen = given([0.3, -0.1], [[1], [0.4, 1]]);
    const { mean, variance } = seen.tell([1, 0.4], 1);
    expect(mean).toBeCloseTo(0.3);
    expect(variance).toBeCloseTo(0);
  });

  it('are the likelier the closer they lie to what was expected', () => {
    const likely = (value: number): number => given([value], [[0.04]]).logLikelihood;
    expect(likely(0)).toBeGreaterThan(likely(0.2));
    expect(likely(0) - likely(0.2)).toBeCloseTo(0.5);
  });
});
