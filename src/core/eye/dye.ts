import type { Dye } from '../model';
import type { Rgb } from './raster';

/** What a used side holds of soil and of dye, as absorption of red, green and blue. */
export interface Unmixed {
  readonly soil: Rgb;
  /** How much of the dye, as absorption. */
  readonly dye: number;
}

export const meanOf = ([r, g, b]: Rgb): number => (r + g + b) / 3;

/** Soil absorbs all colours; a dye leaves out at least this share of them in one. */
const LEAST_SOIL = 0.35;

/**
 * Takes the dye of a product out of what a towel absorbs: as much of it as leaves a soil that still
 * takes something of every colour; nothing where none is known. Of the amounts that would do, that which leaves the greyest soil.
 */
export function withoutDye(seen: Rgb, known: Dye | null): Unmixed {
  if (!known) return { soil: seen, dye: 0 };
  const { red, green, blue } = known;
  const dye: Rgb = [red, green, blue];
  const most = Math.min(...seen.map((one, c) => (dye[c]! > 1e-6 ? one / dye[c]! : Infinity)));
  if (!Number.isFinite(most) || most <= 0) return { soil: seen, dye: 0 };
  const left = (amount: number): Rgb => seen.map((one, c) => Math.max(0, one - amount * dye[c]!)) as unknown as Rgb;
  let [best, bestScore] = [0, Infinity];
  for (let i = 0; i <= 200; i++) {
    const amount = (most * i) / 200;
    const soil = left(amount);
    const mean = meanOf(soil);
    if (mean <= 1e-6) continue;
    const uneven = soil.reduce((sum, one) => sum + (one / mean - 1) ** 2, 0);
    const score = uneven + (Math.min(...soil) < LEAST_SOIL * mean ? 1 : 0);
    if (score < bestScore - 1e-9) [best, bestScore] = [amount, score];
  }
  return { soil: left(best), dye: best };
}

/** Absorption of a towel that holds nothing but product, as the dye of that product. */
export function dyeFrom([red, green, blue]: Rgb): Dye {
  const mean = Math.max(1e-9, meanOf([red, green, blue]));
  return { red: red / mean, green: green / mean, blue: blue / mean };
}
