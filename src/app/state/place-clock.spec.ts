import { describe, expect, it } from 'vitest';
import type { Site } from '@esmero/model';
import { degrees } from '@esmero/units';
import { deck } from '../testing/desk';
import { clockAt, offsetOn, withPlaceClock } from './place-clock';

const at = (latitude: number, longitude: number, utcOffsetH = 0): Site => ({
  ...deck.site,
  latitudeDeg: degrees(latitude),
  longitudeDeg: degrees(longitude),
  utcOffsetH,
});

describe('the clock of a place', () => {
  it.each([
    [60.17, 24.94, '2031-01-15', 2],
    [60.17, 24.94, '2031-07-15', 3],
    [27.7, 85.3, '2031-07-15', 5.75],
    [0, -30, '2031-07-15', -2],
  ])('at %d, %d on %s is %d h ahead', async (latitude, longitude, day, ahead) => {
    expect(await clockAt(at(latitude, longitude), day)).toBe(ahead);
  });

  it('follows when the place is moved, but not where the clock was set as well', async () => {
    const before = at(43.4, 5.2, 1);
    expect((await withPlaceClock(at(60.17, 24.94, 1), before, '2031-07-15')).utcOffsetH).toBe(3);
    expect((await withPlaceClock(at(60.17, 24.94, 5), before, '2031-07-15')).utcOffsetH).toBe(5);
    expect(await withPlaceClock(before, before, '2031-07-15')).toBe(before);
  });

  it('follows summer time, but leaves a clock that was set by hand', async () => {
    expect(await offsetOn(at(60.17, 24.94, 2), '2031-01-15', '2031-07-15')).toBe(3);
    const own = at(60.17, 24.94, 7);
    expect(await offsetOn(own, '2031-01-15', '2031-07-15')).toBe(own.utcOffsetH);
  });
});
