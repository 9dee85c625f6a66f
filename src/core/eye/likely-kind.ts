import type { Assumptions } from '../assumptions';
import type { Rgb } from './raster';
import { type SeenKind, grainG, seenKinds, tintOf } from './soil-optics';

/** What a mark shows of its kind. */
export interface MarkLooks {
  /** Absorption of red, green and blue over the whole mark. */
  readonly tint: Rgb;
  /** Uncertainty of each, relative. */
  readonly tintSpread: number;
  /** Mass of the grains that the unevenness speaks of, g; null where it is lost in the noise. */
  readonly grainG: number | null;
}

/** Tints of one kind differ by so much from place to place (judged), and grain sizes by this factor in mass. */
const TINT_SCATTER = 0.05;
const GRAIN_SCATTER = Math.log(6);
/** Below this mass single grains are lost in the pixels: a film. */
const FILM_G = 2e-7;
/** Further than this from every kind, in squared deviations of two figures: a dye. */
export const FOREIGN = 11;

export interface Likely {
  readonly kind: SeenKind;
  /** Of one. */
  readonly share: number;
}

const colour = ([r, g, b]: Rgb): readonly [number, number] => [
  Math.log(Math.max(1e-6, r) / Math.max(1e-6, g)),
  Math.log(Math.max(1e-6, b) / Math.max(1e-6, g)),
];

/** Squared distance of a mark's colour from that of a kind, in deviations. */
function distance(kind: SeenKind, { tint, tintSpread }: MarkLooks): number {
  const [[p, q], [r, s]] = [colour(tint), colour(tintOf(kind))];
  const variance = TINT_SCATTER ** 2 + tintSpread ** 2;
  return ((p - r) ** 2 + (q - s) ** 2) / variance;
}

type Expected = Readonly<Record<SeenKind, number>>;

/** How far the colour is from the nearest kind that is found there at all. */
export const foreignness = (looks: MarkLooks, expected: Expected): number =>
  Math.min(...seenKinds.filter((kind) => expected[kind] > 0).map((kind) => distance(kind, looks)));

function grainPenalty(kind: SeenKind, looks: MarkLooks, a: Assumptions): number {
  const [seen, own] = [Math.max(FILM_G, looks.grainG ?? FILM_G), Math.max(FILM_G, grainG(kind, a))];
  return (Math.log(seen / own) / GRAIN_SCATTER) ** 2;
}

/** Kinds by how likely they are, the likeliest first: what was expected there, by colour and grain. */
export function likelyKinds(looks: MarkLooks, expected: Expected, a: Assumptions): readonly Likely[] {
  const scores = seenKinds.map(
    (kind) => Math.log(expected[kind]) - 0.5 * (distance(kind, looks) + grainPenalty(kind, looks, a)),
  );
  const best = Math.max(...scores);
  const weights = scores.map((score) => Math.exp(score - best));
  const sum = weights.reduce((total, one) => total + one, 0);
  return seenKinds.map((kind, i) => ({ kind, share: weights[i]! / sum })).sort((p, q) => q.share - p.share);
}
