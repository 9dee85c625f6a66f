import type { Assumptions } from '../assumptions';
import type { CleanlinessClass } from '../model';
import type { SideUse } from './capacity';
import { type Filling, type Kind, SOILED_FROM, fillingOf, oneByOne } from './fewest';
import type { TowelNeed } from './need';

/** A share of a need on a side; `need` is its place in the row. */
export interface Portion {
  readonly need: number;
  readonly share: number;
}

/** One side with what it takes up. Shares are of that limit, 0 to 1. */
export interface Side {
  use: SideUse;
  cleanliness: CleanlinessClass;
  portions: Portion[];
  dirtShare: number;
  liquidShare: number;
  reachShare: number;
  /** Soiled above, and taken up again for wheels. */
  reused: boolean;
}

/** Less of a zone than this is not worth turning to a part-used side for. */
const LEAST_SHARE = 0.02;
const ROUNDING = 1e-9;

const newSide = ({ use, cleanliness }: TowelNeed, filled = 0): Side => ({
  use,
  cleanliness,
  portions: [],
  dirtShare: filled,
  liquidShare: filled,
  reachShare: filled,
  reused: false,
});

/** How much of the need still fits on a side, as a share of the whole need. */
const fits = (side: Side, fill: Filling): number =>
  Math.min(
    fill.dirt > 0 ? (1 - side.dirtShare) / fill.dirt : Infinity,
    fill.liquid > 0 ? (1 - side.liquidShare) / fill.liquid : Infinity,
    fill.reach > 0 ? (1 - side.reachShare) / fill.reach : Infinity,
  );

function put(side: Side, { cleanliness }: TowelNeed, fill: Filling, need: number, share: number): void {
  side.dirtShare += fill.dirt * share;
  side.liquidShare += fill.liquid * share;
  side.reachShare += fill.reach * share;
  side.cleanliness = cleanliness;
  side.portions.push({ need, share });
}

/** Dirt and reach begin anew; what liquid it holds, it holds. */
const takeUpAgain = (side: Side): void => void Object.assign(side, { reused: true, dirtShare: 0, reachShare: 0 });

const mayServeAgain = (side: Side, { cleanliness }: TowelNeed): boolean =>
  cleanliness >= SOILED_FROM && !side.reused && side.cleanliness < SOILED_FROM;

/** Wetter than this a side is not worth turning to again. */
const SOAKED = 0.9;

/** Needs as far as somebody takes them on, with what they fill. */
const toDo = (row: readonly TowelNeed[], shares: readonly number[], kind: Kind, a: Assumptions) =>
  row.flatMap((need, at) => (shares[at]! > ROUNDING ? [{ need, at, share: shares[at]!, fill: fillingOf(need, kind, a) }] : []));

/**
 * Side after side, in the order of work: each goes on until one of its limits is reached, and a
 * part-used one is turned to before a fresh one.
 * @returns undefined when so many sides do not do
 */
export function inTurn(row: readonly TowelNeed[], shares: readonly number[], kind: Kind, most: number, a: Assumptions): Side[] | undefined {
  const sides: Side[] = [];
  for (const { need, at, share, fill } of toDo(row, shares, kind, a)) {
    let left = share;
    while (left > ROUNDING) {
      let side = sides.find((one) => fits(one, fill) >= Math.min(left, LEAST_SHARE));
      if (!side && sides.length < most) sides.push((side = newSide(need, sides.length === 0 ? kind.filled : 0)));
      if (!side && (side = sides.find((one) => one.liquidShare < SOAKED && mayServeAgain(one, need)))) takeUpAgain(side);
      if (!side) return undefined;
      const now = Math.min(left, fits(side, fill));
      // Nothing fits on a fresh side either: the limits are nothing.
      if (now <= 0) return undefined;
      put(side, need, fill, at, now);
      left -= now;
    }
  }
  return sides;
}

/** One side with shares of a row of needs on it, in the order of work; none where it takes nothing. */
function filled(row: readonly TowelNeed[], shares: readonly number[], kind: Kind, a: Assumptions): readonly Side[] {
  const list = toDo(row, shares, kind, a);
  if (list.length === 0) return [];
  const side = newSide(list[0]!.need);
  for (const { need, at, share, fill } of list) {
    if (mayServeAgain(side, need)) takeUpAgain(side);
    put(side, need, fill, at, share);
  }
  return [side];
}

/** Lays shares of a row of needs on so many sides: in turn where that does, or else as they can be dealt, each zone on few. */
export const laidOut = (row: readonly TowelNeed[], shares: readonly number[], kind: Kind, most: number, a: Assumptions): readonly Side[] =>
  inTurn(row, shares, kind, most, a) ??
  oneByOne({ kind: { ...kind, sides: 1, filled: 0 }, count: most, shares }, row, a).flatMap((own) => filled(row, own, kind, a));
