import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { setAssumption } from '../edit';
import { type Job, type Leg, bodies, roads, shelters, surroundings } from '../model';
import { sampleJob, sampleVehicle, soilAll } from '../testing/sample';
import { dayAfter } from '../units';
import { type NextVisit, nextVisitOf, usualLeg } from './next-visit';
import { planJob } from '../planning/plan-job';
import { finish } from './study';
import { runs } from '@esmero/testing';

const anyLeg = fc.record<Leg>({
  days: fc.integer({ min: 1, max: 30 }),
  km: fc.integer({ min: 0, max: 900 }),
  surroundings: fc.constantFrom(...surroundings),
  shelter: fc.constantFrom(...shelters),
  road: fc.constantFrom(...roads),
});
const week: Leg = { days: 7, km: 100, surroundings: 'town', shelter: 'street', road: 'dry' };
const visit = (job: Job, leg: Leg = week): NextVisit => finish(nextVisitOf(job, leg));

describe('the next visit', () => {
  it('comes no later for faster soil, more kilometres or less shelter', () => {
    fc.assert(
      fc.property(fc.constantFrom(...bodies), anyLeg, fc.integer({ min: 1, max: 500 }), (body, leg, more) => {
        const job = sampleJob({ vehicle: sampleVehicle(body) });
        const [now, further, inside] = [
          visit(job, leg),
          visit(job, { ...leg, km: leg.km + more }),
          visit(job, { ...leg, shelter: 'garage' }),
        ];
        for (const method of ['waterless', 'rinseless'] as const) {
          const { early, likely, late } = now.car[method];
          expect(early).toBeLessThanOrEqual(likely);
          expect(likely).toBeLessThanOrEqual(late);
          // Within a day: dirt of another kind is of another grain, and a dirtier panel gets a thicker film.
          expect(further.car[method].likely).toBeLessThanOrEqual(likely + 1);
          expect(inside.car[method].likely).toBeGreaterThanOrEqual(likely - 1);
          for (const zone of now.zones) expect(zone[method].likely).toBeGreaterThanOrEqual(likely);
        }
      }),
      { numRuns: runs(12) },
    );
  });

  it('comes no later under a stricter approach', () => {
    const under = (approach: Job['choices']['approach']): NextVisit =>
      visit(sampleJob({ choices: { ...sampleJob().choices, approach } }));
    const [strict, usual, loose] = [under('cautious'), under('balanced'), under('permissive')];
    expect(strict.car.waterless.likely).toBeLessThanOrEqual(usual.car.waterless.likely);
    expect(usual.car.waterless.likely).toBeLessThanOrEqual(loose.car.waterless.likely);
  });

  it('is the last day on which a forecast car may still be done like that', () => {
    // Whole or not at all: what may not be touched is not left out.
    const job = sampleJob({ choices: { ...sampleJob().choices, parts: 'all' } });
    const far: Leg = { ...week, km: 600 };
    const { car } = visit(job, far);
    const day = car.waterless.likely;
    expect(day).toBeGreaterThan(0);
    expect(day).toBeLessThan(120);
    const on = (days: number) => {
      const since = [{ ...far, days, km: (far.km * days) / far.days }];
      const outcome = planJob({
        ...job,
        soil: {},
        since,
        site: { ...job.site, minutes: 1000, waterL: 1000 },
      }).alternatives.find(({ method }) => method === 'waterless')!.outcome;
      return outcome.kind === 'blocked' ? outcome.blocked.length : 0;
    };
    expect(on(day)).toBe(0);
    expect(on(day + 1)).toBeGreaterThan(0);
  });

  it('is sure where the forecast is, goes by the last stretch that is known, and leaves out what was left', () => {
    const { early, late } = visit(setAssumption(sampleJob(), 'spreadForecast', 1)).car.waterless;
    expect(early).toBe(late);
    expect(usualLeg({ since: [] })).toEqual(week);
    expect(usualLeg({ since: [week, { ...week, km: 900 }, { ...week, days: 0 }] }).km).toBe(900);
    const fixed = { roof: 'leave' } as const;
    const left = visit(sampleJob({ soil: soilAll('dust', 1), choices: { ...sampleJob().choices, fixed } }));
    expect(left.zones.some(({ zoneId }) => zoneId === 'roof')).toBe(false);
  });

  it('suggests a day on the safe side, or none where the car is too dirty within days', () => {
    const garage = visit(sampleJob(), { ...week, km: 20, shelter: 'garage' });
    expect(garage.suggested).toEqual({ method: 'waterless', days: garage.car.waterless.early });
    expect(visit(sampleJob(), { ...week, km: 4000, road: 'unpaved' }).suggested).toBeNull();
    expect(dayAfter('2031-12-30', 3)).toBe('2032-01-02');
  });
});
