import { describe, expect, it } from 'vitest';
import type { Job } from '../model';
import { sampleJob, soilAll } from '../testing/sample';
import { claimsOf } from './claims';
import { planJob } from '../planning/plan-job';

const claiming = (label?: string): Job => {
  const job = sampleJob({
    soil: soilAll('dust', 1),
    date: '2031-07-14',
    choices: { ...sampleJob().choices, method: 'waterless' },
  });
  const products = job.products.map((product) => ({
    ...product,
    uses: product.uses.map((use) => ({
      ...use,
      protectsDays: use.purpose === 'waterless' || use.purpose === 'glass' ? 30 : null,
      dilution: use.purpose === 'waterless' && label ? { label, reading: 'water' as const } : use.dilution,
    })),
  }));
  return { ...job, products };
};

describe('what products claim', () => {
  it('lapses so many days after the wash, for what was used', () => {
    const job = claiming();
    expect(claimsOf(job, planJob(job)).filter(({ purpose }) => purpose === 'waterless')).toEqual([
      { product: expect.any(String), purpose: 'waterless', days: 30, until: '2031-08-13' },
    ]);
  });

  it('is nothing where it is mixed weaker than the label allows, or not used', () => {
    const weak = claiming('60');
    const weakest = {
      ...weak,
      products: weak.products.map((product) => ({
        ...product,
        uses: product.uses.map((use) => ({ ...use, weakest: 8 })),
      })),
    };
    expect(claimsOf(weakest, planJob(weakest)).some(({ purpose }) => purpose === 'waterless')).toBe(false);
    const job = { ...claiming(), choices: { ...claiming().choices, method: 'rinseless' as const } };
    expect(claimsOf(job, planJob(job)).some(({ purpose }) => purpose === 'waterless')).toBe(false);
    expect(claimsOf({ ...job, products: [] }, planJob(job))).toEqual([]);
  });
});
