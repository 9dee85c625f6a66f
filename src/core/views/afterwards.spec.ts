import { describe, expect, it } from 'vitest';
import { setAssumption } from '../edit';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { afterwards } from './afterwards';
import { planJob } from '../planning/plan-job';

const job = sampleJob({
  soil: soilAll('road-film', 2),
  site: { ...sampleSite, waterL: 60, minutes: 300 },
  choices: { ...sampleJob().choices, method: 'rinseless', bucket: 'two-buckets' },
});
const plan = planJob(job);

describe('afterwards', () => {
  it('soaks every towel once, and keeps wheels and glass apart', () => {
    const { laundry } = afterwards(job, plan);
    expect(laundry.reduce((sum, { towels }) => sum + towels, 0)).toBe(plan.towels.length);
    expect(laundry.map(({ group }) => group)).toContain('wheels');
    for (const { kg, loads, soakL, productMl } of laundry) {
      expect(loads).toBe(Math.ceil(kg / 3));
      expect(soakL).toBeCloseTo(Math.max(1.5, (kg / 3) * 7.5), 9);
      expect(soakL).toBeLessThanOrEqual(loads * 7.5);
      expect(productMl / soakL).toBeCloseTo(30 / 7.5, 9);
    }
    const small = setAssumption(job, 'loadKg', 0.25);
    const loads = (of: typeof laundry): number => of.reduce((sum, one) => sum + one.loads, 0);
    expect(loads(afterwards(small, plan).laundry)).toBeGreaterThan(loads(laundry));
  });

  it('pours dirty buckets away, keeps closed sprayers, and loses no liquid', () => {
    const { leftOvers, waste } = afterwards(job, plan);
    expect(leftOvers.find(({ content }) => content === 'rinse')!.keeping).toEqual({ kind: 'dirty' });
    for (const { content, ml, keeping } of leftOvers) {
      const mix = plan.mix.mixes.find((one) => one.content === content)!;
      const made = mix.fills.reduce((sum, { totalMl }) => sum + totalMl, 0);
      const used =
        content === 'rinse' ? 0 : plan.zones.reduce((sum, { option }) => sum + (option?.laidMl[content] ?? 0), 0);
      expect(ml + used).toBeCloseTo(made, 6);
      expect(keeping.kind).toBe(mix.vessel.kind === 'bucket' ? 'dirty' : 'days');
    }
    expect(waste.bucketsL).toBeGreaterThan(5);
    expect(waste.bucketsL).toBeCloseTo(
      leftOvers.filter(({ keeping }) => keeping.kind === 'dirty').reduce((sum, { ml }) => sum + ml, 0) / 1000,
      9,
    );
  });

  it('keeps a bucket that nothing went back into for the next car, less what the towels drank', () => {
    const many = {
      ...job,
      towels: job.towels.map((one) => ({ ...one, clean: 60 })),
      choices: { ...job.choices, bucket: 'many-towels' as const },
    };
    const clean = planJob(many);
    const { leftOvers, waste } = afterwards(many, clean);
    const wash = leftOvers.find(({ content }) => content === 'wash')!;
    const made = clean.mix.mixes
      .find(({ content }) => content === 'wash')!
      .fills.reduce((sum, { totalMl }) => sum + totalMl, 0);
    const laid = clean.zones.reduce((sum, { option }) => sum + (option?.laidMl.wash ?? 0), 0);
    const wetted = clean.towels.filter(({ role }) => role === 'wash').length;
    expect(wash.keeping).toEqual({ kind: 'today' });
    expect(wash.ml).toBeCloseTo(made - laid - wetted * 150, 6);
    expect(waste.bucketsL).toBe(0);
  });
});
