import type { Assumptions } from '../assumptions';
import { settlingMs } from './settling';

/** Middles of five classes of like mass, in standard deviations of the logarithm of the size. */
const MIDDLES = [-1.2816, -0.5244, 0, 0.5244, 1.2816] as const;

/** Grit of one size class. */
export interface Grain {
  readonly sizeUm: number;
  /** How fast it sinks, m/s. */
  readonly sinksMs: number;
}

/** Sizes that grit of a typical size comes in: lognormal about it, in five classes of like mass. */
export const grainsOf = (typicalUm: number, waterC: number, a: Assumptions): readonly Grain[] =>
  MIDDLES.map((z): Grain => {
    const sizeUm = typicalUm * Math.exp(a.grainSpread * z);
    return { sizeUm, sinksMs: settlingMs(sizeUm, waterC) };
  });
