import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Job,
  type SoilKind,
  type SoilLevel,
  type VehicleMethod,
  type Working,
  type ZoneId,
  bodies,
  habitAnswers,
  soilKinds,
} from '../model';
import { anyJobWith } from '../testing/any-job';
import { celsius } from '../units';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { planJob } from './plan-job';
import { zoneTreatments } from './zone-options';
import type { Alternative } from './plan';
import { runs } from '@esmero/testing';

const outcome = (job: Job, method: VehicleMethod): Alternative['outcome'] =>
  planJob(job).alternatives.find((alt) => alt.method === method)!.outcome;

const gatesOn = (job: Job, id: ZoneId, treatment: Working) =>
  zoneTreatments(job, id).find((option) => option.treatment === treatment)!.gates;

const dusty = sampleJob();
const withSite = (site: Partial<Job['site']>, rest: Partial<Job> = {}): Job =>
  sampleJob({ ...rest, site: { ...sampleSite, ...site } });
const withChoices = (choices: Partial<Job['choices']>, rest: Partial<Job> = {}): Job =>
  sampleJob({ ...rest, choices: { ...dusty.choices, ...choices } });

const anyJob = fc
  .record({
    body: fc.constantFrom(...bodies),
    kind: fc.constantFrom<SoilKind>(...soilKinds),
    level: fc.constantFrom<SoilLevel>(0, 1, 2, 3, 4),
    approach: fc.constantFrom(...habitAnswers.approach),
    runoff: fc.constantFrom<Job['site']['runoff']>('forbidden', 'captured', 'allowed'),
    waterL: fc.integer({ min: 0, max: 60 }),
    minutes: fc.integer({ min: 10, max: 200 }),
    workers: fc.constantFrom<1 | 2>(1, 2),
    bucket: fc.constantFrom<Job['choices']['bucket']>('many-towels', 'one-guarded', 'two-buckets'),
  })
  .map(({ body, kind, level, approach, runoff, waterL, minutes, workers, bucket }) =>
    sampleJob({
      vehicle: sampleVehicle(body),
      soil: soilAll(kind, level),
      site: { ...sampleSite, runoff, waterL, minutes, workers, captureL: 10 },
      choices: { ...dusty.choices, approach, bucket },
    }),
  );

describe('planning a job', () => {
  it('is the same for the same job', () => {
    expect(planJob(dusty)).toEqual(planJob(structuredClone(dusty)));
  });

  it('is the same whatever was planned before it', () => {
    const stroke = fc.record({
      zone: fc.constantFrom<ZoneId>('bonnet', 'roof', 'left-sill', 'right-sill', 'left-front-wheel'),
      kind: fc.constantFrom<SoilKind>(...soilKinds),
      level: fc.constantFrom<SoilLevel>(0, 1, 2, 3, 4),
      waterL: fc.integer({ min: 5, max: 60 }),
      minutes: fc.integer({ min: 40, max: 200 }),
      clean: fc.integer({ min: 0, max: 20 }),
      panelC: fc.constantFrom(null, celsius(24)),
    });
    let ground = 0;
    fc.assert(
      fc.property(anyJob, fc.array(stroke, { minLength: 2, maxLength: 5 }), (first, strokes) => {
        let job = first;
        for (const { zone, kind, level, waterL, minutes, clean, panelC } of strokes) {
          job = {
            ...job,
            soil: { ...job.soil, [zone]: { deposits: [{ kind, level }], spots: {} } },
            site: { ...job.site, waterL, minutes, panelC },
            towels: job.towels.map((batch, i) => (i === 0 ? { ...batch, clean } : batch)),
          };
          // Another name changes no figure, and was never planned before.
          const unknown: Job = { ...job, vehicle: { ...job.vehicle, name: `Unknown ${ground++}` } };
          expect(planJob(job)).toEqual(planJob(unknown));
        }
      }),
      { numRuns: runs(20) },
    );
  });
});

