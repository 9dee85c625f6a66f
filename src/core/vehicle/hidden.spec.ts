import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Job, type ScopePart, bodies, isHidden, scopeParts, usualScope } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleGear, sampleJob, sampleVehicle, soilAll } from '../testing/sample';
import { hiddenZonesOf } from './hidden';
import { zonesIn } from './scope';

const all = (rest: Partial<Job> = {}): Job =>
  sampleJob({ soil: soilAll('dust', 1), scope: scopeParts, gear: [sampleGear('cordless-wand')], ...rest });
const more = (part: ScopePart): Job => all({ scope: [...usualScope, part] });
const planned = (job: Job) => planJob(job).zones.filter(({ zone, option }) => isHidden(zone.id) && option);

describe('pieces that no view shows', () => {
  it('have an area and a place on every body, as large as the car makes them', () => {
    fc.assert(
      fc.property(fc.constantFrom(...bodies), (body) => {
        for (const zone of hiddenZonesOf(sampleVehicle(body))) {
          expect(zone.areaM2).toBeGreaterThan(0);
          expect(isHidden(zone.id)).toBe(true);
          for (const point of zone.polygons.flat())
            for (const metres of point) expect(Number.isFinite(metres)).toBe(true);
        }
      }),
    );
    const barrel = (wheelDiameterM: number) => {
      const car = sampleVehicle();
      return hiddenZonesOf({
        ...car,
        dimensions: { ...car.dimensions, wheelDiameterM: wheelDiameterM as typeof car.dimensions.wheelDiameterM },
      }).find(({ id }) => id === 'left-front-barrel')!.areaM2;
    };
    expect(barrel(0.7)).toBeGreaterThan(barrel(0.6));
  });

  it('are only there when they are asked for, and then take their minutes', () => {
    expect(planJob(all({ scope: usualScope })).zones.some(({ zone }) => isHidden(zone.id))).toBe(false);
    const usual = planJob(all({ scope: usualScope })).totals.minutes.value;
    for (const part of ['barrels', 'details', 'glass-inside', 'engine', 'mats'] as const) {
      const plan = planJob(more(part));
      expect(planned(more(part)).length).toBeGreaterThan(0);
      expect(plan.totals.minutes.value).toBeGreaterThan(usual);
    }
  });

  it('stay dry inside: no rinse on inner glass, mats and engine bay, and no wet towel on that', () => {
    const plan = planJob(all());
    for (const id of ['glass-inside', 'engine-bay', 'mats'] as const)
      expect(plan.zones.find(({ zone }) => zone.id === id)!.treatment).toMatch(/^(none|mist)\//);
    expect(plan.zones.find(({ zone }) => zone.id === 'engine-bay')!.treatment).toMatch(/\/(waterless|foam)$/);
    expect(plan.cautions).toContain('engine');
    expect(planJob(all({ scope: usualScope })).cautions).not.toContain('engine');
  });

  it('never decide how the body is washed, and come after it', () => {
    const filthy = all({
      soil: { ...soilAll('dust', 1), 'glass-inside': { deposits: [{ kind: 'road-film', level: 4 }], spots: {} } },
    });
    expect(planJob(filthy).method).toBe(planJob({ ...filthy, scope: usualScope }).method);
    const laps = planned(all()).map(({ lap }) => lap);
    expect(laps.every((lap) => lap === 'shuts' || lap === 'wheels-last' || lap === 'wheels-first')).toBe(true);
  });

  it('are of one part of the scope each', () => {
    const job = all();
    expect(zonesIn(job).filter(({ id }) => isHidden(id))).toEqual(hiddenZonesOf(job.vehicle));
  });
});
