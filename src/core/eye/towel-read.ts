import { type Illumination, illuminationOn } from './illumination';
import { type Outline, type Point, findOutline } from './outline';
import { type PictureFault, faultOf } from './picture-faults';
import { type Light, type Raster, glanceAt, inLight } from './raster';
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
