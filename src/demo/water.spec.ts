import { describe, expect, it } from 'vitest';
import { planJob, waterByStage } from '@esmero/core';
import { demo } from './index';

describe('water by stage', () => {
  const job = demo.jobs.find(({ id }) => id === 'demo-cinders')!;
  const plan = planJob(job);
  const water = waterByStage(job, plan)!;

  it('names every stage in its order, and what runs off is the runoff of the plan', () => {
    expect(water.stages.map(({ stage }) => stage)).toEqual(['pre-rinse', 'foam', 'rinse-foam', 'wash', 'rinse-off']);
    const runoffL = water.stages.reduce((sum, one) => sum + one.runoffL, 0);
    expect(runoffL).toBeCloseTo(plan.totals.runoffL.value, 3);
    for (const { litres } of water.stages) expect(litres).toBeGreaterThan(0);
  });

  it('says fillings and batteries', () => {
    expect(water.fillings.every(({ fillings }) => fillings > 1)).toBe(true);
    expect(water.batteryMin).toBeGreaterThan(0);
    expect(water.batteriesLastMin).toBe(24);
  });

  it('has nothing to say where nothing is rinsed', () => {
    expect(waterByStage(demo.jobs[0]!, planJob(demo.jobs[0]!))).toBeNull();
  });
});
