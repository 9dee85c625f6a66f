import type { MeasuringDevice, ProductUse, Vessel } from '../model';
import { toNumber } from '../units';
import { type Dilution, type FillMode, exactText, mixFor } from './dilution';
import { type Measured, measure } from './measure';
import { workingVolume } from './vessels';

/** Where the true ratio stands against what the product's label allows. */
type Band = 'within' | 'too-weak' | 'too-strong';

/** Product in one filling, as it will really be measured. */
export interface Dosed {
  readonly productMl: number;
  /** The exact amount, as num/den. */
  readonly productExact: string;
  readonly measured: Measured;
  /** Water parts to one of product after rounding to the device's steps. */
  readonly trueWaterParts: number;
  readonly band: Band;
}

/** One filling of one vessel. */
export interface Fill {
  readonly totalMl: number;
  readonly waterMl: number;
  readonly dose: Dosed | null;
}

/** What a vessel is filled with: a dilution, and the band that its label allows. */
export interface Poured {
  readonly dilution: Dilution;
  readonly use: Pick<ProductUse, 'weakest' | 'strongest'>;
}

function bandOf(waterParts: number, { weakest, strongest }: Poured['use']): Band {
  if (weakest !== null && waterParts > weakest + 1e-9) return 'too-weak';
  if (strongest !== null && waterParts < strongest - 1e-9) return 'too-strong';
  return 'within';
}

/** A tank is not filled for less than this of what it holds (practice). */
export const LEAST_FILL = 0.25;

/** Volumes of the fillings: as few as the working line allows, full ones first, and the last one no mere splash. */
export function fillVolumes(makeMl: number, vessel: Pick<Vessel, 'capacityMl' | 'workingShare'>): readonly number[] {
  const line = workingVolume(vessel);
  const fills = Math.max(1, Math.ceil(makeMl / line - 1e-9));
  const last = makeMl - (fills - 1) * line;
  const short = fills > 1 ? Math.max(0, LEAST_FILL * line - last) : 0;
  return Array.from({ length: fills }, (_, i) => (i < fills - 2 ? line : i < fills - 1 ? line - short : last + short));
}

/** One filling, with its product in whole steps of the device; null is plain water. */
export function fillWith(poured: Poured | null, mode: FillMode, volumeMl: number, device: MeasuringDevice): Fill {
  if (!poured) return { totalMl: volumeMl, waterMl: volumeMl, dose: null };
  const exact = mixFor(poured.dilution, mode, volumeMl);
  const measured = measure(exact.productMl, device);
  const waterMl = toNumber(exact.waterMl);
  const trueWaterParts = waterMl / measured.deliveredMl;
  return {
    totalMl: toNumber(exact.totalMl),
    waterMl,
    dose: {
      productMl: toNumber(exact.productMl),
      productExact: exactText(exact.productMl),
      measured,
      trueWaterParts,
      band: bandOf(trueWaterParts, poured.use),
    },
  };
}
