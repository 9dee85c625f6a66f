import type { Assumptions } from '../assumptions';
import type { Calibration, SoilLevel } from '../model';
import { loadOfLevel } from '../soil';
import { type WipedKind, gaugeOf, isWiped } from './soil-optics';

/** How much of the soil a unit of absorption stands for, with one standard deviation of its logarithm. */
export interface Gauge {
  readonly gm2: number;
  readonly sd: number;
  /** Calibrations it rests on, of this kind and of others by the same hand and cloth. */
  readonly own: number;
  readonly others: number;
}

/** Whose hand wiped, and with which cloth. */
export interface Whose {
  readonly person: string;
  readonly cloth: string;
}

/** What one kind’s calibration tells of another differs by so much more (judged). */
const OTHER_KIND = 0.12;

/** Soil on the towel side, g/m², from what it weighs more after the wipe than before. */
export const onTowelByScale = (grams: number, sideM2: number): number => grams / sideM2;

/** The same from the level that somebody gives the panel. */
export const onTowelByLevel = (level: SoilLevel, patchM2: number, sideM2: number, a: Assumptions): number =>
  (loadOfLevel(level, a) * patchM2 * a.wipePickUp) / sideM2;

const isOf = (one: Calibration, whose: Whose): boolean => one.person === whose.person && one.name === whose.cloth;

/**
 * k for one hand, cloth and kind: our judged figure put right by that hand’s calibrations, each
 * weighed by how sure it is (normal in the logarithm).
 */
export function gaugeFor(kind: WipedKind, whose: Whose, all: readonly Calibration[], a: Assumptions): Gauge {
  const mine = all.filter((one) => isOf(one, whose) && isWiped(one.kind) && one.absorbed > 0 && one.onTowelGm2 > 0);
  let weight = 1 / Math.log(a.wipeHand) ** 2;
  let sum = 0;
  for (const one of mine) {
    const by = Math.log(one.by === 'scale' ? a.wipeScale : a.wipeLevel);
    const variance = by ** 2 + Math.log(a.wipeScatter) ** 2 + (one.kind === kind ? 0 : OTHER_KIND ** 2);
    weight += 1 / variance;
    sum += Math.log(one.onTowelGm2 / one.absorbed / gaugeOf(one.kind as WipedKind, a)) / variance;
  }
  const own = mine.filter((one) => one.kind === kind).length;
  return { gm2: gaugeOf(kind, a) * Math.exp(sum / weight), sd: 1 / Math.sqrt(weight), own, others: mine.length - own };
}
