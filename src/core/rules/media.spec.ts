import { describe, expect, it } from 'vitest';
import type { Habits, Job } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob, soilAll } from '../testing/sample';

const washed = (habits: Partial<Habits>): Job => {
  const job = sampleJob({ soil: soilAll('road-film', 2) });
  return { ...job, choices: { ...job.choices, method: 'rinseless', bucket: 'two-buckets', ...habits } };
};
const indexOf = (habits: Partial<Habits>): number => planJob(washed(habits)).totals.index.value;
const minutesOf = (habits: Partial<Habits>): number => planJob(washed(habits)).totals.minutes.value;

describe('habits of bucket and towel', () => {
  it('carry less grit back with fresh mitts and guards, more with a sponge', () => {
    const usual = indexOf({});
    expect(indexOf({ medium: 'many-mitts' })).toBeLessThan(usual);
    expect(indexOf({ medium: 'mitts-by-area' })).toBeLessThan(usual);
    expect(indexOf({ medium: 'sponge' })).toBeGreaterThan(usual);
    expect(indexOf({ guards: 'none' })).toBeGreaterThan(usual);
    expect(indexOf({ medium: 'many-mitts', guards: 'none' })).toBe(indexOf({ medium: 'many-mitts' }));
  });

  it('count a fresh mitt for every pass, and take longer to pat dry', () => {
    expect(planJob(washed({ medium: 'many-mitts' })).mitts.length).toBeGreaterThan(planJob(washed({})).mitts.length);
    expect(minutesOf({ dryTouch: 'blotted' })).toBeGreaterThan(minutesOf({}));
  });

  it('scoop between a flat and a rolled towel', () => {
    const job = (wiping: Habits['wiping']): Job => {
      const one = sampleJob({ soil: soilAll('dust', 2) });
      return { ...one, choices: { ...one.choices, method: 'waterless', wiping } };
    };
    const [flat, scooped, rolled] = (['flat', 'scooped', 'rolled'] as const).map(
      (wiping) => planJob(job(wiping)).totals.index.value,
    );
    expect(scooped).toBeLessThan(flat!);
    expect(rolled).toBeLessThan(scooped!);
  });

  it('finish glass with its own cleaner in its pass, or in a round at the end', () => {
    const [own, last, plain] = (['first-own', 'last', 'first'] as const).map((glass) => planJob(washed({ glass })));
    expect(own!.timeline.passes.some(({ act }) => act === 'glass')).toBe(false);
    expect(last!.timeline.passes.some(({ act }) => act === 'glass')).toBe(true);
    const glassMl = (plan: typeof own): number =>
      plan!.zones.reduce((sum, { option }) => sum + (option?.laidMl.glass ?? 0), 0);
    expect(glassMl(own)).toBeCloseTo(glassMl(last), 6);
    expect(glassMl(plain)).toBe(0);
    expect(own!.mix.mixes.map(({ content }) => content)).toContain('glass');
  });
});
