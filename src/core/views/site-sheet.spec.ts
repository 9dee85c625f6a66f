import { describe, expect, it } from 'vitest';
import { planJob } from '../planning/plan-job';
import { sampleGear, sampleJob, soilAll } from '../testing/sample';
import { siteSheet } from './site-sheet';

describe('a sheet for the people of a site', () => {
  it('says what is used, what runs off and what is taken away, as the plan has it', () => {
    const job = sampleJob({ soil: soilAll('dust', 1) });
    const plan = planJob(job);
    const sheet = siteSheet(job, plan);
    expect(sheet.litres).toBe(plan.totals.litres.value);
    expect(sheet.runoffL).toBe(plan.totals.runoffL.value);
    expect(sheet.products.reduce((sum, { productMl }) => sum + productMl, 0)).toBeCloseTo(
      plan.totals.productMl.value,
      6,
    );
    expect([sheet.isCaught, sheet.beginHour, sheet.minutes]).toEqual([false, job.hour, plan.slot.value]);
  });

  it('is as loud as the loudest gear that is used, and silent where none is', () => {
    const gear = [sampleGear('mains-wand', { noiseDb: 86 }), sampleGear('blower', { noiseDb: 99 })];
    const quiet = sampleJob({
      soil: soilAll('dust', 1),
      gear,
      choices: { ...sampleJob().choices, method: 'waterless' },
    });
    expect(siteSheet(quiet, planJob(quiet)).noiseDb).toBeNull();
    const sprayed = { ...quiet, gear: [sampleGear('cordless-wand', { noiseDb: 72 }), ...gear] };
    const plan = planJob(quiet);
    const rinsed = { ...plan, zones: plan.zones.map((one) => ({ ...one, treatment: 'cordless/waterless' as const })) };
    expect(siteSheet(sprayed, rinsed).noiseDb).toBe(72);
  });
});
