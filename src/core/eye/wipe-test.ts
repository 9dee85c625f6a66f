import type { Assumptions } from '../assumptions';
import type { Calibration, CleanlinessClass, Dye } from '../model';
import { type Gauge, type Hand, handOf } from './calibration';
import { meanOf } from './dye';
import { grainMass, scatterOf } from './grain';
import type { Illumination } from './illumination';
import { FOREIGN, type Likely, type MarkLooks, foreignness, likelyKinds, looksBy } from './likely-kind';
import { type Mark, absorbedBy, markOn } from './mark';
import { eightOfTen } from './mixture';
import type { ByLaw } from './optical-law';
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
/** Light is even to this at best, and this part of its error is in the colour (judged). */
const LEAST_UNEVEN = 0.004;
const TINT_OF_LIGHT = 0.4;
/** Less than this absorbed shows no colour, and less soil than this is none, g/m². */
const PALEST_MARK = 0.01;
const LEAST_GM2 = 1e-4;
/** Kinds less likely than this are left out. */
const LEAST_SHARE = 0.005;
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

/** How a mark looks by each law: its colour is as sure as the light on it, its grains are as heavy as they lie unevenly. */
function looksOf({ light, outline, on }: TowelRead, mark: Mark, hand: Hand, asked: WipeAsked): readonly MarkLooks[] {
  const grains = scatterOf(light, on);
  const scale = {
    gaugeGm2: gaugeOf(asked.kind ?? 'dust', asked.assumptions),
    pixelM2: asked.sideM2 / outline.area,
  };
  return looksBy(
    hand.laws,
    mark,
    (by) => TINT_OF_LIGHT * lightSpread(on, by),
    (law) => grains && grainMass(grains, law, scale),
  );
}

/** Relative error of the amount for light that the surface does not follow. */
const lightSpread = ({ unevenness }: Illumination, { slope, absorbed }: ByLaw): number =>
  (slope * Math.max(LEAST_UNEVEN, unevenness)) / Math.max(1e-6, absorbed);

function measured(towel: TowelRead, asked: WipeAsked): WipeAnswer {
  const { assumptions: a } = asked;
  const refuse = (fault: PictureFault): WipeAnswer => ({ kind: 'refused', fault, outline: outlineIn(towel) });
  const mark = markOn(towel, asked.dye);
  if (mark.dark > MOST_DARK) return refuse('too-soiled');
  const hand = handOf(asked, asked.calibrations, a);
  const looks = looksOf(towel, mark, hand, asked);
  const there = expected(asked.cleanliness);
  const isMark = meanOf(absorbedBy(mark.colours)) > PALEST_MARK;
  if (!asked.dye && isMark && foreignness(looks, there) > FOREIGN) return refuse('coloured');
  const likely = likelyKinds(looks, asked.kind ? nothingBut(asked.kind) : there, a);
  const wiped = likely.flatMap(({ kind, ...rest }) => (isWiped(kind) ? [{ kind, ...rest }] : []));
  const [first] = wiped;
  if (!first || wiped.reduce((sum, { share }) => sum + share, 0) < 0.5) return refuse('coarse');
  const toPanel = asked.sideM2 / (asked.patchM2 * a.wipePickUp);
  const parts = wiped
    .filter(({ share }) => share > LEAST_SHARE)
    .flatMap(({ kind, byLaw }) => hand.amounts(kind, mark.shades, byLaw))
    .map(({ share, log, sd, by }) => ({
      share,
      log: Math.max(Math.log(LEAST_GM2), log + Math.log(toPanel)),
      sd: Math.hypot(sd, Math.log(a.wipeScatter), OUTLINE_SPREAD, lightSpread(towel.on, by)),
    }));
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
