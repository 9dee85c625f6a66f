import type { DilutionLabel, LabelReading } from '../model';
import {
  type Rational,
  add,
  divide,
  fromDecimal,
  isPositive,
  multiply,
  parseRational,
  rational,
  rationalToString,
  subtract,
  toNumber,
} from '../units';

/** Exactly so many parts of water to one part of product; 0 is ready to use. */
export interface Dilution {
  readonly waterParts: Rational;
}

/** Why a label cannot be read. */
type DilutionFault =
  | { readonly code: 'not-a-number'; readonly label: string }
  | { readonly code: 'not-positive'; readonly label: string }
  | { readonly code: 'less-than-whole'; readonly label: string }
  | { readonly code: 'over-100-percent'; readonly label: string };

export type DilutionResult =
  { readonly ok: true; readonly dilution: Dilution } | { readonly ok: false; readonly fault: DilutionFault };

const ONE = rational(1);
const ZERO = rational(0);
const HUNDRED = rational(100);
const THOUSAND = rational(1000);
/** US fluid ounces of a US gallon, and mL of it (by definition). */
const OUNCES = rational(128);
const GALLON_ML = rational(3_785_411_784n, 1_000_000n);

/** Water parts from the label's number, each convention by its own words. */
function waterParts(n: Rational, reading: LabelReading): Rational {
  switch (reading) {
    case 'water': // 1 part product to n parts water
      return n;
    case 'whole': // 1 part product in n parts of mix
      return subtract(n, ONE);
    case 'percent': // n parts product in 100 parts of mix
      return divide(subtract(HUNDRED, n), n);
    case 'mLPerLitreOfWater':
      return divide(THOUSAND, n);
    case 'flOzPerGallon':
      return divide(OUNCES, n);
    case 'mLPerGallon':
      return divide(GALLON_ML, n);
  }
}

/**
 * Reads a label's number under a named convention, exactly.
 * @example readDilution({ label: '256', reading: 'water' }) // 256 parts of water
 * @example readDilution({ label: '5', reading: 'whole' }) // 4 parts of water
 */
export function readDilution({ label, reading }: DilutionLabel): DilutionResult {
  const n = parseRational(label);
  if (!n) return { ok: false, fault: { code: 'not-a-number', label } };
  // "1 to 0" is the one zero with a sense: the product is used as it comes.
  if (reading === 'water' && n.num === 0n) return { ok: true, dilution: { waterParts: ZERO } };
  if (!isPositive(n)) return { ok: false, fault: { code: 'not-positive', label } };
  const parts = waterParts(n, reading);
  if (parts.num < 0n)
    return {
      ok: false,
      fault: { code: reading === 'percent' ? 'over-100-percent' : 'less-than-whole', label },
    };
  return { ok: true, dilution: { waterParts: parts } };
}

/** Product's share of the whole mix, exactly. */
export const productShare = ({ waterParts: parts }: Dilution): Rational => divide(ONE, add(parts, ONE));

/** The same strength in every way a label may say it. */
export interface DilutionNotations {
  /** Parts of water to one of product. */
  readonly waterParts: number;
  /** One part of product in so many parts of mix. */
  readonly wholeParts: number;
  readonly percent: number;
  /** null for a product that is used as it comes. */
  readonly mLPerLitreOfWater: number | null;
  /** US fluid ounces to a US gallon of water. */
  readonly flOzPerGallon: number | null;
}

export function notations(dilution: Dilution): DilutionNotations {
  const { waterParts: parts } = dilution;
  return {
    waterParts: toNumber(parts),
    wholeParts: toNumber(add(parts, ONE)),
    percent: toNumber(multiply(productShare(dilution), HUNDRED)),
    mLPerLitreOfWater: isPositive(parts) ? toNumber(divide(THOUSAND, parts)) : null,
    flOzPerGallon: isPositive(parts) ? toNumber(divide(OUNCES, parts)) : null,
  };
}

/** Whether the volume asked for is the water that product goes into, or the finished mix. */
export const fillModes = ['intoWater', 'finalVolume'] as const;
export type FillMode = (typeof fillModes)[number];

/** A volume of mix, exactly: product + water is the whole. */
export interface ExactMix {
  readonly productMl: Rational;
  readonly waterMl: Rational;
  readonly totalMl: Rational;
}

/**
 * Product and water for a volume.
 * With `intoWater` the volume is the water and the mix is more; with `finalVolume` it is the whole.
 * A product without water can't be measured into water: the volume is then taken as the whole.
 * @param volumeMl as written, more than 0
 */
export function mixFor(dilution: Dilution, fill: FillMode, volumeMl: number): ExactMix {
  const volume = fromDecimal(volumeMl);
  if (fill === 'intoWater' && isPositive(dilution.waterParts)) {
    const productMl = divide(volume, dilution.waterParts);
    return { productMl, waterMl: volume, totalMl: add(volume, productMl) };
  }
  const productMl = multiply(volume, productShare(dilution));
  return { productMl, waterMl: subtract(volume, productMl), totalMl: volume };
}

export const exactText = (value: Rational): string => rationalToString(value);
