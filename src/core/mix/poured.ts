import { type Rational, divide, fromDecimal, isPositive, multiply, rational, toNumber } from '../units';
import { type Dilution } from './dilution';

/** What was poured into what: so many caps, strokes or marks, each of so much, into water. */
export interface Poured {
  /** May be a part: 2.5 caps. */
  readonly count: number;
  readonly eachMl: number;
  readonly waterMl: number;
}

const ONE = rational(1);

const productMl = ({ count, eachMl }: Poured): Rational => multiply(fromDecimal(count), fromDecimal(eachMl));

/**
 * The strength that was mixed; null where nothing was poured.
 * @example strengthPoured({ count: 2.5, eachMl: 14.8, waterMl: 9460 }) // 255.7 parts of water
 */
export function strengthPoured(poured: Poured): Dilution | null {
  const product = productMl(poured);
  return isPositive(product) ? { waterParts: divide(fromDecimal(poured.waterMl), product) } : null;
}

/** How many of the measure that water wants for a strength; null for a product that is used as it comes. */
export function countFor(
  { waterParts }: Dilution,
  { eachMl, waterMl }: Pick<Poured, 'eachMl' | 'waterMl'>,
): number | null {
  if (!isPositive(waterParts) || !(eachMl > 0)) return null;
  return toNumber(multiply(divide(fromDecimal(waterMl), fromDecimal(eachMl)), divide(ONE, waterParts)));
}