describe('gates', () => {
  it('excludes every flush where nothing may run off, and says so', () => {
    const plan = planJob(withSite({ runoff: 'forbidden' }));
    const flush = gatesOn(withSite({ runoff: 'forbidden' }), 'left-front-door-upper', 'pump/waterless');
    expect(flush.map(({ code }) => code)).toContain('runoff-forbidden');
    expect(plan.zones.every(({ treatment }) => !treatment.startsWith('pump'))).toBe(true);
  });

  it('never wipes mud that has not been flushed', () => {
    const job = withSite({ runoff: 'forbidden' }, { soil: soilAll('mud', 1) });
    const plan = planJob(job);
    expect(plan.method).toBe('decline');
    expect(gatesOn(job, 'roof', 'none/waterless')).toContainEqual({ code: 'lumps' });
  });

  it('needs power for hot water', () => {
    const gates = (power: boolean) => gatesOn(withSite({ power }), 'roof', 'hot-pump/waterless');
    expect(gates(false)).toContainEqual({ code: 'no-power' });
    expect(gates(true)).toEqual([]);
  });

  it('stops a thin mist on a freezing panel and floods it with hot water instead', () => {
    const plan = planJob(withSite({ airC: celsius(-9), liquidC: celsius(6) }));
    expect(plan.zones.every(({ treatment }) => treatment.startsWith('hot-pump'))).toBe(true);
    expect(plan.cautions).toEqual(expect.arrayContaining(['hot-liquid', 'freezing-ground']));
    expect(planJob(withSite({ airC: celsius(-9), liquidC: celsius(6), power: false })).method).toBe('decline');
  });

  it('keeps a product off hot panels and off finishes that its label excludes', () => {
    expect(gatesOn(withSite({ panelC: celsius(60) }), 'roof', 'none/waterless')).toContainEqual(
      expect.objectContaining({ code: 'panel-too-hot', panelC: 60 }),
    );
    // What no label says forbids nothing.
    const unlabelled = {
      ...withSite({ panelC: celsius(60) }),
      products: dusty.products.map((p) => ({ ...p, maxPanelC: null })),
    };
    expect(gatesOn(unlabelled, 'roof', 'none/waterless').map(({ code }) => code)).not.toContain('panel-too-hot');
    const matte = sampleJob({
      vehicle: sampleVehicle('sedan', 'matte'),
      products: dusty.products.map((p) => ({ ...p, notOnFinishes: p.id === 'waterless' ? ['matte' as const] : [] })),
    });
    expect(gatesOn(matte, 'roof', 'none/waterless')).toContainEqual({ code: 'finish', finish: 'matte' });
  });

  it('asks for a product that is not on the list', () => {
    const bare = sampleJob({ products: [] });
    expect(planJob(bare).method).toBe('decline');
    expect(gatesOn(bare, 'roof', 'none/waterless')).toContainEqual({ code: 'no-product', purpose: 'waterless' });
  });
});

