import type { Assumptions } from '../assumptions';
import type { Calibration, SoilKind, SoilLevel } from '../model';
import { loadOfLevel } from '../soil';
import { type Seen, given } from './normal';
import { type ByLaw, type OpticalLaw, type WeighedLaw, byLaw, opticalLaws } from './optical-law';
import type { Shades } from './shades';
import { type WipedKind, gaugeOf, isWiped } from './soil-optics';

/** What a reading rests on. */
export interface Gauge {
  /** Calibrations of this kind and of others by the same hand and cloth. */
  readonly own: number;
  readonly others: number;
  /** The lightest and the heaviest soil it was calibrated with, g/m²; null for none. */
  readonly range: readonly [lightest: number, heaviest: number] | null;
  /** Whether what was read lies in that range; one load tells little of others. */
  readonly reach: 'inside' | 'outside' | 'one-load' | null;
}

/** Whose hand wiped, and with which cloth. */
export interface Whose {
  readonly person: string;
  readonly cloth: string;
}

/** How much soil there may be on a side, by one law of optics. */
interface Amount {
  readonly share: number;
  /** Natural logarithm of g/m²: middle and standard deviation. */
  readonly log: number;
  readonly sd: number;
  readonly by: ByLaw;
}

/** A hand with a cloth, and what its calibrations say. */
export interface Hand {
  /** What a reading of so much soil rests on, g/m² of towel; its range is given times `toArea`: of a panel, times towel over panel. */
  readonly gauge: (kind: WipedKind, onTowelGm2: number, toArea?: number) => Gauge;
  /** The laws of optics, and how likely each is by the calibrations, of one. */
  readonly laws: readonly WeighedLaw[];
  /** What each of these laws says, and how much it counts. */
  readonly amounts: (kind: WipedKind, shades: Shades, counts: readonly number[]) => readonly Amount[];
}

/** What one kind’s calibration tells of another differs by so much more (judged). */
const OTHER_KIND = 0.12;
/** How far soil on a towel is off any law, and over which difference of depth that changes, in logarithms (judged). */
const OFF_LAW = 0.16;
const CHANGES_OVER = 1.6;
/** Calibrations closer to each other in depth than this tell the same. */
const SAME_DEPTH = 0.3;

/** So much beyond what was calibrated still counts as that, and so far apart loads are two (judged). */
const NEAR = 1.25;
const TWO_LOADS = 3;

/** Soil on the towel side, g/m², from what it weighs more after the wipe than before. */
export const onTowelByScale = (grams: number, sideM2: number): number => grams / sideM2;

/** The same from the level that somebody gives the panel. */
export const onTowelByLevel = (level: SoilLevel, patchM2: number, sideM2: number, a: Assumptions): number =>
  (loadOfLevel(level, a) * patchM2 * a.wipePickUp) / sideM2;

type Known = Calibration & { readonly kind: WipedKind };

const isOf = (one: Calibration, whose: Whose): one is Known =>
  one.person === whose.person && one.name === whose.cloth && isWiped(one.kind) && one.onTowelGm2 > 0;

/** A point of the gauge: it hangs on the kind, and on how deep the mark is. */
interface Place {
  readonly kind: SoilKind;
  readonly depth: number;
}

/** How two points vary together: by the hand, by the kind, and by what no law explains. */
const together = (p: Place, q: Place, a: Assumptions): number =>
  Math.log(a.wipeHand) ** 2 +
  (p.kind === q.kind ? OTHER_KIND ** 2 : 0) +
  OFF_LAW ** 2 * Math.exp(-0.5 * ((p.depth - q.depth) / CHANGES_OVER) ** 2);

/** Calibrations of a kind that are about as deep, as one. */
interface Point extends Place {
  readonly weight: number;
  /** Logarithm of what there was over what our gauge says. */
  readonly off: number;
}

