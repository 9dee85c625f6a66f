import type { Assumptions } from '../assumptions';
import type { Calibration, CleanlinessClass, Dye } from '../model';
import { type Gauge, handOf } from './calibration';
import { dyeFrom, meanOf } from './dye';
import { absorbedBy, markOn } from './mark';
import { eightOfTen } from './mixture';
import { expected, isWiped } from './soil-optics';
import type { Raster } from './raster';
import { foreignness, FOREIGN, likelyKinds, looksBy } from './likely-kind';
import type { Study } from '../studies';
import { type Refused, readTowel } from './towel-read';

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

/** How full a used side is against what it takes. A clean corner or edge of the cloth must be in the picture. */
export function* sideMeter(picture: Raster, asked: SideAsked): Study<SideAnswer> {
  const towel = yield* readTowel(picture, false);
  if (towel.kind === 'refused') return towel;
  const mark = markOn(towel, asked.dye);
  const hand = handOf(asked, asked.calibrations, asked.assumptions);
  const looks = looksBy(
    hand.laws,
    mark,
    () => TINT_SPREAD,
    () => null,
  );
  const there = expected(asked.cleanliness);
  const isMark = meanOf(absorbedBy(mark.colours)) > 0.02;
  if (!asked.dye && isMark && foreignness(looks, there) > FOREIGN)
    return { kind: 'refused', fault: 'coloured', outline: [] };
  const { kind, byLaw } = likelyKinds(looks, there, asked.assumptions).flatMap(({ kind: one, ...rest }) =>
    isWiped(one) ? [{ kind: one, ...rest }] : [],
  )[0]!;
  const parts = hand
    .amounts(kind, mark.shades, byLaw)
    .map(({ share, log, sd }) => ({ share, log, sd: Math.hypot(sd, KIND_SPREAD) }));
  const [low, onTowelGm2, high] = eightOfTen(parts);
  const limitGm2 = asked.assumptions.sideDirt;
  const full = onTowelGm2 >= limitGm2;
  return {
    kind: 'measured',
    onTowelGm2,
    low,
    high,
    limitGm2,
    gauge: hand.gauge(kind, onTowelGm2),
    verdict: !full ? 'go-on' : asked.sidesLeft > 0 ? 'turn' : 'done',
    dyeShare: mark.dyeShare,
  };
}

export type DyeAnswer = { readonly kind: 'found'; readonly dye: Dye; readonly absorbed: number } | Refused;

/** The dye of a product, from a side that was only sprayed with it. */
export function* dyeStudy(picture: Raster): Study<DyeAnswer> {
  const towel = yield* readTowel(picture, false);
  if (towel.kind === 'refused') return towel;
  const rgb = absorbedBy(markOn(towel, null).colours);
  return { kind: 'found', dye: dyeFrom(rgb), absorbed: meanOf(rgb) };
}
