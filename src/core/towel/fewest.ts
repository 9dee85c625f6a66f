import type { Assumptions } from '../assumptions';
import type { CleanlinessClass, TowelBatch } from '../model';
import { type Item, cheapest, flatten, Relaxation } from '../optimise';
import { sideCapacity } from './capacity';
import type { TowelNeed } from './need';

/** Towels alike that may serve a row of needs. */
export interface Kind {
  readonly batch: TowelBatch;
  /** How many there are. */
  readonly most: number;
  /** Sides that are used of each. */
  readonly sides: number;
  /** Share of its first side that is filled already. */
  readonly filled: number;
  /** Liquid that a side holds already, as a share of its saturation. */
  readonly wetShare: number;
  /** Serves only needs from this place in the row on, and from this class down. */
  readonly from: number;
  readonly leastClass: CleanlinessClass;
  /** Opened: counts. One that is open already, and goes down, does not. */
  readonly opened: boolean;
}

/** So many towels of a kind that all take the same way through the classes. */
export interface Party {
  readonly kind: Kind;
  readonly count: number;
  /** Share of each need, in the order of the row, that these towels take on together. */
  readonly shares: readonly number[];
}

/** From this class down a soiled side may serve again. */
export const SOILED_FROM = 4;

/** What a need fills of the sides of a kind, in sides. */
export interface Filling {
  readonly dirt: number;
  readonly liquid: number;
  readonly reach: number;
}

export function fillingOf(need: TowelNeed, { batch, wetShare }: Pick<Kind, 'batch' | 'wetShare'>, a: Assumptions): Filling {
  const side = sideCapacity(batch, need.use, a);
  const roomMl = wetShare > 0 ? side.saturationMl * (1 - wetShare) : side.liquidMl;
  return {
    dirt: need.dirtG / side.dirtG,
    liquid: need.soaked ? 0 : need.liquidMl / roomMl,
    reach: need.reachShare,
  };
}

/**
 * The ways a towel can take through a row of needs without going back to a cleaner class, none of
 * them part of another: for each the needs it may serve.
 */
export function waysThrough(classes: readonly CleanlinessClass[]): readonly (readonly boolean[])[] {
  const blocks: { readonly of: CleanlinessClass; readonly from: number; to: number }[] = [];
  classes.forEach((of, i) => {
    const last = blocks.at(-1);
    if (last?.of === of) last.to = i + 1;
    else blocks.push({ of, from: i, to: i + 1 });
  });
  const ways: boolean[][] = [];
  const go = (after: number, least: number, way: readonly number[]): void => {
    // What comes straight after: with nothing between that could be served on the way.
    let ceiling = Infinity;
    let end = true;
    for (let b = after + 1; b < blocks.length; b++) {
      const { of } = blocks[b]!;
      if (of < least || of >= ceiling) continue;
      ceiling = of;
      end = false;
      go(b, of, [...way, b]);
    }
    if (!end) return;
    const serves = classes.map(() => false);
    for (const b of way) serves.fill(true, blocks[b]!.from, blocks[b]!.to);
    ways.push(serves);
  };
  go(-1, -1, []);
  return ways;
}

/** A kind on one of the ways, with what each need would fill of it; undefined where it may not serve. */
interface Lane {
  readonly kind: Kind;
  readonly fillings: readonly (Filling | undefined)[];
}

const lanesOf = (row: readonly TowelNeed[], kinds: readonly Kind[], a: Assumptions): readonly Lane[] => {
  const ways = waysThrough(row.map(({ cleanliness }) => cleanliness));
  return kinds.flatMap((kind) => {
    const fillings = row.map((need) => fillingOf(need, kind, a));
    const may = row.map((need, i) => i >= kind.from && need.cleanliness >= kind.leastClass);
    const lanes = ways.map((way): Lane => ({ kind, fillings: fillings.map((one, i) => (way[i] && may[i] ? one : undefined)) }));
    // A kind that comes late may see less than whole ways, and some of them twice.
    return lanes.filter(
      (lane, k) => lane.fillings.some(Boolean) && lanes.findIndex((other) => other.fillings.every((f, i) => f === lane.fillings[i])) === k,
    );
  });
};

