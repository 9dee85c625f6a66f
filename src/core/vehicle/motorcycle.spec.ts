import { describe, expect, it } from 'vitest';
import type { Dimensions } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleGear, sampleJob, sampleVehicle, soilAll } from '../testing/sample';
import { hiddenZonesOf } from './hidden';
import { defaultDimensions } from './template';
import { zonesOf } from './zones';

const bike = sampleVehicle('motorcycle');

describe('a motorcycle', () => {
  const zones = zonesOf(bike);

  it('has parts of its own in every view: paint, chrome, plastic, glass, wheels, and no door', () => {
    for (const view of ['left', 'right', 'top', 'front', 'rear'] as const)
      expect(zones.some((zone) => zone.view === view)).toBe(true);
    expect(new Set(zones.map(({ surface }) => surface))).toEqual(
      new Set(['paint', 'glass', 'bright-metal', 'bare-plastic', 'wheel-finish', 'rubber']),
    );
    expect(zones.some(({ id }) => /door|shut|roof|bonnet/.test(id))).toBe(false);
    expect(hiddenZonesOf(bike)).toEqual([]);
    const paint = zones.filter(({ surface }) => surface === 'paint').reduce((sum, { areaM2 }) => sum + areaM2, 0);
    expect(paint).toBeGreaterThan(0.5);
    expect(paint).toBeLessThan(2.5);
  });

  it('grows with the square of its scale', () => {
    const twice = Object.fromEntries(
      Object.entries(bike.dimensions).map(([key, value]) => [key, value * 2]),
    ) as unknown as Dimensions;
    const area = (of: typeof zones): number => of.reduce((sum, { areaM2 }) => sum + areaM2, 0);
    expect(area(zonesOf({ ...bike, dimensions: twice }))).toBeCloseTo(4 * area(zones), 6);
    expect(defaultDimensions('motorcycle').lengthM).toBeLessThan(2.5);
  });

  it('is planned in a quarter of an hour or so, engine and exhaust last, no jet on electrics, and let cool', () => {
    const plan = planJob(
      sampleJob({ vehicle: bike, soil: soilAll('road-film', 1), gear: [sampleGear('cordless-wand')] }),
    );
    expect(plan.method).not.toBe('decline');
    expect(plan.totals.minutes.value).toBeLessThan(40);
    for (const { zone, treatment } of plan.zones)
      if (/instruments|engine|chain/.test(zone.id)) expect(treatment).not.toMatch(/^(cordless|mains|bay)\//);
    expect(plan.cautions).toContain('hot-exhaust');
    const laps = plan.timeline.passes.filter(({ act }) => act === 'wipe').map(({ lap }) => lap);
    expect(laps.at(-1)).toBe('wheels-last');
    expect(planJob(sampleJob()).cautions).not.toContain('hot-exhaust');
  });
});
