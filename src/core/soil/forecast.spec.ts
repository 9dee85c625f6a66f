import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { type Body, type Leg, type Zone, roads, shelters, surroundings } from '../model';
import { sampleVehicle } from '../testing/sample';
import { zonesOf } from '../vehicle';
import { byEye, forecastOn, levelOfLoad, loadOfLevel, seenLoad, soilOn, totalLoad } from '.';

const zones = zonesOf(sampleVehicle('estate'));
const zone = (id: string): Zone => zones.find((one) => one.id === id)!;
const leg = (rest: Partial<Leg> = {}): Leg => ({
  days: 7,
  surroundings: 'town',
  shelter: 'street',
  km: 100,
  road: 'dry',
  ...rest,
});
const total = (on: Zone, since: readonly Leg[], body: Body = 'estate'): number =>
  totalLoad(forecastOn(on, body, since, a));

const anyLeg = fc.record({
  days: fc.double({ min: 0.5, max: 60, noNaN: true }),
  surroundings: fc.constantFrom(...surroundings),
  shelter: fc.constantFrom(...shelters),
  km: fc.double({ min: 0, max: 3000, noNaN: true }),
  road: fc.constantFrom(...roads),
});
const anyZone = fc.constantFrom(...zones);

describe('the forecast of soil', () => {
  it('is what lies on a clean panel when nothing has happened', () => {
    for (const one of zones) expect(total(one, [])).toBeCloseTo(a.soilLevel0, 9);
  });

  it('never falls with distance on a salted road', () => {
    fc.assert(
      fc.property(anyZone, anyLeg, fc.double({ min: 0, max: 2000, noNaN: true }), (on, one, more) => {
        const salted = { ...one, road: 'salted' as const };
        expect(total(on, [{ ...salted, km: one.km + more }])).toBeGreaterThanOrEqual(total(on, [salted]) - 1e-9);
      }),
    );
  });

  it('is the same for a stretch of days and for its two halves', () => {
    fc.assert(
      fc.property(anyZone, anyLeg, (on, one) => {
        const half = { ...one, days: one.days / 2, km: one.km / 2 };
        // Under a day, distance is not spread over less than a day.
        fc.pre(half.days >= 1);
        expect(total(on, [half, half])).toBeCloseTo(total(on, [one]), 6);
      }),
    );
  });

  it('levels off where as much is shed as falls', () => {
    const roof = zone('roof');
    const long = total(roof, [leg({ days: 4000, km: 0 })]);
    expect(long).toBeCloseTo(
      a.airTown * a.shedDays * (a.uprightShare + (1 - a.uprightShare) * Math.cos((roof.tiltDeg * Math.PI) / 180)),
      2,
    );
  });

  it('knows sheltered places, sills, wheels and the wake of a steep tail', () => {
    const roof = zone('roof');
    expect(total(roof, [leg({ shelter: 'garage' })])).toBeLessThan(total(roof, [leg({ shelter: 'deck' })]));
    const salted = [leg({ road: 'salted' })];
    expect(total(zone('left-sill'), salted)).toBeGreaterThan(total(zone('left-front-door-upper'), salted));
    expect(total(zone('rear-face'), salted, 'estate')).toBeGreaterThan(total(zone('rear-face'), salted, 'sedan'));
    expect(forecastOn(zone('left-front-wheel'), 'estate', [leg()], a).map(({ kind }) => kind)).toContain('brake-dust');
  });

  it('gives way to what is seen, zone by zone, and says which is which', () => {
    const job = { vehicle: sampleVehicle('estate'), since: [leg()], soil: { roof: { deposits: [], spots: {} } } };
    expect(soilOn(zone('roof'), job, a)).toMatchObject({ basis: 'seen', spread: a.spreadSeen, totalGm2: a.soilLevel0 });
    expect(soilOn(zone('bonnet'), job, a)).toMatchObject({ basis: 'forecast', spread: a.spreadForecast });
    expect(soilOn(zone('bonnet'), { ...job, since: [] }, a).basis).toBe('unknown');
    expect(soilOn(zone('left-sill'), { ...job, since: [leg({ road: 'unpaved', km: 4000 })] }, a).lumps).toBe(true);
  });

  it('takes what was measured over what was seen: its load, shared out as the eye had it, and its spread', () => {
    const measured = { loadGm2: 3.3, spread: 1.12 };
    const deposits = [
      { kind: 'dust', level: 1 },
      { kind: 'road-film', level: 2 },
    ] as const;
    const job = {
      vehicle: sampleVehicle('estate'),
      since: [leg()],
      soil: { roof: { deposits, spots: { tar: 2 }, measured } },
    };
    const found = soilOn(zone('roof'), job, a);
    expect(found).toMatchObject({ basis: 'measured', spread: 1.12, spots: { tar: 2 } });
    expect(found.totalGm2).toBeCloseTo(3.3);
    expect(found.loads[1]!.loadGm2 / found.loads[0]!.loadGm2).toBeCloseTo(a.soilLevel2 / a.soilLevel1);
    expect(soilOn(zone('roof'), { ...job, soil: { roof: byEye(job.soil.roof) } }, a).basis).toBe('seen');
  });

  it('reads levels by the eye that gave them', () => {
    const mine = { ...a, eyeFactor: 1.5, eyePower: 0.9 };
    expect(seenLoad(1, mine)).toBeCloseTo(1.5 * a.soilLevel1 ** 0.9);
    expect(seenLoad(3, a)).toBe(a.soilLevel3);
  });

  it('finds the step of the scale for the eye that a load is nearest to', () => {
    for (const level of [0, 1, 2, 3, 4, 5] as const) expect(levelOfLoad(loadOfLevel(level, a) * 1.1, a)).toBe(level);
  });
});
