import { getPosition } from 'suncalc';
import type { Site } from '../model';
import { instantAt } from '../units';

/** Where the sun stands, degrees: above the horizon, and clockwise from north. */
export interface SunPosition {
  readonly altitudeDeg: number;
  readonly azimuthDeg: number;
}

type Place = Pick<Site, 'latitudeDeg' | 'longitudeDeg' | 'utcOffsetH'>;

/**
 * The sun over a place at a local time.
 * @param date ISO day
 * @param hour local, 0 to 24, fractions allowed
 * @example sunAt({ latitudeDeg: degrees(0), longitudeDeg: degrees(0), utcOffsetH: 0 }, '2031-03-20', 12).altitudeDeg // about 88
 */
export function sunAt({ latitudeDeg, longitudeDeg, utcOffsetH }: Place, date: string, hour: number): SunPosition {
  const instant = new Date(instantAt(date, hour, utcOffsetH));
  const { altitude, azimuth } = getPosition(instant, latitudeDeg, longitudeDeg);
  return { altitudeDeg: altitude, azimuthDeg: azimuth };
}
