import type { Dye } from '../model';
import { meanOf, withoutDye } from './dye';
import { absorption } from './kubelka-munk';
import { type OpticalLaw, byLaw } from './optical-law';
import type { Rgb } from './raster';
import { type Shades, darkerThan, mixedShades, shadeAt, shadesOf } from './shades';
import type { TowelRead } from './towel-read';

/** What soil made of a towel side, the dye of the product taken out. */
export interface Mark {
  /** Red, green and blue. */
  readonly colours: readonly [Shades, Shades, Shades];
  /** Of all colours. */
  readonly shades: Shades;
  /** Part of the whole that is the dye’s, of one. */
  readonly dyeShare: number;
  /** Share of the side that is too dark to tell one amount from another. */
  readonly dark: number;
}

/** Darker than this the towel tells no more: black is black. */
const DARKEST = 0.045;

const bare = (shades: Shades): number => shades.reduce((sum, share, i) => sum + share * absorption(shadeAt(i)), 0);

/** What the side absorbs of red, green and blue, by Kubelka and Munk. */
export const absorbedBy = (colours: Mark['colours']): Rgb => [
  Math.max(0, bare(colours[0])),
  Math.max(0, bare(colours[1])),
  Math.max(0, bare(colours[2])),
];

/** Reads the mark of a side. */
export function markOn(towel: TowelRead, dye: Dye | null): Mark {
  const seen = shadesOf(towel);
  const absorbed = absorbedBy(seen);
  const { soil } = withoutDye(absorbed, dye);
  const left = (c: 0 | 1 | 2): Shades => mixedShades([seen[c]], [absorbed[c] > 0 ? soil[c] / absorbed[c] : 1]);
  const colours = [left(0), left(1), left(2)] as const;
  return {
    colours,
    shades: mixedShades(colours, [1 / 3, 1 / 3, 1 / 3]),
    dyeShare: meanOf(absorbed) > 0 ? 1 - meanOf(soil) / meanOf(absorbed) : 0,
    dark: darkerThan(seen[1], DARKEST),
  };
}

/** Colour of a mark, as a law of optics has it. */
export const tintBy = (law: OpticalLaw, [r, g, b]: Mark['colours']): Rgb => [
  byLaw(law, r).absorbed,
  byLaw(law, g).absorbed,
  byLaw(law, b).absorbed,
];