describe('the method', () => {
  it('is waterless for dust', () => {
    expect(planJob(dusty).method).toBe('waterless');
  });

  it('can be asked for, and the best plan of that kind is made', () => {
    const plan = planJob(withChoices({ method: 'rinseless' }));
    expect(plan.method).toBe('rinseless');
    expect(plan.verdicts).toContainEqual({ code: 'asked-for', method: 'rinseless' });
    expect(planJob(withChoices({ method: 'decline' })).method).toBe('decline');
  });

  it('costs no more than any other that is feasible', () => {
    const plan = planJob(sampleJob({ soil: soilAll('road-film', 2) }));
    const costs = plan.alternatives.flatMap((alt) => (alt.outcome.kind === 'feasible' ? [alt.outcome.cost] : []));
    const own = plan.verdicts.find((v) => v.code === 'chosen');
    expect(own).toMatchObject({ cost: Math.min(...costs) });
  });

  it('refuses grit on matte black paint where nothing may run off, under every approach', () => {
    for (const approach of habitAnswers.approach) {
      const job = withChoices(
        { approach },
        {
          vehicle: { ...sampleVehicle('van', 'matte'), colour: 'black' },
          soil: soilAll('grit', 4),
          site: { ...sampleSite, runoff: 'forbidden' },
        },
      );
      const plan = planJob(job);
      expect(plan.method).toBe('decline');
      expect(plan.verdicts.map(({ code }) => code)).toContain('zones-blocked');
    }
  });

  it('leaves a zone that is taken out by hand and plans the rest', () => {
    const job = withChoices({ fixed: { roof: 'leave', bonnet: 'pump/rinseless' } });
    const plan = planJob(job);
    expect(plan.zones.find(({ zone }) => zone.id === 'roof')).toMatchObject({ treatment: 'leave', leftByHand: true });
    expect(plan.zones.find(({ zone }) => zone.id === 'bonnet')!.treatment).toBe('pump/rinseless');
    expect(plan.method).toBe('hybrid');
  });

  it('says which budget stands in the way', () => {
    expect(outcome(withSite({ waterL: 2 }), 'rinseless')).toMatchObject({
      kind: 'blocked',
      shortages: [{ budget: 'litres', have: 2 }],
    });
    expect(outcome(withSite({ minutes: 5 }), 'waterless')).toMatchObject({ shortages: [{ budget: 'minutes' }] });
    const noTowels = sampleJob({ towels: dusty.towels.map((b) => ({ ...b, clean: 0 })) });
    const plan = planJob(noTowels);
    expect(plan.method).toBe('decline');
    expect(plan.verdicts.map(({ code }) => code)).toContain('over-budget');
  });

  it('names a vessel that is missing', () => {
    const plan = planJob(sampleJob({ vessels: dusty.vessels.filter(({ kind }) => kind === 'pump-sprayer') }));
    expect(plan.method).toBe('decline');
    expect(plan.verdicts).toContainEqual(
      expect.objectContaining({
        code: 'zones-blocked',
        because: 'kit',
        gates: [expect.objectContaining({ code: 'no-vessel' })],
      }),
    );
  });

  it('counts a panel that was measured as looked at', () => {
    const measured = { deposits: [{ kind: 'dust', level: 2 }], spots: [], measured: { loadGm2: 2, spread: 1.2 } };
    const { verdicts } = planJob(sampleJob({ soil: { roof: measured as never } }));
    expect(verdicts).toContainEqual({ code: 'not-seen', zones: 52, forecast: false });
  });

  it('counts zones that nobody has looked at', () => {
    expect(planJob(sampleJob({ soil: {} })).verdicts).toContainEqual({ code: 'not-seen', zones: 53, forecast: false });
  });
});

describe('weather', () => {
  const verdict = (job: Job) => planJob(job).verdicts.find(({ code }) => code === 'zones-blocked');

  it('refuses a black car in the noon sun for its heat where nothing cools it, and takes it in the shade', () => {
    const noon = (shade: boolean): Job =>
      withSite(
        { airC: celsius(31), humidity: 0.4, windMs: 1, shade, sunWm2: shade ? 0 : 850 },
        {
          vehicle: { ...sampleVehicle(), colour: 'black' },
          vessels: dusty.vessels.filter(({ kind }) => kind !== 'pump-sprayer'),
        },
      );
    expect(verdict(noon(false))).toMatchObject({ because: 'heat' });
    expect(planJob(noon(true)).method).not.toBe('decline');
  });

  it('names frost where only that stands in the way, and soil where it does', () => {
    expect(verdict(withSite({ airC: celsius(-9), liquidC: celsius(6), power: false }))).toMatchObject({
      because: 'frost',
    });
    expect(verdict(withSite({ runoff: 'forbidden' }, { soil: soilAll('mud', 3) }))).toMatchObject({ because: 'soil' });
    expect(verdict(sampleJob({ products: [] }))).toMatchObject({ because: 'kit' });
  });

  it('never plans a treatment that dries before its smallest section is done', () => {
    fc.assert(
      fc.property(
        anyJob,
        fc.record({
          airC: fc.integer({ min: -5, max: 38 }),
          sunWm2: fc.integer({ min: 0, max: 900 }),
          windMs: fc.integer({ min: 0, max: 5 }),
        }),
        (job, air) => {
          const site = { ...job.site, ...air, airC: celsius(air.airC), shade: air.sunWm2 === 0 };
          for (const { option } of planJob({ ...job, site }).zones) {
            if (!option) continue;
            const { windowS, freezeS, needS, sectionM2 } = option.drying;
            expect(sectionM2).toBeGreaterThan(0);
            expect(option.dwellS).toBeLessThanOrEqual(windowS);
            if (freezeS !== null) expect(freezeS).toBeGreaterThan(needS);
          }
        },
      ),
      { numRuns: runs(40) },
    );
  });

  it('flushes zone by zone in frost, so that nothing freezes before its turn', () => {
    const { timeline, zones } = planJob(withSite({ airC: celsius(-9), liquidC: celsius(6) }));
    for (const { zone, option } of zones) {
      const flush = timeline.steps.find(({ kind, zoneId }) => kind === 'flush' && zoneId === zone.id)!;
      const wipe = timeline.steps.find(({ kind, zoneId }) => kind === 'wipe' && zoneId === zone.id)!;
      if (option?.drying.freezeS) expect(wipe.startS - flush.endS).toBeLessThan(option.drying.freezeS);
    }
  });
});

