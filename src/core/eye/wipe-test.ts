import type { Assumptions } from '../assumptions';
import type { Calibration, CleanlinessClass, Dye } from '../model';
import { type Gauge, gaugeFor } from './calibration';
import { withoutDye } from './dye';
import { grainMass } from './grain';
import { FOREIGN, type Likely, type MarkLooks, foreignness, likelyKinds } from './likely-kind';
import type { Point } from './outline';
import type { PictureFault } from './picture-faults';
import type { Raster } from './raster';
import { type WipedKind, expected, isWiped } from './soil-optics';
import type { Study } from '../studies';
import { type Refused, type TowelRead, absorbedBy, outlineIn, readTowel } from './towel-read';

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
  /** Mean of the whole side: what a calibration is made from. */
  readonly absorbed: number;
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
  const { rgb: seen, slope, dark } = absorbedBy(towel);
  const refuse = (fault: PictureFault): WipeAnswer => ({ kind: 'refused', fault, outline: outlineIn(towel) });
  if (dark > MOST_DARK) return refuse('too-soiled');
  const rgb = asked.dye ? withoutDye(seen, asked.dye).soil : seen;
  const absorbed = (rgb[0] + rgb[1] + rgb[2]) / 3;
  const lightSpread = (slope * Math.max(0.004, on.unevenness)) / Math.max(1e-6, absorbed);
  const rough = gaugeFor(asked.kind ?? 'dust', asked, asked.calibrations, a).gm2;
  const there = expected(asked.cleanliness);
  const looks: MarkLooks = {
    tint: rgb,
    tintSpread: 0.4 * lightSpread,
    grainG: grainMass(light, on, { gaugeGm2: rough, pixelM2: sideM2 / outline.area }),
  };
  if (!asked.dye && absorbed > 0.01 && foreignness(looks, there) > FOREIGN) return refuse('coloured');
  const likely: readonly Likely[] = asked.kind ? [{ kind: asked.kind, share: 1 }] : likelyKinds(looks, there, a);
  const wiped = likely.flatMap(({ kind, share }) => (isWiped(kind) ? [{ kind, share }] : []));
  if (wiped.reduce((sum, { share }) => sum + share, 0) < 0.5) return refuse('coarse');
  const toPanel = sideM2 / (asked.patchM2 * a.wipePickUp);
  const others = Math.hypot(Math.log(a.wipeScatter), OUTLINE_SPREAD, lightSpread);
  const parts = wiped
    .filter(({ share }) => share > 0.005)
    .map(({ kind, share }) => {
      const gauge = gaugeFor(kind, asked, asked.calibrations, a);
      return {
        share,
        gauge,
        log: Math.log(Math.max(1e-4, gauge.gm2 * absorbed * toPanel)),
        sd: Math.hypot(gauge.sd, others),
      };
    });
  const [low, middle, high] = [0.1, 0.5, 0.9].map((share) => Math.exp(quantileOfMix(parts, share))) as [
    number,
    number,
    number,
  ];
  return {
    kind: 'measured',
    loadGm2: middle,
    low,
    high,
    spread: Math.exp(Math.log(high / low) / (2 * Z)),
    soil: wiped[0]!.kind,
    likely,
    gauge: parts[0]!.gauge,
    absorbed,
    outline: outlineIn(towel),
  };
}

/** Abramowitz and Stegun 7.1.26, right to 1.5e-7. */
function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-x * x);
  return z < 0 ? tail / 2 : 1 - tail / 2;
}

/** Quantile of a mixture of normals, by halving. */
function quantileOfMix(
  parts: readonly { readonly share: number; readonly log: number; readonly sd: number }[],
  share: number,
): number {
  const sum = parts.reduce((total, one) => total + one.share, 0);
  let low = Math.min(...parts.map(({ log, sd }) => log - 6 * sd));
  let high = Math.max(...parts.map(({ log, sd }) => log + 6 * sd));
  for (let round = 0; round < 60; round++) {
    const middle = (low + high) / 2;
    const below = parts.reduce((total, one) => total + (one.share / sum) * normalBelow((middle - one.log) / one.sd), 0);
    if (below < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
