import { describe, expect, it } from 'vitest';
import { defaultAssumptions } from '../assumptions';
import { type Job, type Lot, towelRoles } from '../model';
import { planJob } from '../planning/plan-job';
import { finish } from '../studies';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { planLot } from './plan-lot';

const car = (rest: Partial<Job> = {}): Job =>
  sampleJob({
    scope: ['body', 'glass'],
    soil: soilAll('dust', 1),
    site: { ...sampleSite, minutes: 240, waterL: 60 },
    choices: { ...sampleJob().choices, method: 'rinseless', bucket: 'one-guarded' },
    ...rest,
  });

const plenty = {
  waterL: 2000,
  dirtyL: 2000,
  batteryMin: 0,
  chargePerMin: 0,
  towels: { wash: 500, finish: 500, drying: 500, glass: 500, wheels: 500 },
};
const lot = (count: number, rest: Partial<Lot> = {}): Lot => ({
  id: 'lot',
  name: 'A lot',
  date: '2031-07-14',
  startHour: 8,
  people: 1,
  moveMin: 1,
  carsPerBucket: 8,
  laundry: null,
  van: plenty,
  products: [],
  classes: [{ name: 'dusty', job: car(), count }],
  ...rest,
});
const planned = (of: Lot) => finish(planLot(of));

describe('a lot', () => {
  it('of one is the car’s own plan: its minutes, its towels, its water and product', () => {
    const [own, one] = [planJob(car()), planned(lot(1))];
    expect(one.endMin - 480).toBeCloseTo(own.timeline.elapsedS / 60, 6);
    for (const role of towelRoles)
      expect(one.towels[role]).toBe(own.towels.filter((towel) => towel.role === role).length);
    expect(one.litres).toBeCloseTo(own.totals.litres.value, 9);
    expect([...one.productMl.values()].reduce((sum, ml) => sum + ml, 0)).toBeCloseTo(own.totals.productMl.value, 6);
  });

  it('of one is that to the millilitre by each method, with cleaners out of the bottle and rinse water as well', () => {
    for (const method of ['waterless', 'rinseless', 'hybrid', 'auto'] as const)
      for (const bucket of ['many-towels', 'two-buckets'] as const) {
        const job = car({
          soil: soilAll('road-film', 2),
          choices: { ...sampleJob().choices, method, bucket, glass: 'last' },
        });
        const [own, one] = [planJob(job), planned(lot(1, { classes: [{ name: 'one', job, count: 1 }] }))];
        expect(own.method).not.toBe('decline');
        expect(one.litres).toBeCloseTo(own.totals.litres.value, 9);
        expect([...one.productMl.values()].reduce((sum, ml) => sum + ml, 0)).toBeCloseTo(own.totals.productMl.value, 6);
      }
  });

  it('fills a sprayer once with what stays in it, and loses its waste on every car', () => {
    const job = car({ choices: { ...sampleJob().choices, method: 'waterless' } });
    const of = (count: number): number => planned(lot(count, { classes: [{ name: 'one', job, count }] })).litres;
    const [one, two, ten] = [of(1), of(2), of(10)];
    expect(ten - two).toBeCloseTo(8 * (two - one), 9);
    expect(two).toBeLessThan(2 * one);
    const { wasteFactor } = defaultAssumptions;
    const demandL = planJob(job).mix.mixes.reduce(
      (sum, { demandMl, fills, makeMl }) =>
        sum + (demandMl * wasteFactor * fills.reduce((water, fill) => water + fill.waterMl, 0)) / makeMl / 1000,
      0,
    );
    expect(two - one).toBeCloseTo(demandL, 6);
  });

  it('of seventy-five dusty cars takes one person five to thirteen minutes a car, and towels are short before concentrate', () => {
    const many = planned(
      lot(75, {
        van: { ...plenty, waterL: 400, towels: { wash: 60, finish: 60, drying: 12, glass: 20, wheels: 20 } },
        products: sampleJob().products.map(({ id }) => ({ productId: id, ml: 1000 })),
      }),
    );
    expect(many.cars).toHaveLength(75);
    expect(many.minutesACar).toBeGreaterThanOrEqual(5);
    expect(many.minutesACar).toBeLessThanOrEqual(13);
    expect(many.shortages[0]!.stock.kind).toBe('towels');
    expect(many.shortages.map(({ stock }) => stock.kind)).not.toContain('product');
    const [first] = many.shortages;
    expect(first!.needs).toBeGreaterThan(first!.has);
    expect(many.cars[first!.car]!.beginMin).toBe(first!.atMin);
  });

  it('takes as many drying towels as the sides that its cars are dried with, not one a car', () => {
    for (const drying of ['panel', 'body'] as const) {
      const job = car({ choices: { ...car().choices, drying } });
      const own = planJob(job).towels.filter(({ role }) => role === 'drying');
      const sides = own.reduce((sum, towel) => sum + new Set(towel.sides.map(({ number }) => number)).size, 0);
      const [{ fold }] = own as [(typeof own)[number]];
      const { towels } = planned(lot(40, { classes: [{ name: 'dusty', job, count: 40 }] }));
      expect(sides).toBeLessThan(fold);
      expect(towels.drying).toBe(Math.ceil((40 * sides) / fold));
    }
  });

  it('takes two people less than the time of one and more than half of it, and no fewer towels', () => {
    const [one, two] = [planned(lot(20)), planned(lot(20, { people: 2 }))];
    const minutes = (plan: typeof one): number => plan.endMin - 480;
    expect(minutes(two)).toBeLessThan(minutes(one));
    expect(minutes(two)).toBeGreaterThan(minutes(one) / 2);
    const towels = (plan: typeof one): number => towelRoles.reduce((sum, role) => sum + plan.towels[role], 0);
    expect(towels(two)).toBeGreaterThanOrEqual(towels(one));
  });

  it('never takes less of anything for one car more', () => {
    const plans = [1, 2, 5, 6].map((count) => planned(lot(count)));
    for (let i = 1; i < plans.length; i++) {
      expect(plans[i]!.endMin).toBeGreaterThan(plans[i - 1]!.endMin);
      expect(plans[i]!.litres).toBeGreaterThanOrEqual(plans[i - 1]!.litres);
      for (const role of towelRoles) expect(plans[i]!.towels[role]).toBeGreaterThanOrEqual(plans[i - 1]!.towels[role]);
    }
  });

  it('gets fresh bucket water every few cars, and says which classes cannot be washed', () => {
    expect(planned(lot(12, { carsPerBucket: 4 })).litres).toBeGreaterThan(
      planned(lot(12, { carsPerBucket: 12 })).litres,
    );
    const gritty = {
      name: 'gritty',
      job: car({ soil: soilAll('grit', 5), id: 'gritty', choices: { ...car().choices, parts: 'all' } }),
      count: 3,
    };
    const mixed = planned(lot(2, { classes: [gritty, { name: 'dusty', job: car(), count: 2 }] }));
    expect(mixed.cannot).toEqual([0]);
    expect(mixed.cars.map(({ of }) => of)).toEqual([1, 1]);
  });
});

