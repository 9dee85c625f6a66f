import fc from 'fast-check';
import { randomLcg, randomNormal } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { endRun, noteEvent, noteUse, startRun } from '../edit';
import type { Job, Run } from '../model';
import { planJob } from '../plan/plan-job';
import { expected, tasksOf, useOf } from '../run';
import { sampleJob, soilAll } from '../testing/sample';
import { estimate } from './estimate';
import { type Learned, learn, withLearned, withoutLearned } from './learn';

const ratio = fc.double({ min: 0.3, max: 3, noNaN: true });

describe('an estimate', () => {
  it('is one, and a fifth either way, before any job; and goes over to what jobs say', () => {
    const none = estimate([]);
    expect(none.factor).toBe(1);
    expect(none.high).toBeCloseTo(1.318, 2);
    expect(none.low).toBeCloseTo(1 / none.high, 9);
    expect(estimate(Array.from({ length: 400 }, () => 1.5)).factor).toBeCloseTo(1.5, 1);
  });

  it('does not care for the order of jobs, and lies between one and their mean', () => {
    fc.assert(
      fc.property(fc.array(ratio, { minLength: 1, maxLength: 30 }), (ratios) => {
        const [there, back] = [estimate(ratios), estimate([...ratios].reverse())];
        for (const key of ['factor', 'low', 'high'] as const) expect(there[key]).toBeCloseTo(back[key], 9);
        const mean = Math.exp(ratios.reduce((sum, one) => sum + Math.log(one), 0) / ratios.length);
        expect(there.factor).toBeGreaterThanOrEqual(Math.min(1, mean) - 1e-9);
        expect(there.factor).toBeLessThanOrEqual(Math.max(1, mean) + 1e-9);
        expect(there.low).toBeLessThan(there.factor);
        expect(there.high).toBeGreaterThan(there.factor);
      }),
    );
  });

  it('misses less the more jobs there are, and holds eight of ten next jobs, on simulated detailers', () => {
    const normal = randomNormal.source(randomLcg(0.7))(0, 1);
    const [spread, detailers] = [Math.log(1.2), 3000];
    const misses: number[] = [];
    for (const jobs of [0, 2, 5, 15, 40]) {
      let [miss, held] = [0, 0];
      for (let d = 0; d < detailers; d++) {
        const own = (normal() * spread) / 2;
        const draw = (): number => Math.exp(own + normal() * spread);
        const { factor, low, high } = estimate(Array.from({ length: jobs }, draw));
        miss += Math.abs(Math.log(factor) - own) / detailers;
        const next = draw();
        if (next >= low && next <= high) held++;
      }
      expect(held / detailers).toBeGreaterThan(0.75);
      expect(held / detailers).toBeLessThan(0.85);
      misses.push(miss);
    }
    expect(misses).toEqual([...misses].sort((p, q) => q - p));
    expect(misses.at(-1)).toBeLessThan(misses[0]! / 2);
  });
});

describe('learning from runs', () => {
  const job = sampleJob({ soil: soilAll('dust', 1), choices: { ...sampleJob().choices, method: 'waterless' } });
  const plan = planJob(job);
  const START = 1_900_000_000_000;

  const worked = (begun: Job): Job =>
    tasksOf(plan).reduce((so, { act, zoneId, section, of }) => noteEvent(so, { kind: act, zone: zoneId, section, of, at: START }), begun);

  /** A run that took so many times the liquid, towels and time that were planned. */
  const run = (times: number): Run => {
    const { leftMl, opened } = expected(plan);
    const mixes = plan.mix.mixes;
    const counted = {
      leftMl: Object.fromEntries(mixes.map(({ content, demandMl }) => [content, leftMl[content]! - (times - 1) * demandMl])),
      opened: Object.fromEntries(Object.entries(opened).map(([role, count]) => [role, Math.round(count * times)])),
    };
    const ended = endRun(worked(startRun(job, START)), START + plan.totals.minutes.value * times * 60_000);
    return noteUse(ended, useOf(plan, ended.run!, counted)).run!;
  };

  it('finds the factor of a hand that is always the same, and says on how many jobs it rests', () => {
    const learned = learn(Array.from({ length: 60 }, () => run(1.2)));
    const minutes = learned.find(({ lesson }) => lesson === 'minutes')!;
    const waterless = learned.find(({ lesson }) => lesson === 'ml.waterless')!;
    for (const one of [minutes, waterless]) {
      expect(one.jobs).toBe(60);
      expect(one.factor).toBeCloseTo(1.2, 1);
    }
    expect(learn([{ ...run(1), used: null }, { ...run(1), endedAt: null }])).toEqual([]);
    // Broken off before anything was done.
    const stopped = endRun(startRun(job, START), START + 1000);
    expect(learn([noteUse(stopped, useOf(plan, stopped.run!, expected(plan))).run!])).toEqual([]);
  });

  it('changes the next plan by about as much, and can be left out again', () => {
    const taught: readonly Learned[] = [
      { lesson: 'minutes', jobs: 9, factor: 1.3, low: 1.1, high: 1.5 },
      { lesson: 'ml.waterless', jobs: 9, factor: 1.2, low: 1, high: 1.4 },
    ];
    const then = withLearned(job, taught);
    const laid = (of: typeof job): number => planJob(of).mix.mixes.find(({ content }) => content === 'waterless')!.demandMl;
    expect(laid(then) / laid(job)).toBeCloseTo(1.2, 2);
    expect(planJob(then).totals.minutes.value).toBeGreaterThan(1.1 * plan.totals.minutes.value);
    expect(withoutLearned(then)).toEqual(job);
  });
});
