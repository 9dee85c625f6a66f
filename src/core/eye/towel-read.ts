import { type Illumination, illuminationOn } from './illumination';
import { absorption, steepness } from './kubelka-munk';
import { type Outline, type Point, findOutline } from './outline';
import { type PictureFault, faultOf } from './picture-faults';
import { type Light, type Raster, type Rgb, channels, glanceAt, inLight } from './raster';
import { inSquares } from './squares';
import type { Study } from '../studies';

/** A towel found in a picture, with the light on it evened out. */
export interface TowelRead {
  readonly kind: 'read';
  readonly light: Light;
  readonly outline: Outline;
  readonly on: Illumination;
}

/** A picture that tells nothing, and why. */
export interface Refused {
  readonly kind: 'refused';
  readonly fault: PictureFault;
  /** Where the towel was found, as shares of the picture's width and height; empty where it was not. */
  readonly outline: readonly Point[];
}

/** Means over small squares hold the noise of single pixels down before the curve bends it. */
const SQUARE = 3;
/** Darker than this the towel tells no more: black is black. */
const DARKEST = 0.045;

/** What the whole side absorbs, channel by channel, with its relative uncertainty. */
export interface Absorbed {
  readonly rgb: Rgb;
  /** Change of the mean for an error of the reflectance of one. */
  readonly slope: number;
  readonly dark: number;
}

/** Means over squares of the towel, so that noise is averaged in light and not on the bent curve. */
export function absorbedBy({ light, outline, on }: TowelRead): Absorbed {
  const squares = inSquares(light, on.pixels, on.reflectance, SQUARE);
  const sums = [0, 0, 0];
  let [slope, dark] = [0, 0];
  // Of the whole side: its very edge was left out, and is clean.
  const count = outline.area;
  squares.counts.forEach((n, square) => {
    if (n === 0) return;
    for (const c of channels) {
      // Clean cloth scatters to both sides: what is brighter than clean takes off as much as what is darker puts on.
      const mean = squares.sums[c]![square]! / n;
      sums[c]! += (mean > 1 ? -absorption(2 - mean) : absorption(mean)) * n;
      if (mean < 0.97) slope += (steepness(mean) * n) / 3;
    }
    if (squares.sums[1]![square]! / n < DARKEST) dark += n;
  });
  return {
    rgb: sums.map((sum) => Math.max(0, sum / count)) as unknown as Rgb,
    slope: slope / count,
    dark: dark / on.pixels.length,
  };
}

/** The outline as shares of the picture. */
export const outlineIn = ({ outline, light }: Pick<TowelRead, 'outline' | 'light'>): readonly Point[] =>
  outline.points.map(({ x, y }) => ({ x: x / light.width, y: y / light.height }));

/**
 * Finds the towel in a picture, evens out the light and its colour, and refuses what tells nothing.
 * Yields the share that is done.
 * @param wholeRim whether clean cloth must show all round, or anywhere
 */
export function* readTowel(picture: Raster, wholeRim: boolean): Study<TowelRead | Refused> {
  // A picture of nothing but paleness is refused at a glance.
  if (findOutline(glanceAt(picture)) === 'pale-ground') return { kind: 'refused', fault: 'pale-ground', outline: [] };
  const reading = inLight(picture);
  let step = reading.next();
  while (!step.done) {
    yield 0.7 * step.value;
    step = reading.next();
  }
  const light = step.value;
  const outline = findOutline(light);
  if (typeof outline === 'string') return { kind: 'refused', fault: outline, outline: [] };
  yield 0.75;
  const on = illuminationOn(light, outline);
  const fault = faultOf(light, outline, on, wholeRim);
  yield 0.9;
  return fault
    ? { kind: 'refused', fault, outline: outlineIn({ outline, light }) }
    : { kind: 'read', light, outline, on };
}
