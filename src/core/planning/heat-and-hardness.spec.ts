import { describe, expect, it } from 'vitest';
import { setAssumption } from '../edit';
import type { Job } from '../model';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { celsius } from '../units';
import { planJob } from './plan-job';

const verdict = (job: Job, code: string) => planJob(job).verdicts.find((one) => one.code === code);
const noon = (rest: Partial<Job> = {}): Job =>
  sampleJob({
    soil: soilAll('dust', 1),
    vehicle: { ...sampleVehicle(), colour: 'black' },
    hour: 13,
    site: { ...sampleSite, airC: celsius(26), shade: false, sunWm2: 700, waterL: 200 },
    ...rest,
  });

describe('hot panels', () => {
  it('that are cooled are named, with the hottest', () => {
    const cooled = verdict(noon(), 'cooled-first');
    expect(cooled?.code === 'cooled-first' && cooled.zones.length > 0 && cooled.hottestC > 32).toBe(true);
    expect(verdict(sampleJob(), 'cooled-first')).toBeUndefined();
  });

  it('warn by practice where no label says how warm is too warm', () => {
    const unlabelled = noon({ products: sampleJob().products.map((product) => ({ ...product, maxPanelC: null })) });
    expect(verdict(unlabelled, 'warm-by-practice')).toMatchObject({ practiceC: 38 });
    expect(verdict(noon(), 'warm-by-practice')).toBeUndefined();
  });
});

describe('hard water', () => {
  it('is named where what evaporates would leave spots, and softer water leaves none', () => {
    const hard = setAssumption(setAssumption(sampleJob(), 'waterHardness', 1500), 'residueLimit', 1);
    expect(verdict(hard, 'residue')).toMatchObject({ limitMgM2: 1 });
    expect(verdict(setAssumption(hard, 'waterHardness', 0), 'residue')).toBeUndefined();
  });
});
