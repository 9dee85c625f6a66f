import type { Assumptions } from '../assumptions';
import type { Calibration, CleanlinessClass, Dye } from '../model';
import { type Gauge, handOf } from './calibration';
import { meanOf } from './dye';
import { grainMass, unevennessOf } from './grain';
import { eightOfTen } from './mixture';
import { FOREIGN, type Likely, foreignness, likelyKinds, looksBy } from './likely-kind';
import { absorbedBy, markOn } from './mark';
import type { Point } from './outline';
import type { PictureFault } from './picture-faults';
import type { Raster } from './raster';
import type { Shades } from './shades';
import { type WipedKind, expected, gaugeOf, isWiped, nothingBut } from './soil-optics';
import type { Study } from '../studies';
import { type Refused, type TowelRead, outlineIn, readTowel } from './towel-read';

/** What the picture itself cannot tell. */
export interface WipeAsked {
  /** The patch that was wiped, and the side of the towel that is in the picture. */
  readonly patchM2: number;
  readonly sideM2: number;
  readonly cleanliness: CleanlinessClass;
  /** null finds out. */
  readonly kind: WipedKind | null;
  readonly person: string;
  readonly cloth: string;
  readonly calibrations: readonly Calibration[];
  /** What the product alone does to a clean towel; null for one without a dye. */
  readonly dye: Dye | null;
  readonly assumptions: Assumptions;
}

export interface WipeMeasured {
  readonly kind: 'measured';
  /** Of the panel, the median; eight of ten lie between low and high. */
  readonly loadGm2: number;
  readonly low: number;
  readonly high: number;
  /** The load is right within this factor. */
  readonly spread: number;
  readonly soil: WipedKind;
  readonly likely: readonly Likely[];
  readonly gauge: Gauge;
  /** Of the whole side: what a calibration is made from. */
  readonly shades: Shades;
  /** Where the towel was found, as shares of the picture's width and height. */
  readonly outline: readonly Point[];
}

export type WipeAnswer = WipeMeasured | Refused;

/** The outline is right to this share of the area (judged). */
const OUTLINE_SPREAD = 0.03;
/** Share of the side that may be black. */
const MOST_DARK = 0.04;
/** Quantile of eight in ten. */
const Z = 1.2815515655446004;

/**
 * The wipe test: a picture of the towel side that wiped a patch, with clean cloth round the mark.
 * Finds the towel, evens out the light and its colour, turns what the mark absorbs into grams, and
 * says how sure that is; or says why the picture tells nothing. Yields the share that is done.
 */
export function* wipeTest(picture: Raster, asked: WipeAsked): Study<WipeAnswer> {
  const towel = yield* readTowel(picture, true);
  return towel.kind === 'refused' ? towel : measured(towel, asked);
}

function measured(towel: TowelRead, asked: WipeAsked): WipeAnswer {
  const { light, outline, on } = towel;
  const { assumptions: a, sideM2 } = asked;
  const refuse = (fault: PictureFault): WipeAnswer => ({ kind: 'refused', fault, outline: outlineIn(towel) });
  const mark = markOn(towel, asked.dye);
  if (mark.dark > MOST_DARK) return refuse('too-soiled');
  const hand = handOf(asked, asked.calibrations, a);
  const uneven = Math.max(0.004, on.unevenness);
  const grains = unevennessOf(light, on);
  const scale = { gaugeGm2: gaugeOf(asked.kind ?? 'dust', a), pixelM2: sideM2 / outline.area };
  const looks = looksBy(
    hand.laws,
    mark,
    ({ slope, absorbed }) => (0.4 * slope * uneven) / Math.max(1e-6, absorbed),
    (law) => grains && grainMass(grains, law, scale),
  );
  const anyKind = expected(asked.cleanliness);
  const isMark = meanOf(absorbedBy(mark.colours)) > 0.01;
  if (!asked.dye && isMark && foreignness(looks, anyKind) > FOREIGN) return refuse('coloured');
  const there = asked.kind ? nothingBut(asked.kind) : anyKind;
  const likely = likelyKinds(looks, there, a);
  const wiped = likely.flatMap(({ kind, ...rest }) => (isWiped(kind) ? [{ kind, ...rest }] : []));
  const [first] = wiped;
  if (!first || wiped.reduce((sum, { share }) => sum + share, 0) < 0.5) return refuse('coarse');
  const toPanel = sideM2 / (asked.patchM2 * a.wipePickUp);
  const parts = wiped
    .filter(({ share }) => share > 0.005)
    .flatMap(({ kind, byLaw: shares }) =>
      hand.amounts(kind, mark.shades).map(({ log, sd, by }, i) => ({
        share: shares[i]!,
        log: Math.max(Math.log(1e-4), log + Math.log(toPanel)),
        sd: Math.hypot(sd, Math.log(a.wipeScatter), OUTLINE_SPREAD, (by.slope * uneven) / Math.max(1e-6, by.absorbed)),
      })),
    );
  const [low, middle, high] = eightOfTen(parts);
  return {
    kind: 'measured',
    loadGm2: middle,
    low,
    high,
    spread: Math.exp(Math.log(high / low) / (2 * Z)),
    soil: first.kind,
    likely,
    gauge: hand.gauge(first.kind, middle / toPanel, toPanel),
    shades: mark.shades,
    outline: outlineIn(towel),
  };
}
