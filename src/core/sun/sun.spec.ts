import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { degrees } from '../units';
import { clearSkyWm2, sunAt, sunOnPanel } from '.';

const place = (latitude: number, longitude = 0, utcOffsetH = 0) => ({
  latitudeDeg: degrees(latitude),
  longitudeDeg: degrees(longitude),
  utcOffsetH,
});
const deg = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('where the sun stands', () => {
  it('is overhead at the equator at noon of the equinox, and as low as it should be elsewhere', () => {
    expect(sunAt(place(0), '2031-03-20', 12).altitudeDeg).toBeGreaterThan(87);
    // 90 − 43.4 + 23.4 at the summer solstice.
    expect(sunAt(place(43.4), '2031-06-21', 12).altitudeDeg).toBeCloseTo(70, 0);
    expect(sunAt(place(43.4), '2031-12-21', 12).altitudeDeg).toBeCloseTo(23.2, 0);
  });

  it('rises in the east, is south at noon in the north, and goes with the clock of the place', () => {
    expect(sunAt(place(43.4), '2031-06-21', 6).azimuthDeg).toBeLessThan(90);
    expect(Math.abs(sunAt(place(43.4), '2031-06-21', 12).azimuthDeg - 180)).toBeLessThan(5);
    expect(sunAt(place(43.4, 15, 1), '2031-06-21', 12).altitudeDeg).toBeCloseTo(
      sunAt(place(43.4), '2031-06-21', 12).altitudeDeg,
      1,
    );
  });
});

describe('sun under a clear sky', () => {
  it('grows with the altitude, from nothing at night to about a kilowatt', () => {
    expect(clearSkyWm2(-5, a)).toBe(0);
    fc.assert(
      fc.property(deg(1, 89), deg(0, 1), (altitude, more) => {
        expect(clearSkyWm2(altitude + more, a)).toBeGreaterThanOrEqual(clearSkyWm2(altitude, a) - 1e-6);
      }),
    );
    expect(clearSkyWm2(90, a)).toBeGreaterThan(950);
    expect(clearSkyWm2(90, a)).toBeLessThan(1150);
  });
});

describe('sun on a panel', () => {
  const sun = { altitudeDeg: 40, azimuthDeg: 120 };

  it('is on a level panel what it is said to be, wherever the sun stands', () => {
    fc.assert(
      fc.property(deg(4, 89), deg(0, 360), deg(0, 1), deg(0, 360), (altitudeDeg, azimuthDeg, share, facing) => {
        const level = clearSkyWm2(altitudeDeg, a) * share;
        const on = sunOnPanel({ tiltDeg: 0, azimuthDeg: facing }, level, { altitudeDeg, azimuthDeg }, false, a);
        expect(on).toBeCloseTo(level, 6);
      }),
    );
  });

  it('is most on the side that looks at it, and the same on both flanks when it stands ahead', () => {
    const flank = (azimuthDeg: number, at = sun) => sunOnPanel({ tiltDeg: 90, azimuthDeg }, 600, at, false, a);
    expect(flank(120)).toBeGreaterThan(flank(200));
    expect(flank(200)).toBeGreaterThan(flank(300));
    expect(flank(30, { altitudeDeg: 40, azimuthDeg: 120 })).toBeCloseTo(flank(210), 6);
  });

  it('is never more straight from a low sun than a clear sky lets through, whatever was typed', () => {
    const sun = { altitudeDeg: 8, azimuthDeg: 270 };
    const facingIt = { tiltDeg: 90, azimuthDeg: 270 };
    const at = (level: number): number => sunOnPanel(facingIt, level, sun, false, a);
    // Twice as much on a level panel is at most what the sky and the ground add to that.
    expect(at(900) - at(450)).toBeLessThan(450);
    expect(at(900)).toBeLessThan(1200);
  });

  it('is none at night, and little at dusk, whatever was typed', () => {
    fc.assert(
      fc.property(deg(-90, 90), deg(0, 1400), fc.boolean(), (altitudeDeg, typed, shaded) => {
        const on = sunOnPanel({ tiltDeg: 0, azimuthDeg: 0 }, typed, { altitudeDeg, azimuthDeg: 200 }, shaded, a);
        expect(on).toBeLessThanOrEqual(1.25 * clearSkyWm2(altitudeDeg, a) + 1e-6);
        if (altitudeDeg <= 0) expect(on).toBe(0);
      }),
    );
  });

  it('comes from all sides in the shade, after sunset and under a closed sky', () => {
    const flanks = (level: number, at: typeof sun, shaded: boolean) =>
      [0, 90, 180, 270].map((azimuthDeg) => sunOnPanel({ tiltDeg: 90, azimuthDeg }, level, at, shaded, a));
    for (const list of [flanks(100, sun, true), flanks(10, { altitudeDeg: -2, azimuthDeg: 300 }, false)])
      expect(Math.max(...list) - Math.min(...list)).toBeLessThan(1e-9);
    expect(sunOnPanel({ tiltDeg: 30, azimuthDeg: 0 }, 0, sun, false, a)).toBe(0);
  });
});
