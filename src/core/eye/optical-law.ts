import { SHADES } from '../model';
import { absorption } from './kubelka-munk';
import { type Shades, shadeAt } from './shades';

/** How much soil there is where the towel has a shade, in units that every law counts alike half-way to black. */
export interface OpticalLaw {
  /** How likely it is before anything was calibrated (judged). */
  readonly prior: number;
  /** From the reflectance against clean cloth. */
  readonly absorbed: (reflectance: number) => number;
  /** The same of each shade, with its steepness: they are asked for by the thousand. */
  readonly ofShades: readonly { readonly absorbed: number; readonly steepness: number }[];
}

/** A law, and how likely it is, of one. */
export interface WeighedLaw {
  readonly law: OpticalLaw;
  readonly share: number;
}

/** How much the sum by a law changes for a small error of the reflectance: −df/dR. */
export const steepness = ({ absorbed }: Pick<OpticalLaw, 'absorbed'>, reflectance: number): number =>
  (absorbed(0.995 * reflectance) - absorbed(1.005 * reflectance)) / (0.01 * reflectance);

/** Where all laws agree: a gauge is about a mark of this shade. */
const MIDDLE = 0.5;
/** Paler than this is no mark. */
const MARK = 0.97;

function agreeing(prior: number, bare: (reflectance: number) => number): OpticalLaw {
  const absorbed = (reflectance: number): number => (bare(reflectance) * absorption(MIDDLE)) / bare(MIDDLE);
  const ofShades = Array.from({ length: SHADES }, (_unused, i) => ({
    absorbed: i === 0 ? 0 : absorbed(shadeAt(i)),
    steepness: shadeAt(i) < MARK ? steepness({ absorbed }, shadeAt(i)) : 0,
  }));
  return { prior, absorbed, ofShades };
}

/** Soil and cloth scatter as one (Kubelka and Munk 1931); the cloth itself reflects so much of the light. */
const mixedInto = (cloth: number, prior: number): OpticalLaw =>
  agreeing(prior, (reflectance) => absorption(cloth * reflectance) - absorption(cloth));

/** Soil lies before the cloth as a filter (Beer 1852). */
const filtering = (prior: number): OpticalLaw => agreeing(prior, (reflectance) => -Math.log(reflectance));

/**
 * What may hold between soil and shade. A picture has no absolute white, so how much the cloth
 * reflects is not seen in it; and no one law is right for all soil. Colours, and what calibrations
 * say of light and heavy marks, tell them apart.
 */
export const opticalLaws: readonly OpticalLaw[] = [
  mixedInto(0.98, 0.06),
  mixedInto(0.94, 0.12),
  mixedInto(0.9, 0.14),
  mixedInto(0.85, 0.1),
  mixedInto(0.78, 0.08),
  filtering(0.5),
];

/** What lies half-way between the laws, weighed by how likely they are, at each shade. */
const halfWay = Array.from({ length: SHADES }, (_unused, i) =>
  i === 0 ? 0 : Math.exp(opticalLaws.reduce((sum, law) => sum + law.prior * Math.log(law.absorbed(shadeAt(i))), 0)),
);

/** The light that is left under so much soil, half-way between the laws: what a picture is drawn by where none is known. */
export function lightLeft(absorbed: number): number {
  let [low, high] = [0, SHADES - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((halfWay[middle] ?? Infinity) > absorbed) high = middle;
    else low = middle;
  }
  const [above, below] = [halfWay[low] ?? 0, halfWay[high] ?? 1];
  const part = Math.min(1, Math.max(0, (absorbed - above) / (below - above)));
  return shadeAt(low) + part * (shadeAt(high) - shadeAt(low));
}

/** What a law makes of a side. */
export interface ByLaw {
  /** Mean of the whole side. */
  readonly absorbed: number;
  /** Mean where the soil lies, natural logarithm: how deep the mark is. */
  readonly depth: number;
  /** Change of the mean for an error of the reflectance of one. */
  readonly slope: number;
}

const LEAST = 1e-5;

export function byLaw(law: OpticalLaw, shades: Shades): ByLaw {
  let [sum, squares, slope] = [0, 0, 0];
  law.ofShades.forEach((one, i) => {
    const share = shades[i] ?? 0;
    sum += share * one.absorbed;
    squares += share * one.absorbed ** 2;
    slope += share * one.steepness;
  });
  return {
    absorbed: Math.max(0, sum),
    depth: Math.log(Math.max(LEAST, squares) / Math.max(LEAST, sum)),
    slope: Math.max(0, slope),
  };
}
