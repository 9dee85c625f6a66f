import type { Assumptions } from '../assumptions';
import { type Degrees, type Micrometres, type Millilitres, type SquareMetres, ml, um } from '../units';

/**
 * The thickest film a panel holds before it runs, between a level and a vertical panel by the
 * cosine of the tilt.
 * @example holdUp(degrees(90), defaultAssumptions) // 70 µm
 */
export const holdUp = (tilt: Degrees, a: Assumptions): Micrometres =>
  um(
    a.holdUpVertical +
      (a.holdUpHorizontal - a.holdUpVertical) * Math.max(0, Math.cos((tilt * Math.PI) / 180)),
  );

/**
 * What runs off: all above the hold-up, less the drips that a towel catches at the lower edge.
 */
export const runoffOf = (
  applied: number,
  held: number,
  area: SquareMetres,
  a: Assumptions,
): Millilitres => {
  const excess = applied - held;
  return ml(excess <= a.dripAllowance ? 0 : excess * area);
};
