import { describe, expect, it } from 'vitest';
import type { Job, SpotCounts } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { celsius } from '../units';

const spotted = (spots: SpotCounts, rest: Partial<Job> = {}): Job => {
  const soil = soilAll('dust', 1);
  return sampleJob({ soil: { ...soil, bonnet: { ...soil.bonnet!, spots } }, ...rest });
};
const onBonnet = (job: Job) => planJob(job).zones.find(({ zone }) => zone.id === 'bonnet')!.option!.spots;
const leftOf = (job: Job) => onBonnet(job).map(({ left }) => left);

describe('spots', () => {
  it('are softened under the mix of the zone, or lifted with a solvent, what etches first', () => {
    const spots = onBonnet(spotted({ tar: 2, droppings: 1, sap: 1 }));
    expect(spots.map(({ kind }) => kind)).toEqual(['droppings', 'sap', 'tar']);
    expect(spots.map(({ purpose }) => purpose === 'solvent')).toEqual([false, true, true]);
    expect(spots.every(({ left, ml, seconds, dwellS }) => left === null && ml > 0 && seconds > 0 && dwellS > 0)).toBe(
      true,
    );
  });

  it('stay, and the plan says why: no product, a label, warmth, sun, or an approach', () => {
    const tar: SpotCounts = { tar: 1 };
    const products = (change: object) =>
      sampleJob().products.map((product) => (product.id === 'solvent' ? { ...product, ...change } : product));
    expect(leftOf(spotted(tar, { products: sampleJob().products.filter(({ id }) => id !== 'solvent') }))).toEqual([
      'no-product',
    ]);
    expect(leftOf(spotted(tar, { products: products({ notOnFinishes: ['clear-coat'] }) }))).toEqual(['finish']);
    expect(leftOf(spotted(tar, { products: products({ notOnSurfaces: ['paint'] }) }))).toEqual(['surface']);
    expect(leftOf(spotted(tar, { site: { ...sampleSite, panelC: celsius(36) } }))).toEqual(['too-warm']);
    expect(leftOf(spotted(tar, { site: { ...sampleSite, shade: false, sunWm2: 300, windMs: 3 } }))).toEqual(['in-sun']);
    expect(leftOf(spotted({ droppings: 1 }, { wishes: { droppings: 'never' } }))).toEqual(['habit']);
    expect(planJob(spotted({ droppings: 2 }, { wishes: { droppings: 'never' } })).verdicts).toContainEqual({
      code: 'spots-left',
      kind: 'droppings',
      count: 2,
      why: 'habit',
    });
  });

  it('of tar are hard in the cold and take two goes; a warm spell takes one, and no warmth takes more', () => {
    const tarAt = (panelC: number) =>
      onBonnet(spotted({ tar: 2 }, { site: { ...sampleSite, panelC: celsius(panelC) } }))[0]!;
    expect(tarAt(8)).toMatchObject({ rounds: 2, left: null });
    expect(tarAt(22)).toMatchObject({ rounds: 1, left: null });
    expect(tarAt(8).ml).toBeCloseTo(2 * tarAt(22).ml, 9);
    const mls = [4, 10, 16, 22, 28].map((panelC) => tarAt(panelC).ml);
    expect(mls).toEqual([...mls].sort((p, q) => q - p));
  });

  it('that get one go have as much again in reserve; those that get two have none', () => {
    const reserve = (panelC: number) =>
      planJob(spotted({ tar: 2 }, { site: { ...sampleSite, panelC: celsius(panelC) } })).bottles.find(
        ({ purpose }) => purpose === 'solvent',
      )!;
    expect(reserve(22).reserveMl).toBeCloseTo(reserve(22).ml, 9);
    expect(reserve(8).reserveMl).toBe(0);
  });

  it('stay where what lifts them has to be rinsed off and nothing rinses', () => {
    const products = sampleJob().products.map((product) =>
      product.id === 'solvent'
        ? { ...product, uses: product.uses.map((use) => ({ ...use, rinseAfter: true })) }
        : product,
    );
    expect(
      leftOf(
        spotted({ tar: 1 }, { products, vessels: sampleJob().vessels.filter(({ kind }) => kind !== 'pump-sprayer') }),
      ),
    ).toEqual(['no-rinse']);
  });

  it('have softened before the zone is wiped', () => {
    const plan = planJob(spotted({ droppings: 3, tar: 1 }));
    const step = (kind: string) =>
      plan.timeline.steps.find((one) => one.kind === kind && one.zoneId === 'bonnet' && one.section === 1)!;
    const softens = Math.max(...onBonnet(spotted({ droppings: 3, tar: 1 })).map(({ dwellS }) => dwellS));
    expect(step('wipe').startS).toBeGreaterThanOrEqual(step('pretreat').endS + softens - 1e-6);
    expect(plan.totals.productMl.parts.map(({ code }) => code)).toContain('content.solvent');
    expect(plan.cautions).toContain('solvent');
  });
});
