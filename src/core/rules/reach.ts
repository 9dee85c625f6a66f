import type { Assumptions } from '../assumptions';
import type { Zone } from '../model';

/** Where somebody stands at the car, in the order of the way round it. */
export const standingPlaces = ['left', 'rear', 'right', 'front'] as const;
export type StandingPlace = (typeof standingPlaces)[number];

/** Into how many equal parts a zone is cut because nobody reaches all of it from one place. */
export interface Cuts {
  /** 2: a half from either side of the car. */
  readonly across: 1 | 2;
  readonly along: number;
}

/** From the smallest to the largest of one coordinate of its outline, m. */
export function extentOf({ polygons }: Pick<Zone, 'polygons'>, axis: 0 | 1): readonly [number, number] {
  let [least, most] = [Infinity, -Infinity];
  for (const polygon of polygons)
    for (const point of polygon) [least, most] = [Math.min(least, point[axis]), Math.max(most, point[axis])];
  return [least, most];
}

/** Half of what is reached in a pass, so that long zones can be shared out among passes. */
const alongMost = ({ reachAlong, stepAside }: Assumptions): number => (reachAlong + stepAside) / 2;

/** Reached from behind the car: no deeper than an arm from its end. */
const fromBehind = (zone: Zone, lengthM: number, { reachDeep }: Assumptions): boolean =>
  lengthM - extentOf(zone, 0)[0] <= reachDeep;

/**
 * A level zone that is deeper than an arm is done in halves from either side, unless an arm reaches all
 * of it from behind; long ones are cut along, so that two passes meet within them.
 */
export function cutsOf(zone: Zone, lengthM: number, a: Assumptions): Cuts {
  if (zone.view === 'front' || zone.view === 'rear') return { across: 1, along: 1 };
  const [from, to] = extentOf(zone, 0);
  const [left, right] = extentOf(zone, 1);
  const across = zone.view === 'top' && right - left > a.reachDeep && !fromBehind(zone, lengthM, a) ? 2 : 1;
  return { across, along: Math.max(1, Math.ceil((to - from) / alongMost(a) - 1e-9)) };
}