function pointsBy(law: OpticalLaw, mine: readonly Known[], a: Assumptions): readonly Point[] {
  const points = new Map<string, Point>();
  for (const one of mine) {
    const { absorbed, depth } = byLaw(law, one.shades);
    if (absorbed <= 0) continue;
    const key = `${one.kind} ${Math.round(depth / SAME_DEPTH)}`;
    const by = Math.log(one.by === 'scale' ? a.wipeScale : a.wipeLevel);
    const weight = 1 / (by ** 2 + Math.log(a.wipeScatter) ** 2);
    const off = Math.log(one.onTowelGm2 / absorbed / gaugeOf(one.kind, a));
    const so = points.get(key) ?? { kind: one.kind, depth: 0, weight: 0, off: 0 };
    const all = so.weight + weight;
    points.set(key, {
      kind: one.kind,
      weight: all,
      off: (so.off * so.weight + off * weight) / all,
      depth: (so.depth * so.weight + depth * weight) / all,
    });
  }
  return [...points.values()];
}

/** A law with what the calibrations are under it. */
interface SeenLaw extends WeighedLaw {
  readonly points: readonly Point[];
  readonly seen: Seen;
}

/** Each law with what the calibrations would say under it, and how likely that makes it (Bayes). */
function weighed(mine: readonly Known[], a: Assumptions): readonly SeenLaw[] {
  const all = opticalLaws.map((law) => {
    const points = pointsBy(law, mine, a);
    const covariance = points.map((p, i) =>
      points.slice(0, i + 1).map((q) => together(p, q, a) + (p === q ? 1 / p.weight : 0)),
    );
    const seen = given(
      points.map(({ off }) => off),
      covariance,
    );
    return { law, points, seen, log: Math.log(law.prior) + seen.logLikelihood };
  });
  const best = Math.max(...all.map(({ log }) => log));
  const sum = all.reduce((total, { log }) => total + Math.exp(log - best), 0);
  return all.map(({ log, ...rest }) => ({ ...rest, share: Math.exp(log - best) / sum }));
}

function reachOf(onTowelGm2: number, lightest: number, heaviest: number): Gauge['reach'] {
  if (onTowelGm2 < lightest / NEAR || onTowelGm2 > heaviest * NEAR) return 'outside';
  return heaviest < TWO_LOADS * lightest ? 'one-load' : 'inside';
}

/**
 * What shades mean for one hand and cloth: our judged figure put right by that hand’s calibrations.
 * The hand, the kind and what no law explains vary normally in the logarithm; two depths agree the
 * less the further apart they are, so what lies outside of what was calibrated is less sure. Each
 * law of optics counts by how well the calibrations agree with it.
 */
export function handOf(whose: Whose, all: readonly Calibration[], a: Assumptions): Hand {
  const mine = all.filter((one) => isOf(one, whose));
  const laws = weighed(mine, a);
  return {
    laws,
    gauge: (kind, onTowelGm2, toArea = 1) => {
      const own = mine.filter((one) => one.kind === kind);
      const loads = (own.length > 0 ? own : mine).map((one) => one.onTowelGm2);
      const [lightest, heaviest] = [Math.min(...loads), Math.max(...loads)];
      return {
        own: own.length,
        others: mine.length - own.length,
        range: loads.length > 0 ? [toArea * lightest, toArea * heaviest] : null,
        reach: loads.length > 0 ? reachOf(onTowelGm2, lightest, heaviest) : null,
      };
    },
    amounts: (kind, shades, counts) =>
      laws.map(({ law, points, seen }, i) => {
        const by = byLaw(law, shades);
        const place = { kind, depth: by.depth };
        const { mean, variance } = seen.tell(
          points.map((point) => together(place, point, a)),
          together(place, place, a),
        );
        const log = Math.log(Math.max(1e-6, gaugeOf(kind, a) * by.absorbed)) + mean;
        return { share: counts[i] ?? 0, log, sd: Math.sqrt(variance), by };
      }),
  };
}
