import type { Assumptions } from '../assumptions';
import { type Mark, tintBy } from './mark';
import { type ByLaw, type OpticalLaw, type WeighedLaw, byLaw } from './optical-law';
import type { Rgb } from './raster';
import { type SeenKind, grainG, seenKinds, tintOf } from './soil-optics';

/** What a mark shows of its kind, as one law of optics has it. */
export interface MarkLooks {
  /** How likely that law is, of one. */
  readonly share: number;
  /** Absorption of red, green and blue over the whole mark. */
  readonly tint: Rgb;
  /** Uncertainty of each, relative. */
  readonly tintSpread: number;
  /** Mass of the grains that the unevenness speaks of, g; null where it is lost in the noise. */
  readonly grainG: number | null;
}

/** Tints of one kind differ by so much from place to place, what no law explains stretches them by so much (judged), and grain sizes by this factor in mass. */
const TINT_SCATTER = 0.05;
const TINT_STRETCH = 0.1;
const GRAIN_SCATTER = Math.log(6);
/** Below this mass single grains are lost in the pixels: a film. */
const FILM_G = 2e-7;
/** Further than this from every kind, in squared deviations of two figures: a dye. */
export const FOREIGN = 9;

/**
 * How a mark looks by each law.
 * @param tintSpread uncertainty of its colour, from what the law makes of the side
 * @param grainG mass of its grains by that law, g; null where it is not seen
 */
export const looksBy = (
  laws: readonly WeighedLaw[],
  mark: Mark,
  tintSpread: (by: ByLaw) => number,
  grainG: (law: OpticalLaw) => number | null,
): readonly MarkLooks[] =>
  laws.map(({ law, share }) => ({
    share,
    tint: tintBy(law, mark.colours),
    tintSpread: tintSpread(byLaw(law, mark.shades)),
    grainG: grainG(law),
  }));

export interface Likely {
  readonly kind: SeenKind;
  /** Of one. */
  readonly share: number;
  /** The same, split by the laws that it was asked of. */
  readonly byLaw: readonly number[];
}

const colour = ([r, g, b]: Rgb): readonly [number, number] => [
  Math.log(Math.max(1e-6, r) / Math.max(1e-6, g)),
  Math.log(Math.max(1e-6, b) / Math.max(1e-6, g)),
];

/** Squared distance of a mark's colour from that of a kind, in deviations, with the logarithm of their product. */
function distance(kind: SeenKind, { tint, tintSpread }: MarkLooks): readonly [squared: number, logDeviations: number] {
  const [seen, own] = [colour(tint), colour(tintOf(kind))];
  let [squared, logs] = [0, 0];
  for (const c of [0, 1] as const) {
    const variance = TINT_SCATTER ** 2 + tintSpread ** 2 + (TINT_STRETCH * own[c]) ** 2;
    squared += (seen[c] - own[c]) ** 2 / variance;
    logs += 0.5 * Math.log(variance);
  }
  return [squared, logs];
}

type Expected = Readonly<Record<SeenKind, number>>;

/** How far the colour is from the nearest kind that is found there at all, by the law that suits it best. */
export const foreignness = (looks: readonly MarkLooks[], expected: Expected): number =>
  Math.min(
    ...seenKinds
      .filter((kind) => expected[kind] > 0)
      .flatMap((kind) => looks.filter(({ share }) => share > 0.01).map((one) => distance(kind, one)[0])),
  );

function grainPenalty(kind: SeenKind, looks: MarkLooks, a: Assumptions): number {
  const [seen, own] = [Math.max(FILM_G, looks.grainG ?? FILM_G), Math.max(FILM_G, grainG(kind, a))];
  return (Math.log(seen / own) / GRAIN_SCATTER) ** 2;
}

/**
 * Kinds by how likely they are, the likeliest first: what was expected there, by colour and grain,
 * as each law of optics has them.
 */
export function likelyKinds(looks: readonly MarkLooks[], expected: Expected, a: Assumptions): readonly Likely[] {
  const scores = seenKinds.map((kind) =>
    looks.map((one) => {
      const [squared, logs] = distance(kind, one);
      return Math.log(expected[kind]) + Math.log(one.share) - logs - 0.5 * (squared + grainPenalty(kind, one, a));
    }),
  );
  const best = Math.max(...scores.flat());
  const weights = scores.map((row) => row.map((score) => Math.exp(score - best)));
  const sum = weights.flat().reduce((total, one) => total + one, 0);
  return seenKinds
    .map((kind, i) => {
      const byLaw = weights[i]!.map((weight) => weight / sum);
      return { kind, share: byLaw.reduce((total, one) => total + one, 0), byLaw };
    })
    .sort((p, q) => q.share - p.share);
}
