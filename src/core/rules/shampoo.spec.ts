import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Job, Site } from '../model';
import { isRinsed, isShampooed } from './treatment';
import { planJob } from '../planning/plan-job';
import { sampleGear, sampleJob, sampleProduct, sampleSite, sampleUse, soilAll } from '../testing/sample';
import { ml } from '../units';
import { isBody } from './limit';

const LINE = 0.75;

/** An owner who wants everything rinsed off, a cordless washer, a foamer and 60 L. */
const refuser = (site: Partial<Site> = {}, rest: Partial<Job> = {}): Job => {
  const job = sampleJob({
    soil: Object.fromEntries(
      Object.entries(soilAll('salt', 3)).map(([id, one]) => [
        id,
        { ...one!, deposits: [...one!.deposits, { kind: 'grit', level: 2 }] },
      ]),
    ),
    site: { ...sampleSite, waterL: 60, power: false, minutes: 240, ...site },
    gear: [sampleGear('cordless-wand', { batteryMin: 40, flowLMin: 2.5 })],
    wishes: { chemistry: 'rinsed-off' },
    ...rest,
  });
  return {
    ...job,
    products: [
      ...job.products,
      sampleProduct('shampoo', [sampleUse('shampoo', '400')]),
      sampleProduct('foam', [sampleUse('foam', '20')]),
    ],
    vessels: [
      ...job.vessels.filter(({ kind }) => kind !== 'pump-sprayer'),
      {
        id: 'foamer',
        name: 'foamer',
        kind: 'foam-sprayer',
        capacityMl: ml(1500),
        workingShare: LINE,
        chargeMl: ml(60),
        origin: 'own',
      },
      {
        id: 'bucket-d',
        name: 'bucket-d',
        kind: 'bucket',
        capacityMl: ml(12000),
        workingShare: LINE,
        chargeMl: ml(4000),
        origin: 'own',
      },
    ],
    choices: { ...job.choices, bucket: 'two-buckets', drying: 'panel', approach: 'permissive' },
  };
};

describe('a shampoo wash for an owner who wants everything rinsed off', () => {
  const plan = planJob(refuser());

  it('rinses, foams, rinses, washes with the mitt, rinses and dries, within what is carried', () => {
    expect(plan.method).toBe('shampoo');
    const body = plan.zones.filter(({ zone, option }) => isBody(zone) && option);
    expect(body.length).toBeGreaterThan(10);
    for (const { option } of body) expect(isShampooed(option!.treatment)).toBe(true);
    const foamed = body.find(({ treatment }) => treatment.endsWith('/foam-shampoo'))!;
    expect(foamed).toBeDefined();
    const kinds = plan.timeline.steps
      .filter(
        ({ zoneId, kind }) => zoneId === foamed.zone.id && kind !== 'walk' && kind !== 'wait' && kind !== 'pretreat',
      )
      .map(({ kind }) => kind);
    expect([...new Set(kinds)]).toEqual(['flush', 'spray', 'rinse-before', 'wipe', 'rinse-off', 'finish']);
    expect(plan.totals.litres.value).toBeLessThanOrEqual(60);
    expect(plan.mitts.length).toBeGreaterThan(0);
    expect(plan.mix.mixes.map(({ content }) => content)).toEqual(
      expect.arrayContaining(['shampoo', 'foam', 'supply', 'rinse']),
    );
    expect(plan.mix.mixes.map(({ content }) => content)).not.toContain('wash');
  });

  it('does the wheels before the body, and says what the batteries give', () => {
    const wipes = plan.timeline.passes.filter(({ act }) => act === 'wipe');
    expect(wipes[0]!.lap).toBe('wheels-first');
    const minutes = plan.zones.reduce((sum, { option }) => sum + (option?.usage.batteryMin ?? 0), 0);
    expect(minutes).toBeGreaterThan(2);
    expect(minutes).toBeLessThanOrEqual(40);
    const short = planJob(refuser({}, { gear: [sampleGear('cordless-wand', { batteryMin: 3, flowLMin: 2.5 })] }));
    expect(short.method === 'shampoo' && short.zones.every(({ option }) => option)).toBe(false);
  });

  it('is laid beside the others only where it is at hand', () => {
    expect(planJob(sampleJob()).alternatives.map(({ method }) => method)).not.toContain('shampoo');
    const free = planJob(refuser({}, { wishes: {} }));
    expect(free.alternatives.map(({ method }) => method)).toContain('shampoo');
  });

  it('never shampoos without a rinse, counts all that runs off, and does not run where nothing may', () => {
    const sites = fc.record({
      waterL: fc.integer({ min: 15, max: 120 }),
      airC: fc.integer({ min: 6, max: 30 }),
      runoff: fc.constantFrom('allowed' as const, 'captured' as const),
      captureL: fc.integer({ min: 5, max: 200 }),
      workers: fc.constantFrom<1 | 2>(1, 2),
    });
    fc.assert(
      fc.property(sites, ({ airC, ...site }) => {
        const any = planJob(refuser({ ...site, airC: airC as Site['airC'] }));
        for (const { option } of any.zones) {
          if (!option || !isShampooed(option.treatment)) continue;
          expect(isRinsed(option.treatment)).toBe(true);
          expect(option.work.rinseOff).toBeGreaterThan(0);
          const { moisture } = option;
          expect(moisture.laidMl).toBeCloseTo(
            moisture.runoffMl + moisture.washMl + moisture.evaporatedMl + moisture.finishMl,
            6,
          );
          const water = option.laidMl.water + option.laidMl.supply + option.laidMl.line + option.laidMl.bay;
          // Rinse water either runs off or stands there for the towels.
          expect(option.runoffMl).toBeGreaterThan(water * 0.7);
        }
        if (site.runoff === 'captured') expect(any.totals.runoffL.value).toBeLessThanOrEqual(site.captureL + 1e-6);
      }),
      { numRuns: 25 },
    );
    const forbidden = planJob(refuser({ runoff: 'forbidden' }));
    expect(forbidden.zones.some(({ treatment }) => treatment !== 'leave' && isShampooed(treatment))).toBe(false);
  });

  it('never makes a second filling of a foamer that is hardly worth mixing', () => {
    for (const { content, fills } of plan.mix.mixes) {
      if (content !== 'foam') continue;
      expect(fills.every(({ totalMl }) => totalMl <= 1500 * LINE + 1e-6)).toBe(true);
      expect(Math.min(...fills.map(({ totalMl }) => totalMl))).toBeGreaterThanOrEqual(0.25 * 1500 * LINE - 1e-6);
    }
  });
});
