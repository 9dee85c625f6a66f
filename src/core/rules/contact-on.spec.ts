import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { planJob } from '../planning';
import { sampleJob, soilAll } from '../testing/sample';
import { strengthFactor } from './contact-on';

describe('the strength of a mix', () => {
  it('counts as labelled at the label’s strength, never for less the stronger, and levels off', () => {
    expect(strengthFactor(1, a)).toBeCloseTo(1, 12);
    expect(strengthFactor(0, a)).toBe(0);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 20, noNaN: true }), fc.double({ min: 0, max: 20, noNaN: true }), (p, q) => {
        const [weak, strong] = [Math.min(p, q), Math.max(p, q)];
        expect(strengthFactor(strong, a)).toBeGreaterThanOrEqual(strengthFactor(weak, a));
        expect(strengthFactor(strong, a)).toBeLessThanOrEqual(a.strengthMost);
      }),
    );
  });

  it('makes a weak bucket mar more than a strong one', () => {
    const index = (strength: '128' | '256' | '512'): number =>
      planJob(
        sampleJob({
          soil: soilAll('dust', 2),
          choices: { ...sampleJob().choices, fixed: { bonnet: 'none/rinseless' }, strength },
        }),
      ).zones.find(({ zone }) => zone.id === 'bonnet')!.option!.marring.index;
    expect(index('512')).toBeGreaterThan(index('256'));
    expect(index('256')).toBeGreaterThan(index('128'));
  });
});

describe('a soft brush', () => {
  it('raises no risk on wheels', () => {
    const wheel = (brush: 'never' | 'lubricated'): number =>
      planJob(sampleJob({ soil: soilAll('brake-dust', 2), choices: { ...sampleJob().choices, brush } })).zones.find(
        ({ zone }) => zone.id === 'left-front-wheel',
      )?.option?.marring.index ?? Infinity;
    expect(wheel('lubricated')).toBeLessThanOrEqual(wheel('never'));
  });
});