/** What it costs to serve a need with towels of a lane, for choosing among ways to share out. */
type Preference = (need: number, lane: number) => number;

/** One limit of one lane's towels together: what each need takes of it, and what there is, in sides. */
interface Limit {
  readonly lane: number;
  readonly takes: readonly number[];
  readonly sides: number;
}

/**
 * The limits of so many towels of a lane that can bind. On a side that was soiled above class 4,
 * dirt and reach begin anew there: once, so that below it takes no more than above.
 */
function limitsOf(row: readonly TowelNeed[], { kind, fillings }: Lane, lane: number, count: number): readonly Limit[] {
  const sides = count * (kind.sides - kind.filled);
  const isLow = (i: number): boolean => row[i]!.cleanliness >= SOILED_FROM;
  const limit = (of: keyof Filling, may: (i: number) => boolean): Limit => ({ lane, takes: fillings.map((f, i) => (f && may(i) ? f[of] : 0)), sides });
  const byClass = (of: keyof Filling): readonly Limit[] => [limit(of, isLow), limit(of, (i) => !isLow(i))];
  return [limit('liquid', () => true), ...byClass('dirt'), ...byClass('reach')].filter(({ takes, sides: room }) => takes.reduce((sum, one) => sum + one, 0) > room);
}

/**
 * Shares the needs out over so many towels of each lane, or finds that it cannot be done. Sides are
 * reckoned together: a need can be spread over all sides of a towel, and where all of them together
 * hold it, so does each.
 */
function share(
  row: readonly TowelNeed[],
  lanes: readonly Lane[],
  counts: readonly number[],
  prefer: Preference = () => 0,
): readonly Party[] | undefined {
  const open = lanes.map((_, l) => l).filter((l) => counts[l]! > 0);
  const serving = row.map((_need, i) => open.filter((l) => lanes[l]!.fillings[i]));
  if (serving.some((by) => by.length === 0)) return undefined;
  const limits = open.flatMap((l) => limitsOf(row, lanes[l]!, l, counts[l]!));
  // With nowhere else to go, what is over is over.
  if (open.length === 1 && limits.length > 0) return undefined;
  const groups = serving.map((by, i) =>
    by.map((l): Item => ({ cost: prefer(i, l), use: limits.map(({ lane, takes }) => (lane === l ? takes[i]! : 0)) })),
  );
  const flat = flatten(groups, limits.map(({ sides }) => sides));
  const relaxation = new Relaxation(flat);
  const basis = cheapest(flat);
  if (relaxation.solve(basis, new Uint8Array(flat.cost.length), Infinity) !== 'best') return undefined;
  return open.map((l) => ({
    kind: lanes[l]!.kind,
    count: counts[l]!,
    shares: serving.map((by, i) => (by.includes(l) ? relaxation.share(flat.starts[i]! + by.indexOf(l), basis) : 0)),
  }));
}

/** All ways to open so many towels: of real kinds first, and beyond their number of the last. */
function* openings(lanes: readonly Lane[], kinds: readonly Kind[], towels: number): Generator<readonly number[]> {
  const counts = new Array<number>(lanes.length).fill(0);
  function* go(l: number, left: number, leftOf: ReadonlyMap<Kind, number>): Generator<readonly number[]> {
    if (l === lanes.length) {
      if (left === 0) yield [...counts];
      return;
    }
    const { kind } = lanes[l]!;
    const room = Math.min(leftOf.get(kind)!, kind.opened ? left : Infinity);
    // What is open already is used whole: on its last way, all that is left of it.
    const least = kind.opened || lanes[l + 1]?.kind === kind ? 0 : room;
    for (let n = room; n >= least; n--) {
      counts[l] = n;
      yield* go(l + 1, kind.opened ? left - n : left, new Map(leftOf).set(kind, leftOf.get(kind)! - n));
    }
    counts[l] = 0;
  }
  const real = kinds.filter(({ opened, most }) => opened && most < Infinity).reduce((sum, { most }) => sum + most, 0);
  const leftOf = new Map(kinds.map((kind) => [kind, kind.opened && kind.most === Infinity ? Math.max(0, towels - real) : kind.most]));
  yield* go(0, towels, leftOf);
}