describe('a lot with laundry on the way', () => {
  const opened = planned(lot(30));
  const washing = (minutes: number, load: number) => planned(lot(30, { laundry: { minutes, load } }));

  it('needs no more towels than without, and fewer the quicker they are clean again', () => {
    const sum = ({ towels }: typeof opened): number => towelRoles.reduce((all, role) => all + towels[role], 0);
    const all = [20, 60, 120, 100_000].map((minutes) => sum(washing(minutes, 4)));
    expect(all).toEqual([...all].sort((p, q) => p - q));
    expect(all[0]).toBeLessThan(sum(opened));
    expect(all.at(-1)).toBe(sum(opened));
    expect(opened.loads).toBe(0);
  });

  it('washes whole loads of what has been used', () => {
    const { loads } = washing(20, 4);
    const used = towelRoles.reduce((all, role) => all + opened.towels[role], 0);
    expect(loads).toBeGreaterThan(0);
    expect(loads * 4).toBeLessThanOrEqual(used);
  });

  it('changes the water of each person’s buckets every so many cars', () => {
    const two = planned(lot(20, { people: 2, carsPerBucket: 4 }));
    for (const person of [0, 1]) {
      const own = two.cars.filter((car) => car.person === person);
      expect(own.map(({ freshWater }) => freshWater)).toEqual(own.map((_car, i) => i % 4 === 0));
    }
  });
});
