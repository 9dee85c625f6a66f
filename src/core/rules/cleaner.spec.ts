import { describe, expect, it } from 'vitest';
import type { Job, Product, ProductUse } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleGear, sampleJob, sampleProduct, sampleSite, sampleUse, soilAll } from '../testing/sample';
import { celsius } from '../units';
import { zonesOf } from '../vehicle';

const WHEELS = 4;

const cleaners = (rest: Partial<ProductUse> = {}, more: Partial<Product> = {}): readonly Product[] => [
  sampleProduct('wheel-cleaner', [sampleUse('wheel-cleaner', '0', rest)], { maxPanelC: null, ...more }),
  sampleProduct('degreaser', [sampleUse('degreaser', '10', rest)], { maxPanelC: null, ...more }),
];

const dirty = (products: readonly Product[], rest: Partial<Job> = {}): Job => {
  const job = sampleJob({
    soil: soilAll('brake-dust', 3),
    choices: { ...sampleJob().choices, approach: 'permissive', dirtLimit: 'index' },
    ...rest,
  });
  return { ...job, products: [...job.products, ...products] };
};

const wheelsOf = (job: Job) => planJob(job).zones.filter(({ zone, option }) => zone.cleanliness >= WHEELS && option);

describe('cleaners on wheels, tyres and arches', () => {
  it('go where brake dust is worth it, wheel cleaner on faces and degreaser below, out of bottles of their own', () => {
    const plan = planJob(dirty(cleaners()));
    for (const { zone, option } of plan.zones) {
      const { cleaner } = option ?? {};
      if (!cleaner) continue;
      expect(zone.cleanliness).toBeGreaterThanOrEqual(WHEELS);
      expect(cleaner.purpose).toBe(zone.surface === 'wheel-finish' ? 'wheel-cleaner' : 'degreaser');
    }
    const degreaser = plan.bottles.find(({ purpose }) => purpose === 'degreaser')!;
    expect(degreaser.productMl).toBeCloseTo(degreaser.ml / 11, 6);
    expect(degreaser.strength).not.toBeNull();
    expect(plan.cautions).toContain('wheel-cleaner');
  });

  it('leave less for hand and towel', () => {
    const [without, withThem] = [wheelsOf(dirty([])), wheelsOf(dirty(cleaners()))];
    withThem.forEach(({ option }, i) => {
      expect(option!.work.wipe).toBeLessThan(without[i]!.option!.work.wipe);
      expect(option!.marring.index).toBeLessThanOrEqual(without[i]!.option!.marring.index);
    });
  });

  it('are not worth it on light dust', () => {
    expect(
      wheelsOf(dirty(cleaners(), { soil: soilAll('dust', 1) })).every(({ option }) => option!.cleaner === null),
    ).toBe(true);
  });

  it('stay in the bottle on hot wheels, and where what has to be rinsed cannot be', () => {
    const hot = wheelsOf(dirty(cleaners(), { site: { ...sampleSite, panelC: celsius(39) } }));
    expect(hot.map(({ option }) => option!.cleaner?.left)).toContain('too-warm');
    const dry = wheelsOf(
      dirty(cleaners({ rinseAfter: true }), {
        gear: [],
        vessels: sampleJob().vessels.filter(({ kind }) => kind !== 'pump-sprayer'),
      }),
    );
    expect(dry.length).toBeGreaterThan(0);
    expect(dry.every(({ option }) => option!.cleaner!.left === 'no-rinse' && option!.rinsedMl === 0)).toBe(true);
  });

  it('are rinsed off with water that runs, and is counted', () => {
    const job = dirty(cleaners({ rinseAfter: true }), {
      soil: soilAll('brake-dust', 4),
      gear: [sampleGear('cordless-wand')],
      vessels: [...sampleJob().vessels, ...sampleJob().vessels.map((one) => ({ ...one, id: `${one.id}-2` }))],
    });
    const rinsed = planJob({
      ...job,
      choices: {
        ...job.choices,
        fixed: Object.fromEntries(
          zonesOf(job.vehicle)
            .filter(({ cleanliness }) => cleanliness >= WHEELS)
            .map(({ id }) => [id, 'cordless/waterless' as const]),
        ),
      },
    });
    const wheels = rinsed.zones.filter(({ option }) => option?.cleaner?.rinses);
    expect(wheels.length).toBeGreaterThan(0);
    for (const { option } of wheels) {
      expect(option!.rinsedMl).toBeGreaterThan(0);
      expect(option!.work.rinseOff).toBeGreaterThan(0);
      expect(option!.moisture.laidMl).toBeCloseTo(option!.moisture.runoffMl + option!.moisture.finishMl, 6);
    }
  });
});