/** Fewer towels than this cannot hold it all, however it is shared out. */
function leastTowels(row: readonly TowelNeed[], kinds: readonly Kind[], a: Assumptions): number {
  const opened = kinds.filter((kind) => kind.opened);
  const sidesOf = (pick: (f: Filling) => number): number =>
    row.reduce((sum, need) => sum + Math.min(...kinds.map((kind) => pick(fillingOf(need, kind, a)))), 0);
  const low = row.some(({ cleanliness }) => cleanliness >= SOILED_FROM);
  const need = Math.max(sidesOf((f) => f.liquid), sidesOf((f) => f.dirt) / (low ? 2 : 1), sidesOf((f) => f.reach) / (low ? 2 : 1));
  const given = kinds.filter((kind) => !kind.opened).reduce((sum, { sides, filled, most }) => sum + (sides - filled) * most, 0);
  return Math.max(0, Math.ceil((need - given) / Math.max(...opened.map(({ sides }) => sides)) - 1e-9));
}

/** A share smaller than this is none. */
const NOTHING = 1e-9;

const countOf = (parties: readonly Party[]): number =>
  parties.reduce((sum, { kind, count }) => sum + (kind.opened ? count : 0), 0);

function leastOf(row: readonly TowelNeed[], kinds: readonly Kind[], a: Assumptions): readonly Party[] {
  const lanes = lanesOf(row, kinds, a);
  for (let towels = leastTowels(row, kinds, a); ; towels++)
    for (const counts of openings(lanes, kinds, towels)) {
      const parties = share(row, lanes, counts);
      if (parties) return parties;
    }
}

/**
 * The fewest towels that a row of needs can be done with, exactly: towels are counted by the way
 * they take through the classes, and a linear programme tells whether so many of each will do. Of
 * those that are open already, and may go down, no more are taken than save a towel.
 * @param opened towels that may be opened; the last kind has to be without end
 * @param down towels that are open already, the first to be free first
 */
export function fewestTowels(
  row: readonly TowelNeed[],
  opened: readonly Kind[],
  down: readonly Kind[],
  a: Assumptions,
): readonly Party[] {
  if (row.length === 0) return [];
  const best = leastOf(row, [...down, ...opened], a);
  for (let k = 0; k < down.length; k++) {
    const fewer = leastOf(row, [...down.slice(0, k), ...opened], a);
    if (countOf(fewer) === countOf(best)) return fewer;
  }
  return best;
}

/**
 * The towels of a party one by one, each with what it takes on: as near to one after the other as
 * they can. Halved again and again, so that each linear programme is small; a half always holds its
 * half of everything.
 */
export function oneByOne({ kind, count, shares }: Party, row: readonly TowelNeed[], a: Assumptions): readonly (readonly number[])[] {
  if (count === 1) return [shares];
  const first = Math.floor(count / 2);
  const served = row.map((_need, i) => i).filter((i) => shares[i]! > NOTHING);
  const parts = served.map((i) => part(row[i]!, shares[i]!));
  const lane: Lane = { kind, fillings: parts.map((need) => fillingOf(need, kind, a)) };
  // Early needs to the first half, late ones to the second.
  const apart: Preference = (i, half) => Math.abs((i + 0.5) / parts.length - half);
  const halves = share(parts, [lane, lane], [first, count - first], apart);
  return [first, count - first].flatMap((own, half) => {
    const taken = row.map(() => 0);
    served.forEach((i, k) => (taken[i] = shares[i]! * (halves ? halves[half]!.shares[k]! : own / count)));
    return oneByOne({ kind, count: own, shares: taken }, row, a);
  });
}

/** So much of a need. */
export const part = (need: TowelNeed, share: number): TowelNeed => ({
  ...need,
  dirtG: need.dirtG * share,
  liquidMl: need.liquidMl * share,
  reachShare: need.reachShare * share,
});
