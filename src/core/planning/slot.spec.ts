import { describe, expect, it } from 'vitest';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { planJob } from './plan-job';

describe('the time to give a client', () => {
  const plan = planJob(sampleJob({ soil: soilAll('dust', 1) }));

  it('is the work and what comes before and after it', () => {
    const { value, parts } = plan.slot;
    expect(parts.find(({ code }) => code === 'slot.work')!.value).toBeCloseTo(plan.totals.minutes.value, 9);
    expect(parts.reduce((sum, part) => sum + part.value, 0)).toBeCloseTo(value, 9);
    expect(value).toBeGreaterThan(plan.totals.minutes.value + 8);
  });

  it('gets shorter by as much as the work when a second person comes', () => {
    const two = planJob(sampleJob({ soil: soilAll('dust', 1), site: { ...sampleSite, workers: 2 } }));
    expect(plan.slot.value - two.slot.value).toBeCloseTo(plan.totals.minutes.value - two.totals.minutes.value, 9);
  });
});
