import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { degrees } from '../units';
import { type Attitude, alongDevice, slopeUnder, throughCamera } from './attitude';
import { sunAt } from './position';
import { shadedHours, skylineAt } from './skyline';

const held = (alphaDeg: number, betaDeg: number, gammaDeg: number): Attitude => ({ alphaDeg, betaDeg, gammaDeg });

describe('a phone that lies on the car', () => {
  it('points where its top edge points', () => {
    expect(alongDevice(held(0, 0, 0))).toMatchObject({ azimuthDeg: 0, altitudeDeg: 0 });
    expect(alongDevice(held(90, 0, 0)).azimuthDeg).toBeCloseTo(270);
    expect(alongDevice(held(0, 30, 0)).altitudeDeg).toBeCloseTo(30);
  });

  it('tells the fall of the ground, whichever way it is turned', () => {
    const angle = fc.double({ min: -40, max: 40, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: 0, max: 359, noNaN: true }), angle, angle, (alpha, beta, gamma) => {
        const [one, turned] = [slopeUnder(held(alpha, beta, gamma)), slopeUnder(held(0, beta, gamma))];
        return Math.abs(one - turned) < 1e-9 && one >= Math.tan((Math.abs(beta) * Math.PI) / 180) - 1e-9;
      }),
    );
    expect(slopeUnder(held(12, 0, 5.7))).toBeCloseTo(0.0998, 3);
    expect(slopeUnder(held(0, 0, 0))).toBe(0);
  });
});

describe('a phone that looks along the skyline', () => {
  it('looks through the camera at its back', () => {
    // Upright, screen towards the holder, who faces north.
    expect(throughCamera(held(0, 90, 0))).toMatchObject({ azimuthDeg: 0 });
    expect(throughCamera(held(0, 90, 0)).altitudeDeg).toBeCloseTo(0);
    expect(throughCamera(held(0, 110, 0)).altitudeDeg).toBeCloseTo(20);
    expect(throughCamera(held(90, 90, 0)).azimuthDeg).toBeCloseTo(270);
  });

  it('joins sightings by straight lines, and takes gaps for open sky', () => {
    const wall = [
      { azimuthDeg: 350, altitudeDeg: 20 },
      { azimuthDeg: 10, altitudeDeg: 40 },
      { azimuthDeg: 100, altitudeDeg: 30 },
    ];
    expect(skylineAt(wall, 0)).toBeCloseTo(30);
    expect(skylineAt(wall, 10)).toBe(40);
    expect(skylineAt(wall, 60)).toBe(0);
    expect(skylineAt([], 60)).toBe(0);
  });

  it('shades the hours in which the sun is behind it', () => {
    const place = { latitudeDeg: degrees(45), longitudeDeg: degrees(0), utcOffsetH: 0 };
    const east = Array.from({ length: 13 }, (_unused, i) => ({ azimuthDeg: 40 + 10 * i, altitudeDeg: 45 }));
    const hours = shadedHours(east, place, '2031-07-14');
    expect(hours.length).toBeGreaterThan(2);
    expect(Math.max(...hours)).toBeLessThan(12);
    for (const hour of hours) expect(sunAt(place, '2031-07-14', hour + 0.5).altitudeDeg).toBeLessThan(45);
    expect(shadedHours([], place, '2031-07-14')).toEqual([]);
  });

  it('never shades less under a higher skyline', () => {
    const place = { latitudeDeg: degrees(45), longitudeDeg: degrees(0), utcOffsetH: 0 };
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (height, more) => {
          const ring = (altitudeDeg: number) =>
            Array.from({ length: 36 }, (_unused, i) => ({ azimuthDeg: 10 * i, altitudeDeg }));
          const [low, high] = [
            shadedHours(ring(height), place, '2031-04-02'),
            shadedHours(ring(height + more), place, '2031-04-02'),
          ];
          return low.every((hour) => high.includes(hour));
        },
      ),
      { numRuns: 20 },
    );
  });
});
