import type { Site } from '../model';
import type { Bearing } from './attitude';
import { sunAt } from './position';

type Place = Pick<Site, 'latitudeDeg' | 'longitudeDeg' | 'utcOffsetH'>;

/** Between two sightings further apart than this nobody looked: open sky. */
const GAP_DEG = 30;
/** Parts of an hour that are looked at. */
const PARTS = [1 / 6, 3 / 6, 5 / 6] as const;

/** How high the skyline stands in a direction, by the sightings left and right of it; 0 where nobody looked. */
export function skylineAt(sightings: readonly Bearing[], azimuthDeg: number): number {
  const off = (one: Bearing): number => ((one.azimuthDeg - azimuthDeg + 540) % 360) - 180;
  let [left, right]: [Bearing | null, Bearing | null] = [null, null];
  for (const one of sightings) {
    if (off(one) <= 0 && (!left || off(one) > off(left))) left = one;
    if (off(one) >= 0 && (!right || off(one) < off(right))) right = one;
  }
  if (!left || !right) return 0;
  const gap = off(right) - off(left);
  if (gap > GAP_DEG) return 0;
  const share = gap === 0 ? 0 : -off(left) / gap;
  return Math.max(0, left.altitudeDeg + share * (right.altitudeDeg - left.altitudeDeg));
}

/**
 * Hours of a day in which the sun is up but behind the skyline for most of the hour.
 * @param sightings along the top of what stands around, in any order
 */
export function shadedHours(sightings: readonly Bearing[], place: Place, date: string): readonly number[] {
  const isShaded = (hour: number): boolean => {
    const { altitudeDeg, azimuthDeg } = sunAt(place, date, hour);
    return altitudeDeg > 0 && altitudeDeg < skylineAt(sightings, azimuthDeg);
  };
  return Array.from({ length: 24 }, (_unused, hour) => hour).filter(
    (hour) => PARTS.filter((part) => isShaded(hour + part)).length >= 2,
  );
}
