import type { Assumptions } from '../assumptions';
import { type CleanlinessClass, type TowelBatch, cleanlinessOf } from '../model';
import { sidesUsed } from './capacity';
import { type Filling, type TowelNeed, ONE_TOWEL_FROM, fillingOf } from './need';
import type { OpenTowel } from './used';

/** A towel that a ledger has to do with, open already or opened in it. */
export interface Towel {
  readonly batch: TowelBatch;
  readonly wetted: boolean;
  readonly missing: boolean;
  /** As it was before the plan; null for one that is opened in it. */
  readonly begun: OpenTowel | null;
}

/** How full a side is, in shares of each limit. */
export type Fill = Filling;

/** A towel in a hand: the side that is up, and what is left behind it. */
export interface Hand {
  /** Place in the list of towels. */
  readonly towel: number;
  /** Number of the side that is up, from 1. */
  readonly side: number;
  readonly fill: Fill;
  readonly last: number;
  /** The dirtiest that it has touched. */
  readonly touched: CleanlinessClass;
  /** Liquid that every side holds from an earlier use, as a share of its saturation. */
  readonly wetShare: number;
  /** Liquid on the wettest side so far, as a share of its limit. */
  readonly soak: number;
  /** How often it was put down and taken up again. */
  readonly visit: number;
}

/** A towel that was put down: for something dirtier it may be taken up again. */
export interface PutDown {
  readonly towel: number;
  /** Its first clean side, and its last one. */
  readonly side: number;
  readonly last: number;
  readonly touched: CleanlinessClass;
  readonly wetShare: number;
  readonly soak: number;
  readonly visit: number;
  /** Damp from finishing: all its sides wash once more. */
  readonly damp: boolean;
}

export const EMPTY: Fill = { dirt: 0, liquid: 0, reach: 0 };
/** Less than this is rounding. */
export const ROUNDING = 1e-9;
/** From this class down a side that was soiled above may serve once more. */
const SOILED_FROM = ONE_TOWEL_FROM;
/** A damp buffing towel goes down to the lower body, shuts and wheels. */
const DAMP_FROM = cleanlinessOf.lowers;

export const isFresh = ({ dirt, liquid, reach }: Fill): boolean => dirt <= 0 && liquid <= 0 && reach <= 0;

/** How much of what fills so much still fits on a side, as a share of it. */
export const fits = (on: Fill, fill: Filling): number =>
  Math.min(
    fill.dirt > 0 ? (1 - on.dirt) / fill.dirt : Infinity,
    fill.liquid > 0 ? (1 - on.liquid) / fill.liquid : Infinity,
    fill.reach > 0 ? (1 - on.reach) / fill.reach : Infinity,
  );

export const filled = (on: Fill, fill: Filling, share: number): Fill => ({
  dirt: on.dirt + fill.dirt * share,
  liquid: on.liquid + fill.liquid * share,
  reach: on.reach + fill.reach * share,
});

/** A fresh towel, first side up. */
export const inHand = (
  towel: number,
  { batch, wetted }: Pick<Towel, 'batch' | 'wetted'>,
  rules: { readonly soakedSides: number },
): Hand => ({
  towel,
  side: 1,
  fill: EMPTY,
  last: sidesUsed(batch, wetted, rules),
  touched: 0,
  wetShare: 0,
  soak: 0,
  visit: 0,
});

/** The towel with its next side up; undefined where that was the last. */
export const turned = (hand: Hand): Hand | undefined =>
  hand.side < hand.last
    ? { ...hand, side: hand.side + 1, fill: EMPTY, soak: Math.max(hand.soak, hand.fill.liquid) }
    : undefined;

/** A towel that leaves the hand: the side that is up is done, if anything is on it. */
export const putDown = (hand: Hand): PutDown => ({
  towel: hand.towel,
  side: isFresh(hand.fill) ? hand.side : hand.side + 1,
  last: hand.last,
  touched: hand.touched,
  wetShare: hand.wetShare,
  soak: Math.max(hand.soak, hand.fill.liquid),
  visit: hand.visit,
  damp: false,
});

/** Wetter than this a side is not taken up again. */
const SOAKED = 0.9;

/** A towel that was put down, up again for something dirtier; undefined where it does not serve. */
export function takenUp(
  put: PutDown,
  { cleanliness, role, soaked }: TowelNeed,
  { batch, wetted }: Towel,
): Hand | undefined {
  const { touched, towel, wetShare, soak, last } = put;
  if (touched >= cleanliness) return undefined;
  const up = { towel, side: 1, fill: EMPTY, last, touched, wetShare, soak, visit: put.visit + 1 };
  if (put.damp) return cleanliness >= DAMP_FROM && !soaked ? { ...up, last: batch.sides } : undefined;
  // For wheels all sides of a wash towel serve once more, soiled as they are.
  if (cleanliness >= SOILED_FROM && touched < SOILED_FROM && batch.role === 'wash')
    return soak < SOAKED ? { ...up, wetShare: Math.max(wetShare, soak) } : undefined;
  const serves = batch.role === role && wetted === soaked && put.side <= last;
  return serves ? { ...up, side: put.side } : undefined;
}

/** A towel goes on with a need: of its role, as wet or dry, and not back to something cleaner. */
export const goesOn = (
  { touched, visit }: Hand,
  { batch, wetted }: Towel,
  { role, soaked, cleanliness }: TowelNeed,
): boolean =>
  touched <= cleanliness && (cleanliness >= SOILED_FROM || wetted === soaked) && (batch.role === role || visit > 0);

export const fillOn = (
  { wetShare }: Pick<Hand, 'wetShare'>,
  { batch }: Towel,
  need: TowelNeed,
  a: Assumptions,
): Filling => fillingOf(need, batch, wetShare, a);
