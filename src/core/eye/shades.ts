import { channels } from './raster';
import { SHADES } from '../model';
import { inSquares } from './squares';
import type { TowelRead } from './towel-read';

/**
 * Shades of a towel side: how much of it, of one, has each of the reflectances of `shadeAt`, relative
 * to its clean cloth. What scatters above clean takes off what scatters below, so a share may be less
 * than 0. It is what a picture shows before any law of optics makes soil of it.
 */
export type Shades = readonly number[];

/** Shades in a halving of the light; the last is 1/23. */
const PER_HALVING = 10;

/** Relative reflectance of a shade. @example shadeAt(0) is 1, of clean cloth */
export const shadeAt = (shade: number): number => 2 ** (-shade / PER_HALVING);

/** Means over small squares hold the noise of single pixels down before a law bends it. */
const SQUARE = 3;

/** One reflectance, shared between the two shades that it lies between so that its mean is kept. */
function lay(into: number[], reflectance: number, share: number): void {
  const place = Math.min(SHADES - 1.000001, -PER_HALVING * Math.log2(Math.max(1e-6, reflectance)));
  const lower = Math.floor(place);
  const [above, below] = [shadeAt(lower), shadeAt(lower + 1)];
  const part = Math.min(1, Math.max(0, (above - reflectance) / (above - below)));
  into[lower]! += share * (1 - part);
  into[lower + 1]! += share * part;
}

const none = (): number[] => new Array<number>(SHADES).fill(0);

/** The shades of the side in a picture, red, green and blue, over the whole of it: its very edge was left out, and is clean. */
export function shadesOf({ light, outline, on }: TowelRead): readonly [Shades, Shades, Shades] {
  const squares = inSquares(light, on.pixels, on.reflectance, SQUARE);
  const shades: [number[], number[], number[]] = [none(), none(), none()];
  squares.counts.forEach((n, square) => {
    if (n === 0) return;
    for (const c of channels) {
      const mean = squares.sums[c]![square]! / n;
      if (mean > 1) lay(shades[c], 2 - mean, -n / outline.area);
      else lay(shades[c], mean, n / outline.area);
    }
  });
  return shades;
}

/** A mark of one reflectance on a share of the side, the rest clean. */
export function evenMark(reflectance: number, share: number): Shades {
  const shades = none();
  lay(shades, reflectance, share);
  return shades;
}

/** Several as one, each counted so much. */
export const mixedShades = (shades: readonly Shades[], shares: readonly number[]): Shades =>
  none().map((_none, i) => shades.reduce((sum, one, c) => sum + one[i]! * shares[c]!, 0));

/** Share of the side that is so dark or darker. */
export const darkerThan = (shades: Shades, reflectance: number): number =>
  shades.reduce((sum, share, i) => sum + (shadeAt(i) < reflectance ? share : 0), 0);
