import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Care,
  type CareUse,
  type Finish,
  type Job,
  type Product,
  careReaches,
  careUses,
  finishes,
  noCare,
  paintCares,
} from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob, sampleProduct, sampleSite, sampleUse, sampleVehicle, soilAll } from '../testing/sample';
import { celsius, ml } from '../units';
import { careWantedOn } from './care';

const product = (use: CareUse, rest: Partial<Product> = {}): Product =>
  sampleProduct(use, [sampleUse(use, '0', { protectsDays: 42, inSun: false })], { sizeMl: ml(500), ...rest });
const all = careUses.map((use) => product(use));

const cared = (care: Partial<Care>, rest: Partial<Job> = {}, products: readonly Product[] = all): Job => {
  const job = sampleJob({ soil: soilAll('dust', 1), ...rest });
  return { ...job, care: { ...noCare, ...care }, products: [...job.products, ...products] };
};

const uppers: Partial<Care> = { paint: { use: 'topper', on: 'uppers' } };
const careStepsOf = (job: Job) => planJob(job).timeline.steps.filter(({ kind }) => kind === 'protect');
const leftIn = (job: Job) => planJob(job).verdicts.flatMap((one) => (one.code === 'product-left' ? [one] : []));

describe('a topper on the uppers of a dusty car', () => {
  const plan = planJob(cared(uppers));

  it('goes onto upper paint alone, about a press a panel, after all else', () => {
    const on = plan.zones.filter(({ option }) => (option?.laidMl.topper ?? 0) > 0);
    expect(on.length).toBeGreaterThan(4);
    for (const { zone, option } of on) {
      expect([zone.surface, zone.cleanliness]).toEqual(['paint', 1]);
      expect(option!.laidMl.topper).toBeLessThan(2.5);
    }
    const steps = plan.timeline.steps.filter(({ kind }) => kind !== 'pack');
    const first = steps.findIndex(({ kind }) => kind === 'protect');
    expect(first).toBeGreaterThan(0);
    expect(steps.slice(first).every(({ kind }) => kind === 'protect')).toBe(true);
  });

  it('takes minutes and a clean buffing towel of its own, and says how long it is claimed to hold', () => {
    const without = planJob(cared({}));
    expect(plan.totals.minutes.value).toBeGreaterThan(without.totals.minutes.value + 0.5);
    const own = plan.towels.filter(({ sides }) => sides.some(({ use }) => use === 'protect'));
    expect(own).toHaveLength(1);
    expect(own[0]!.role).toBe('finish');
    expect(own[0]!.sides.every(({ use }) => use === 'protect')).toBe(true);
    expect(plan.bottles.find(({ purpose }) => purpose === 'topper')?.productName).toBe('topper');
  });
});