describe('approaches of order', () => {
  const order = (job: Job): string[] =>
    planJob(job)
      .timeline.steps.filter(({ kind }) => kind === 'wipe')
      .map(({ zoneId }) => zoneId!);

  it('wipes wheels last, and first when asked or flushed', () => {
    expect(order(dusty).at(-1)).toMatch(/wheel|tyre|arch/);
    expect(order(withChoices({ wheels: 'first' }))[0]).toMatch(/wheel|tyre|arch/);
    const flushed = planJob(sampleJob({ soil: soilAll('mud', 2) }));
    expect(flushed.timeline.steps.filter(({ kind }) => kind === 'wipe')[0]!.zoneId).toMatch(/wheel|tyre|arch/);
  });

  it('finishes glass once more at the end where a cleaner is set aside for it', () => {
    const plan = planJob(withChoices({ glass: 'last' }));
    expect(plan.mix.mixes.map(({ content }) => content)).toContain('glass');
    expect(plan.timeline.steps.filter(({ kind }) => kind === 'glass')).toHaveLength(6);
    expect(planJob(dusty).mix.mixes.map(({ content }) => content)).not.toContain('glass');
    // A label that excludes glass is heeded: no such cleaner, as if there were none.
    const excluded = (job: Job): Job => ({
      ...job,
      products: job.products.map((one) =>
        one.uses.some(({ purpose }) => purpose === 'glass') ? { ...one, notOnSurfaces: ['glass'] } : one,
      ),
    });
    expect(planJob(excluded(withChoices({ glass: 'last' }))).mix.mixes.map(({ content }) => content)).not.toContain(
      'glass',
    );
  });

  it('is not slower with two', () => {
    const one = planJob(dusty).totals.minutes.value;
    expect(planJob(withSite({ workers: 2 })).totals.minutes.value).toBeLessThan(one);
  });
});

describe('a method beside the chosen one', () => {
  it('that leaves no more of the car is not lower in all, unless that is told', () => {
    let compared = 0;
    fc.assert(
      fc.property(anyJobWith({ site: { minutes: fc.constant(600), waterL: fc.constantFrom(20, 100) } }), (job) => {
        const { method, verdicts, alternatives, zones } = planJob(job);
        const chosen = verdicts.find((one) => one.code === 'chosen');
        const leaves = zones.filter(({ inScope, option, leftByHand }) => inScope && !option && !leftByHand).length;
        for (const { method: other, outcome } of alternatives) {
          if (chosen?.code !== 'chosen' || outcome.kind !== 'feasible' || other === method || outcome.leaves > leaves)
            continue;
          const told = verdicts.find((one) => one.code === 'runner-up' && one.method === other);
          expect(told).toMatchObject({ cheaperBy: Math.max(0, chosen.cost - outcome.cost) });
          compared++;
        }
      }),
      { numRuns: runs(400) },
    );
    expect(compared).toBeGreaterThan(10);
  });
});
