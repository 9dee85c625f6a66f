import type { Illumination } from './illumination';
import { type OpticalLaw, steepness } from './optical-law';
import type { Light } from './raster';
import { inSquares } from './squares';

/** Squares so wide that neither blur nor the camera's noise matters in them, pixels. */
const SQUARE = 4;
/** A square beside the mean of its four neighbours varies by this much more than a square alone. */
const SECOND_DIFFERENCE = 1.25;
/** Too dark to tell one amount from another, and too pale to count as soiled. */
const READABLE = [0.06, 0.88] as const;
const CLEAN = 0.95;
const FEWEST = 40;

/** How much soil a unit of absorption is, about, and how large a pixel is on the towel. */
export interface GrainScale {
  readonly gaugeGm2: number;
  readonly pixelM2: number;
}

/** Squares of a mark, each with the mean of its neighbours, and how the clean cloth varies. */
export interface Scatter {
  readonly marked: readonly (readonly [own: number, around: number])[];
  /** Variance of a clean square against its neighbours, of reflectance. */
  readonly weave: number;
}

/** How unevenly a mark lies. Slow changes fall out against the neighbours. null where too little of it can be read. */
export function scatterOf(
  light: Light,
  { pixels, reflectance }: Pick<Illumination, 'pixels' | 'reflectance'>,
): Scatter | null {
  const { across, counts, sums } = inSquares(light, pixels, [reflectance[1]], SQUARE);
  const meanAt = (square: number): number =>
    counts[square] === SQUARE * SQUARE ? sums[0]![square]! / counts[square]! : NaN;
  const marked: (readonly [own: number, around: number])[] = [];
  let [clean, weave] = [0, 0];
  for (let square = across; square < counts.length - across; square++) {
    const own = meanAt(square);
    const around = (meanAt(square - 1) + meanAt(square + 1) + meanAt(square - across) + meanAt(square + across)) / 4;
    if (Number.isNaN(own + around)) continue;
    if (around > READABLE[0] && around < READABLE[1]) marked.push([own, around]);
    else if (around > CLEAN) [clean, weave] = [clean + 1, weave + (own - around) ** 2];
  }
  return marked.length < FEWEST || clean < FEWEST ? null : { marked, weave: weave / clean };
}

/**
 * Mass of the grains of a mark, g, by one law of optics: grains that fall at random onto a square are
 * n ± √n, so what scatters about its mean gives away how heavy one is (compound Poisson). The weave
 * falls out by what clean cloth shows.
 */
export function grainMass({ marked, weave }: Scatter, law: OpticalLaw, { gaugeGm2, pixelM2 }: GrainScale): number {
  let [scatter, grams] = [0, 0];
  for (const [own, around] of marked) {
    scatter += (law.absorbed(own) - law.absorbed(around)) ** 2 - weave * (around * steepness(law, around)) ** 2;
    grams += law.absorbed(around);
  }
  return Math.max(0, (gaugeGm2 * scatter) / grams / SECOND_DIFFERENCE) * SQUARE * SQUARE * pixelM2;
}