describe('what is put onto a clean car', () => {
  it('comes in its order: paint, trim, tyres, each in a round of its own and with a towel of its own', () => {
    const plan = planJob(cared({ paint: { use: 'sealant', on: 'body' }, trim: true, tyres: 'now' }));
    const passes = plan.timeline.passes.filter(({ act }) => act === 'protect');
    const useOf = (number: number) =>
      new Set(
        plan.zones
          .filter(({ zone }) => passes[number]!.parts.some(({ zoneId }) => zoneId === zone.id))
          .map(({ option }) => option!.care!.use),
      );
    expect(passes.map((_pass, i) => [...useOf(i)])).toEqual([['sealant'], ['trim-dressing'], ['tyre-dressing']]);
    const slots = plan.towels.flatMap(({ sides }) =>
      sides.flatMap(({ use, slot }) => (use === 'protect' ? [slot] : [])),
    );
    expect(new Set(slots)).toEqual(new Set(['protect', 'trim', 'tyres']));
  });

  it('is rubbed in as it dries where it is a drying aid: no pass, no towel, a little time', () => {
    const [plain, aided] = [planJob(cared({})), planJob(cared({ paint: { use: 'drying-aid', on: 'body' } }))];
    expect(careStepsOf(cared({ paint: { use: 'drying-aid', on: 'body' } }))).toHaveLength(0);
    expect(aided.totals.towels.value).toBeLessThanOrEqual(plain.totals.towels.value + 1);
    expect(aided.totals.minutes.value).toBeGreaterThan(plain.totals.minutes.value);
    expect(aided.bottles.map(({ purpose }) => purpose)).toContain('drying-aid');
  });

  it('waits for the drive home where that is asked for: a task with a time, and no minute of the wash', () => {
    const [plain, later] = [planJob(cared({})), planJob(cared({ tyres: 'after-drive' }))];
    expect(later.totals.minutes.value).toBeCloseTo(plain.totals.minutes.value, 9);
    expect(later.later).toMatchObject({ use: 'tyre-dressing', productName: 'tyre-dressing' });
    expect(later.later!.zones).toHaveLength(4);
    expect(later.later!.minutes).toBeGreaterThan(0.5);
    expect(later.later!.fromHour).toBeGreaterThan(10);
    expect(plain.later).toBeNull();
  });

  it('is left where it may not go, with the reason', () => {
    const coated = { vehicle: sampleVehicle('sedan', 'coated') };
    expect(leftIn(cared(uppers, coated, [product('topper', { leavesLayer: true })]))[0]).toMatchObject({
      purpose: 'topper',
      why: 'layer',
    });
    expect(
      leftIn(
        cared(uppers, { vehicle: sampleVehicle('sedan', 'matte') }, [product('topper', { notOnFinishes: ['matte'] })]),
      )[0],
    ).toMatchObject({ why: 'finish' });
    expect(leftIn(cared(uppers, {}, []))[0]).toMatchObject({ why: 'no-product' });
    expect(leftIn(cared(uppers, {}, [product('topper', { notWith: ['waterless', 'rinseless'] })]))[0]).toMatchObject({
      why: 'not-together',
    });
    expect(
      leftIn(
        cared(uppers, { site: { ...sampleSite, panelC: celsius(34) } }, [
          product('topper', { maxPanelC: celsius(30) }),
        ]),
      )[0],
    ).toMatchObject({ why: 'too-warm', mostC: 30 });
    const sunny = { site: { ...sampleSite, shade: false, sunWm2: 700 } };
    expect(leftIn(cared(uppers, sunny, [product('topper', { maxPanelC: null })]))[0]).toMatchObject({ why: 'in-sun' });
    expect(leftIn(cared(uppers))).toHaveLength(0);
  });

  it('never makes a seat slippery', () => {
    const plan = planJob(cared({ trim: true }, { vehicle: sampleVehicle('motorcycle') }));
    const dressed = plan.zones
      .filter(({ option }) => (option?.laidMl['trim-dressing'] ?? 0) > 0)
      .map(({ zone }) => zone.id);
    expect(dressed.length).toBeGreaterThan(0);
    expect(dressed).not.toContain('seat');
    expect(dressed).not.toContain('instruments');
  });

  const jobs = fc
    .record({
      use: fc.constantFrom(...paintCares),
      on: fc.constantFrom(...careReaches),
      tyres: fc.constantFrom('now' as const, 'after-drive' as const, null),
      trim: fc.boolean(),
      finish: fc.constantFrom<Finish>(...finishes),
      layer: fc.boolean(),
      topping: fc.constantFrom('none' as const, 'welcome' as const),
      workers: fc.constantFrom<1 | 2>(1, 2),
      cladding: fc.boolean(),
    })
    .map(({ use, on, tyres, trim, finish, layer, topping, workers, cladding }) => {
      const job = cared(
        { paint: { use, on }, tyres, trim },
        { vehicle: { ...sampleVehicle('suv', finish), cladding }, site: { ...sampleSite, workers, minutes: 600 } },
        careUses.map((one) => product(one, { leavesLayer: layer })),
      );
      return { ...job, choices: { ...job.choices, topping } };
    });

  it('never leaves a layer on what excludes one, and never spreads it with a towel that did anything else', () => {
    fc.assert(
      fc.property(jobs, (job) => {
        const plan = planJob(job);
        const excluded = job.choices.topping === 'none' && ['coated', 'matte'].includes(job.vehicle.finish);
        for (const { zone, option } of plan.zones) {
          const { care } = option ?? {};
          expect(care?.use ?? null).toBe(option ? careWantedOn(zone, job) : null);
          if (
            excluded &&
            care &&
            zone.surface === 'paint' &&
            job.products.find(({ id }) => id === care.use)!.leavesLayer
          )
            expect(care.ml).toBe(0);
        }
        for (const { sides } of plan.towels) {
          const cares = sides.filter(({ use: of }) => of === 'protect');
          expect([0, sides.length]).toContain(cares.length);
          expect(new Set(cares.map(({ slot }) => slot)).size).toBeLessThanOrEqual(1);
        }
        const planned = plan.bottles.reduce((sum, { ml: each }) => sum + each, 0);
        const laid = plan.zones.reduce((sum, { option }) => sum + (option?.care?.ml ?? 0), 0);
        expect(planned).toBeCloseTo(laid, 6);
      }),
      { numRuns: 30 },
    );
  });
});
