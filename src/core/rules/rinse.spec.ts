import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { defaultAssumptions as a } from '../assumptions';
import { type Job, type SoilLevel, bodies, soilKinds } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleGear, sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { waterHeld } from '../surface/hold-up';
import { celsius, degrees } from '../units';
import { liquidOf } from '../views/liquid';
import { contextOf } from './context';
import { optionsOn, zoneOptions } from './evaluate';
import { flushRules } from './flushes';
import type { Option } from './option';

const plenty = sampleJob().towels.map((batch) => ({ ...batch, clean: 99 }));
const withSite = (site: Partial<Job['site']>, rest: Partial<Job> = {}): Job =>
  sampleJob({ towels: plenty, ...rest, site: { ...sampleSite, waterL: 300, minutes: 900, ...site } });
const salted = (site: Partial<Job['site']> = {}, rest: Partial<Job> = {}): Job =>
  withSite(site, {
    soil: soilAll('salt', 3),
    gear: [sampleGear('heater'), sampleGear('cordless-wand'), sampleGear('mains-wand')],
    ...rest,
  });
const on = (job: Job, id: string, treatment: string): readonly Option[] => {
  const context = contextOf(job);
  const soiled = context.zones.find(({ zone }) => zone.id === id)!;
  return [...zoneOptions(context).find(({ zoneId }) => zoneId === id)!.options, ...optionsOn(soiled, context)].filter(
    (option) => option.treatment === treatment,
  );
};
const one = (job: Job, id: string, treatment: string): Option => on(job, id, treatment)[0]!;

const areaOf = (id: string): number => contextOf(salted()).zones.find(({ zone }) => zone.id === id)!.zone.areaM2;

describe('a pre-rinse', () => {
  const running = (['pump', 'hot-pump', 'cordless', 'mains', 'bay'] as const).map(
    (kind) => [kind, flushRules[kind]] as const,
  );

  it.each(running)('%s removes more with more water, ever more slowly, and never more than it can', (_kind, rule) => {
    fc.assert(
      fc.property(
        fc.constantFrom(...soilKinds),
        fc.integer({ min: 50, max: 1500 }),
        fc.integer({ min: 50, max: 1500 }),
        (kind, um, more) => {
          const [first, both, third] = [um, um + more, um + 2 * more].map((film) => rule.removes(kind, film, a));
          expect(both!).toBeGreaterThan(first!);
          expect(third! - both!).toBeLessThan(both! - first!);
          expect(third!).toBeLessThan(rule.most(kind, a));
        },
      ),
      { numRuns: runs(200) },
    );
  });

  it('takes its litres by the flow: a small sprayer longer than a large one, a washer less than both', () => {
    const context = contextOf(salted());
    const secondsFor = (kind: (typeof running)[number][0], tankMl: number): number =>
      flushRules[kind].secondsPerM2(900, { ...context, tankMl });
    expect(secondsFor('pump', 1500)).toBeCloseTo((0.9 / 0.4) * 60, 6);
    expect(secondsFor('pump', 6000)).toBeCloseTo((0.9 / 0.7) * 60, 6);
    expect(secondsFor('cordless', 6000)).toBeLessThan(secondsFor('pump', 6000));
    expect(secondsFor('mains', 6000)).toBeLessThan(secondsFor('pump', 6000));
  });

  it('comes in three amounts, each with less left on the panel; only those are kept that are worth their water', () => {
    const films = flushRules.pump.amounts.map((amount) => flushRules.pump.filmUm(amount, a));
    expect(films).toEqual([450, 900, 1350]);
    const gritty = (level: SoilLevel): Job =>
      withSite({}, { soil: soilAll('grit', level), choices: { ...sampleJob().choices, approach: 'permissive' } });
    const amounts = (level: SoilLevel): readonly number[] =>
      planJob(gritty(level)).zones.flatMap(({ option }) =>
        option?.ofBody && option.rinseLM2 > 0 ? [option.rinseLM2] : [],
      );
    expect(Math.max(...amounts(4))).toBeGreaterThanOrEqual(Math.max(0, ...amounts(2)));
    expect(new Set([...amounts(2), ...amounts(3), ...amounts(4)]).size).toBeGreaterThan(1);
  });

  it('uses one kind of gear a car', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...bodies),
        fc.constantFrom(...soilKinds),
        fc.constantFrom<SoilLevel>(2, 3),
        (body, kind, level) => {
          const { kits } = planJob(salted({ tap: true }, { vehicle: sampleVehicle(body), soil: soilAll(kind, level) }));
          expect(kits.filter((kit) => ['flush', 'cordless', 'mains', 'bay'].includes(kit)).length).toBeLessThanOrEqual(
            1,
          );
        },
      ),
      { numRuns: runs(40) },
    );
  });

  it('fills the tank again when it is empty, which takes its time', () => {
    const fixed = Object.fromEntries(
      contextOf(salted()).zones.map(({ zone }) => [zone.id, 'pump/presoak-rinseless' as const]),
    );
    const plan = planJob(salted({}, { gear: [], choices: { ...sampleJob().choices, fixed, bucket: 'many-towels' } }));
    const litres = liquidOf(plan).flush.laidMl;
    const refills = plan.timeline.steps.filter(({ kind }) => kind === 'refill');
    const holds = contextOf(salted()).tankMl;
    expect(litres).toBeGreaterThan(holds);
    expect(refills.reduce((sum, { startS, endS }) => sum + endS - startS, 0)).toBeCloseTo(
      a.refillS * (Math.ceil((litres * a.wasteFactor) / holds - 1e-6) - 1),
      6,
    );
    for (const { fills, content } of plan.mix.mixes)
      if (content === 'water')
        for (const { totalMl } of fills) expect(totalMl).toBeGreaterThanOrEqual(holds / 4 - 1e-6);
  });
});

