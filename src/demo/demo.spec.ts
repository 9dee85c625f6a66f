import { describe, expect, it } from 'vitest';
import { planJob } from '@esmero/core';
import { demo, demoJobs } from '.';

describe('the demo', () => {
  it('has enough of everything', () => {
    const count = (kind: string): number => demo.library.filter((entry) => entry.kind === kind).length;
    expect(count('vehicle')).toBeGreaterThanOrEqual(4);
    expect(count('site')).toBeGreaterThanOrEqual(5);
    expect(demoJobs.length).toBeGreaterThanOrEqual(6);
  });

  it('leads to every method, one of them a refusal', () => {
    const methods = new Set(demoJobs.map((job) => planJob(job).method));
    expect(methods).toEqual(new Set(['waterless', 'rinseless', 'shampoo', 'hybrid', 'decline']));
  });

  it('washes the dusty estate on the deck with ten towels and no runoff', () => {
    const plan = planJob(demoJobs[0]!);
    expect(demoJobs[0]!.towels.reduce((sum, { clean }) => sum + clean, 0)).toBe(10);
    expect(plan.totals.runoffL.value).toBe(0);
    expect(plan.totals.litres.value).toBeLessThanOrEqual(12);
    expect(plan.towels.some(({ missing }) => missing)).toBe(false);
  });
});
