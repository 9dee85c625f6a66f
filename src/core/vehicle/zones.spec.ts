import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bodies, type Body, type Point, type Vehicle, type Zone } from '../model';
import { metres } from '../units';
import { sampleVehicle } from '../testing/sample';
import { mirrored } from './mirror';
import { zonesOf } from './zones';
import { runs } from '@esmero/testing';

const area = (zones: readonly Zone[], keep: (zone: Zone) => boolean): number =>
  zones.filter(keep).reduce((sum, zone) => sum + zone.areaM2, 0);

const isPaint = ({ surface, cleanliness }: Zone): boolean => surface === 'paint' && cleanliness < 3;
const isGlass = ({ surface }: Zone): boolean => surface === 'glass';

const scaled = (vehicle: Vehicle, factor: number): Vehicle => ({
  ...vehicle,
  dimensions: Object.fromEntries(
    Object.entries(vehicle.dimensions).map(([key, value]) => [key, metres(value * factor)]),
  ) as unknown as Vehicle['dimensions'],
});

describe('zones of a vehicle', () => {
  it.each(bodies)('%s: every zone has an area, a tilt and a height above the ground', (body) => {
    for (const zone of zonesOf(sampleVehicle(body))) {
      expect(zone.areaM2, zone.id).toBeGreaterThan(0.005);
      expect(zone.tiltDeg, zone.id).toBeGreaterThanOrEqual(0);
      expect(zone.tiltDeg, zone.id).toBeLessThanOrEqual(90);
      expect(zone.heightM, zone.id).toBeGreaterThan(0);
      expect(zone.heightM, zone.id).toBeLessThanOrEqual(2.1);
    }
  });

  it('gives a sedan about fifty zones, each once', () => {
    const ids = zonesOf(sampleVehicle()).map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.length).toBe(53);
  });

  it('keeps a mid-size sedan inside the sanity ranges of paint and glass', () => {
    const zones = zonesOf(sampleVehicle());
    expect(area(zones, isPaint)).toBeGreaterThan(8);
    expect(area(zones, isPaint)).toBeLessThan(12);
    expect(area(zones, isGlass)).toBeGreaterThan(2.5);
    expect(area(zones, isGlass)).toBeLessThan(4);
  });

  it('gives a full-size van more than 20 m² in all', () => {
    expect(area(zonesOf(sampleVehicle('van')), () => true)).toBeGreaterThan(20);
  });

  it.each(bodies)('%s: left and right mirror each other exactly', (body) => {
    const zones = zonesOf(sampleVehicle(body));
    for (const zone of zones) {
      const twin = zones.find(({ id }) => id === mirrored(zone.id))!;
      expect(twin.areaM2).toBe(zone.areaM2);
      expect(mirrored(twin.id)).toBe(zone.id);
    }
  });

  it.each(bodies)('%s: no outline crosses itself', (body) => {
    const turn = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
      Math.sign(Math.round(((bx - ax) * (cy - ay) - (by - ay) * (cx - ax)) * 1e9));
    const crosses = (a: Point, b: Point, c: Point, d: Point): boolean =>
      turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;
    for (const { id, polygons } of zonesOf(sampleVehicle(body)))
      for (const polygon of polygons)
        polygon.forEach((a, i) =>
          polygon.forEach((c, j) => {
            const [b, d] = [polygon[(i + 1) % polygon.length]!, polygon[(j + 1) % polygon.length]!];
            expect(crosses(a, b, c, d), id).toBe(false);
          }),
        );
  });

  it('scales areas with the square of a uniform factor', () => {
    fc.assert(
      fc.property(fc.constantFrom<Body>(...bodies), fc.double({ min: 0.6, max: 1.6, noNaN: true }), (body, factor) => {
        const before = zonesOf(sampleVehicle(body));
        const after = zonesOf(scaled(sampleVehicle(body), factor));
        before.forEach((zone, i) => expect(after[i]!.areaM2 / zone.areaM2).toBeCloseTo(factor * factor, 8));
      }),
      { numRuns: runs(40) },
    );
  });

  it('puts steep tailgates into the rear view and flat lids on top', () => {
    const view = (body: Body) => zonesOf(sampleVehicle(body)).find(({ id }) => id === 'rear-window')!.view;
    expect(view('van')).toBe('rear');
    expect(view('sedan')).toBe('top');
  });

  it('makes sills bare plastic on a clad car', () => {
    const clad = zonesOf({ ...sampleVehicle(), cladding: true });
    expect(clad.find(({ id }) => id === 'left-sill')!.surface).toBe('bare-plastic');
    expect(zonesOf(sampleVehicle()).find(({ id }) => id === 'left-sill')!.surface).toBe('paint');
  });
});