describe('water that stays after a pre-rinse', () => {
  it('is less on coated paint and after waiting, and most on level panels', () => {
    const held = (tilt: number, coated: boolean, s: number): number => waterHeld(degrees(tilt), coated, s, a);
    expect(held(90, false, 0)).toBeCloseTo(50, 6);
    expect(held(90, true, 0)).toBeCloseTo(25, 6);
    expect(held(0, false, 0)).toBeCloseTo(150, 6);
    expect(held(90, false, 60)).toBeCloseTo(25, 6);
    expect(held(0, false, 600)).toBeCloseTo(150, 6);
  });

  it('thins the mix, lubricates, and is taken up by towels', () => {
    const [dry, wet] = ['none/waterless', 'pump/waterless'].map((treatment) => one(salted(), 'roof', treatment));
    expect(wet!.standsMl).toBeGreaterThan(0);
    // As much waterless on it, and the water besides.
    expect(wet!.moisture.laidMl).toBeCloseTo(wet!.standsMl + wet!.filmUm * (dry!.laidMl.waterless / dry!.filmUm), 6);
    expect(wet!.moisture.washMl + wet!.moisture.finishMl).toBeGreaterThan(
      dry!.moisture.washMl + dry!.moisture.finishMl,
    );
    expect(wet!.marring.terms[0]!.lubrication).toBeGreaterThan(dry!.marring.terms[0]!.lubrication);
  });

  it('is conserved: what is laid runs off, stays, or dries', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...bodies),
        fc.constantFrom(...soilKinds),
        fc.constantFrom<SoilLevel>(2, 3),
        fc.constantFrom(-4, 8, 24),
        (body, kind, level, air) => {
          const plan = planJob(
            salted(
              { airC: celsius(air), liquidC: celsius(18) },
              { vehicle: sampleVehicle(body), soil: soilAll(kind, level) },
            ),
          );
          const { flush, laidMl, runoffMl, washMl, evaporatedMl, finishMl } = liquidOf(plan);
          expect(flush.runoffMl + flush.staysMl).toBeLessThanOrEqual(flush.laidMl + 1e-6);
          expect(runoffMl + washMl + evaporatedMl + finishMl).toBeCloseTo(laidMl, 6);
          expect(laidMl).toBeGreaterThanOrEqual(flush.staysMl - 1e-6);
        },
      ),
      { numRuns: runs(40) },
    );
  });

  it('costs a salted car more towels than one that is not rinsed would take', () => {
    const waterless = (treatment: 'none/waterless' | 'hot-pump/waterless'): number => {
      const fixed = Object.fromEntries(contextOf(salted()).zones.map(({ zone }) => [zone.id, treatment]));
      return planJob(
        salted(
          { airC: celsius(-5) },
          {
            consent: { by: 'client', on: '2031-05-05', note: '' },
            choices: { ...sampleJob().choices, dirtLimit: 'index', fixed },
          },
        ),
      ).towels.length;
    };
    expect(waterless('hot-pump/waterless')).toBeGreaterThan(8);
  });

  it('with more water in the van the optimum is never worse', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...bodies),
        fc.constantFrom(...soilKinds),
        fc.constantFrom<SoilLevel>(1, 2, 3),
        fc.integer({ min: 8, max: 40 }),
        (body, kind, level, litres) => {
          const cost = (waterL: number): number => {
            const plan = planJob(
              withSite(
                { waterL },
                {
                  vehicle: sampleVehicle(body),
                  soil: soilAll(kind, level),
                  choices: { ...sampleJob().choices, parts: 'all' },
                },
              ),
            );
            const chosen = plan.verdicts.find((verdict) => verdict.code === 'chosen');
            return chosen?.code === 'chosen' ? chosen.cost : Infinity;
          };
          expect(cost(litres + 20)).toBeLessThanOrEqual(cost(litres) * 1.02 + 1e-6);
        },
      ),
      { numRuns: runs(40) },
    );
  });
});

