import type { Assumptions } from '../assumptions';
import type { Calibration, CleanlinessClass, Dye } from '../model';
import { type Gauge, gaugeFor } from './calibration';
import { dyeFrom, withoutDye } from './dye';
import { expected, isWiped } from './soil-optics';
import type { Raster } from './raster';
import { type MarkLooks, foreignness, FOREIGN, likelyKinds } from './likely-kind';
import type { Study } from '../studies';
import { type Refused, absorbedBy, readTowel } from './towel-read';

export interface SideAsked {
  readonly person: string;
  readonly cloth: string;
  readonly calibrations: readonly Calibration[];
  readonly dye: Dye | null;
  /** Clean sides that the towel has left. */
  readonly sidesLeft: number;
  /** Of what the side wiped: brake dust is found on wheels. */
  readonly cleanliness: CleanlinessClass;
  readonly assumptions: Assumptions;
}

/** What to do with the side in the hand: wipe on, turn to the next, or put the towel away. */
export type SideVerdict = 'go-on' | 'turn' | 'done';

export interface SideMeasured {
  readonly kind: 'measured';
  /** Soil on the side, g/m² of towel; eight of ten lie between low and high. */
  readonly onTowelGm2: number;
  readonly low: number;
  readonly high: number;
  /** What a side takes. */
  readonly limitGm2: number;
  readonly verdict: SideVerdict;
  readonly gauge: Gauge;
  /** Absorption that the product's dye accounts for, of the whole. */
  readonly dyeShare: number;
}

export type SideAnswer = SideMeasured | Refused;

/** Dirt of no particular kind: the gauges of what is found on paint, between the palest and the darkest. */
const KIND_SPREAD = 0.25;
/** Relative; a used side is read in the field. */
const TINT_SPREAD = 0.06;
const Z = 1.2815515655446004;

/** How full a used side is against what it takes. A clean corner or edge of the cloth must be in the picture. */
export function* sideMeter(picture: Raster, asked: SideAsked): Study<SideAnswer> {
  const towel = yield* readTowel(picture, false);
  if (towel.kind === 'refused') return towel;
  const { rgb: seen } = absorbedBy(towel);
  const { soil } = asked.dye ? withoutDye(seen, asked.dye) : { soil: seen };
  const [all, absorbed] = [seen[0] + seen[1] + seen[2], (soil[0] + soil[1] + soil[2]) / 3];
  const looks: MarkLooks = { tint: soil, tintSpread: TINT_SPREAD, grainG: null };
  const there = expected(asked.cleanliness);
  if (!asked.dye && absorbed > 0.02 && foreignness(looks, there) > FOREIGN)
    return { kind: 'refused', fault: 'coloured', outline: [] };
  const kind = likelyKinds(looks, there, asked.assumptions)
    .map((one) => one.kind)
    .find(isWiped)!;
  const gauge = gaugeFor(kind, asked, asked.calibrations, asked.assumptions);
  const onTowelGm2 = gauge.gm2 * absorbed;
  const reach = Math.exp(Z * Math.hypot(gauge.sd, KIND_SPREAD));
  const limitGm2 = asked.assumptions.sideDirt;
  const full = onTowelGm2 >= limitGm2;
  return {
    kind: 'measured',
    onTowelGm2,
    low: onTowelGm2 / reach,
    high: onTowelGm2 * reach,
    limitGm2,
    gauge,
    verdict: !full ? 'go-on' : asked.sidesLeft > 0 ? 'turn' : 'done',
    dyeShare: all > 0 ? 1 - (3 * absorbed) / all : 0,
  };
}

export type DyeAnswer = { readonly kind: 'found'; readonly dye: Dye; readonly absorbed: number } | Refused;

/** The dye of a product, from a side that was only sprayed with it. */
export function* dyeStudy(picture: Raster): Study<DyeAnswer> {
  const towel = yield* readTowel(picture, false);
  if (towel.kind === 'refused') return towel;
  const { rgb } = absorbedBy(towel);
  return { kind: 'found', dye: dyeFrom(rgb), absorbed: (rgb[0] + rgb[1] + rgb[2]) / 3 };
}
