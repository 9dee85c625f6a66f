import { toNumber } from '../units';
import { type Dilution, productShare } from './dilution';

/** A bottle as it is sold. */
export interface Offer {
  readonly priceMinor: number;
  readonly sizeMl: number;
  readonly dilution: Dilution;
}

/** How much more product the one takes than the other, as a share of the lesser. */
export const apart = (p: number, q: number): number => Math.max(p, q) / Math.min(p, q) - 1;

/**
 * Cost of the mix for one car, minor units, not rounded. Concentrate and ready to use compare only
 * like this: never by the bottle.
 */
export const costPerCar = ({ priceMinor, sizeMl, dilution }: Offer, mixMl: number): number =>
  (priceMinor / sizeMl) * mixMl * toNumber(productShare(dilution));
