import { describe, expect, it } from 'vitest';
import { setAssumption } from '../edit';
import type { Job } from '../model';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { packingListOf } from './packing-list';
import { planJob } from '../planning/plan-job';
import { finish } from './study';

const job = (rest: Partial<Job> = {}): Job =>
  sampleJob({ soil: soilAll('road-film', 1), site: { ...sampleSite, waterL: 60, minutes: 120 }, ...rest });
const carry = (of: Job) => finish(packingListOf(of, planJob(of)));

describe('what to carry', () => {
  it('comes out the same each time, and no less for most cases than for half of them', () => {
    const found = carry(job());
    expect(carry(job())).toEqual(found);
    expect(found.towels.length).toBeGreaterThan(0);
    expect(found.mixes.length).toBeGreaterThan(0);
    for (const one of [...found.towels, ...found.mixes, found.minutes, found.litres])
      expect(one.carry).toBeGreaterThanOrEqual(one.median);
    for (const { enough } of found.mixes) expect(enough).toBeGreaterThanOrEqual(0.5);
  });

  it('is the plan itself where nothing is uncertain and nothing is kept in reserve', () => {
    const sure = setAssumption(
      (['spreadSeen', 'spreadForecast', 'spreadUsage'] as const).reduce(
        (next, key) => setAssumption(next, key, 1),
        job(),
      ),
      'reservePanels',
      0,
    );
    const plan = planJob(sure);
    const found = finish(packingListOf(sure, plan));
    expect(found.minutes.median).toBeCloseTo(plan.totals.minutes.value, 6);
    expect(found.minutes.carry).toBeCloseTo(plan.totals.minutes.value, 6);
    for (const { planned, median, carry: most } of found.towels) expect([median, most]).toEqual([planned, planned]);
    for (const { enough } of found.mixes) expect(enough).toBe(1);
    // The plan rounds its batches up.
    expect(found.litres.carry).toBeLessThanOrEqual(plan.totals.litres.value + 1e-6);
    expect(found.litres.carry).toBeGreaterThan(0.5 * plan.totals.litres.value);
    expect(found.inTime).toBe(1);
  });

  it('carries enough to wash the dirtiest panel again, or more of them', () => {
    const at = (panels: number) => carry(setAssumption(job(), 'reservePanels', panels));
    const total = ({ towels, mixes }: ReturnType<typeof carry>): readonly [number, number] => [
      towels.reduce((sum, one) => sum + one.median, 0),
      mixes.reduce((sum, one) => sum + one.median, 0),
    ];
    const [none, one, four] = [0, 1, 4].map((panels) => total(at(panels)));
    expect(one![0]).toBeGreaterThanOrEqual(none![0]);
    expect(one![1]).toBeGreaterThan(none![1]);
    expect(four![0]).toBeGreaterThan(none![0]);
    expect(four![1]).toBeGreaterThan(one![1]);
  });

  it('grows with the confidence asked for, and with how little is known', () => {
    const at = (share: number) => carry(setAssumption(job(), 'confidence', share));
    const total = ({ towels }: ReturnType<typeof carry>): number => towels.reduce((sum, one) => sum + one.carry, 0);
    const [sure, likely] = [at(0.99), at(0.6)];
    expect(total(sure)).toBeGreaterThanOrEqual(total(likely));
    expect(sure.minutes.carry).toBeGreaterThan(likely.minutes.carry);
    const sprayed = job({ choices: { ...sampleJob().choices, method: 'waterless' } });
    const vague = carry(setAssumption(sprayed, 'spreadSeen', 3));
    const spread = ({ mixes }: ReturnType<typeof carry>): number =>
      mixes.reduce((sum, one) => sum + one.carry - one.median, 0);
    expect(spread(vague)).toBeGreaterThan(spread(carry(setAssumption(sprayed, 'spreadSeen', 1))));
  });
});
