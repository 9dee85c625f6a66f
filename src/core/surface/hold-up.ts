import type { Assumptions } from '../assumptions';
import { type Degrees, type Micrometres, type Millilitres, type SquareMetres, ml, um } from '../units';

/**
 * The thickest film a panel holds before it runs, between a level and a vertical panel by the
 * cosine of the tilt.
 * @example holdUp(degrees(90), defaultAssumptions) // 70 µm
 */
export const holdUp = (tilt: Degrees, a: Assumptions): Micrometres =>
  um(a.holdUpVertical + (a.holdUpHorizontal - a.holdUpVertical) * Math.max(0, Math.cos((tilt * Math.PI) / 180)));

/** Of an upright panel’s water what a level one does not lose: nothing runs off by itself. */
const runsShare = (tilt: Degrees): number => 1 - Math.max(0, Math.cos((tilt * Math.PI) / 180));

/**
 * Rinse water that still stands on a panel after some time, µm: less on a coated one, and on an upright one half of it
 * runs off in a minute.
 * @param seconds since the rinse
 */
export function waterHeld(tilt: Degrees, coated: boolean, seconds: number, a: Assumptions): Micrometres {
  const level = Math.max(0, Math.cos((tilt * Math.PI) / 180));
  const held =
    (a.waterHeldVertical + (a.waterHeldLevel - a.waterHeldVertical) * level) * (coated ? a.waterHeldCoated : 1);
  return um(held * (1 - runsShare(tilt) * (1 - 0.5 ** (seconds / a.waterHalfS))));
}

/**
 * What runs off: all above the hold-up, less the drips that a towel catches at the lower edge.
 */
export const runoffOf = (applied: number, held: number, area: SquareMetres, a: Assumptions): Millilitres => {
  const excess = applied - held;
  return ml(excess <= a.dripAllowance ? 0 : excess * area);
};