describe('a mist', () => {
  it('cools a hot panel so that a product may be used on it, and lets nothing run off', () => {
    const hot = withSite(
      { runoff: 'forbidden', airC: celsius(24), shade: false, sunWm2: 650 },
      { vehicle: { ...sampleVehicle(), colour: 'black' }, hour: 13, readings: { bonnet: celsius(60) } },
    );
    const [dry, misted] = ['none/waterless', 'mist/waterless'].map((treatment) => one(hot, 'bonnet', treatment));
    expect(dry!.gates.map(({ code }) => code)).toContain('panel-too-hot');
    expect(misted!.gates).toEqual([]);
    expect(misted!.runoffMl).toBe(0);
    expect(misted!.loadAfterFlushGm2).toBe(misted!.loadBeforeGm2);
  });

  it('comes in the pass itself, or it would be dry', () => {
    const plan = planJob(withSite({ airC: celsius(24) }, { readings: { bonnet: celsius(60) } }));
    const mists = plan.timeline.steps.filter(({ kind, zoneId }) => kind === 'flush' && zoneId === 'bonnet');
    const wipes = new Map(
      plan.timeline.steps
        .filter(({ kind, zoneId }) => kind === 'wipe' && zoneId === 'bonnet')
        .map((step) => [step.section, step]),
    );
    expect(mists.length).toBeGreaterThan(0);
    for (const mist of mists) expect(wipes.get(mist.section)!.pass).toBe(mist.pass);
  });
});

describe('a blower', () => {
  const blower = sampleGear('blower', { batteryMin: 12, noiseDb: 78 });
  const withBlower = (site: Partial<Job['site']> = {}): Job => salted(site, { gear: [sampleGear('heater'), blower] });
  const rinsed = (job: Job): Option => one(job, 'bonnet', 'pump/rinseless');

  it('takes most of the water off that a rinse leaves, in its own seconds, and so out of the towels', () => {
    const [without, blown] = [rinsed(salted({}, { gear: [sampleGear('heater')] })), rinsed(withBlower())];
    expect(blown.standsMl).toBeCloseTo(without.standsMl * (1 - a.blownOff), 6);
    expect(blown.work.flush - without.work.flush).toBeCloseTo(a.rateBlow * areaOf('bonnet'), 6);
    expect(blown.runoffMl - without.runoffMl).toBeCloseTo(without.standsMl - blown.standsMl, 6);
    const liquid = ({ needs }: Option): number => needs.reduce((sum, need) => sum + need.liquidMl, 0);
    expect(liquid(blown)).toBeLessThan(liquid(without));
    const towels = (job: Job): number =>
      planJob({ ...job, choices: { ...job.choices, fixed: { bonnet: 'pump/rinseless', roof: 'pump/rinseless' } } })
        .totals.towels.value;
    expect(towels(withBlower())).toBeLessThanOrEqual(towels(salted({}, { gear: [sampleGear('heater')] })));
  });

  it('stays in the van where towels are to take the water up, or the neighbours would mind', () => {
    const plain = rinsed(salted({}, { gear: [sampleGear('heater')] })).standsMl;
    const job = withBlower();
    expect(rinsed({ ...job, choices: { ...job.choices, standing: 'towels' } }).standsMl).toBeCloseTo(plain, 6);
    expect(rinsed(withBlower({ noiseDb: 70 })).standsMl).toBeCloseTo(plain, 6);
    expect(rinsed(withBlower({ noiseDb: 80 })).blown).toBe(true);
  });
});

describe('product in the rinse', () => {
  const withProduct = (job: Job): Job => ({ ...job, choices: { ...job.choices, rinseWith: 'product' } });
  const film = withSite({}, { soil: soilAll('road-film', 2), gear: [] });

  it('thins the mix that follows by less than plain water does', () => {
    const [plain, product] = [film, withProduct(film)].map((job) => one(job, 'bonnet', 'pump/rinseless'));
    expect(product!.marring.index).toBeLessThan(plain!.marring.index);
    expect(product!.loadAfterFlushGm2).toBeCloseTo(plain!.loadAfterFlushGm2, 9);
  });

  it('is measured into the sprayer at its own strength, and paid for', () => {
    const fixed = { bonnet: 'pump/rinseless', roof: 'pump/rinseless' } as const;
    const planned = (job: Job) => planJob({ ...job, choices: { ...job.choices, fixed } });
    const sprayer = planned(withProduct(film)).mix.mixes.find(({ content }) => content === 'water')!;
    const water = planned(film).mix.mixes.find(({ content }) => content === 'water')!;
    expect([water.productName, sprayer.productName]).toEqual([null, 'rinseless']);
    const made = sprayer.fills.reduce((sum, { totalMl }) => sum + totalMl, 0);
    expect(sprayer.productMl / made).toBeCloseTo(1 / (1 + a.rinseParts), 3);
    expect(sprayer.costMinor!).toBeGreaterThan(0);
  });

  it('keeps to what its label forbids', () => {
    const [rinseless, ...others] = film.products;
    const forbidden = withProduct({ ...film, products: [{ ...rinseless!, notOnSurfaces: ['glass'] }, ...others] });
    const gates = one(forbidden, 'windscreen', 'pump/waterless').gates.map(({ code }) => code);
    expect(gates).toContain('surface');
    expect(one(film, 'windscreen', 'pump/waterless').gates.map(({ code }) => code)).not.toContain('surface');
  });
});
