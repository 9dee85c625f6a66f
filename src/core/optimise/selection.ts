import { lazy } from '../cache';
import { pickOnePerGroup } from './knapsack';

/** Something that may be picked: its cost, what it takes of each budget, and the facilities it needs, as bits. */
export interface Option<T> {
  readonly value: T;
  readonly cost: number;
  readonly use: readonly number[];
  readonly needs: number;
}

/** Facilities that are paid for once, whatever uses them. */
export interface FacilitySet<S> {
  readonly value: S;
  readonly provides: number;
  readonly cost: number;
  readonly use: readonly number[];
}

/** One pick of each group and the facilities for them. */
export interface Selection<T, S> {
  readonly picks: readonly T[];
  readonly facilities: S;
  readonly use: readonly number[];
  readonly cost: number;
  /** No selection costs less; below the cost only where the search could not prove it the best. */
  readonly atLeast: number;
}

/** A budget that is short by itself: what it would have to be, and what it is. */
export interface Short {
  readonly budget: number;
  readonly need: number;
  readonly have: number;
}

type Groups<T> = readonly (readonly Option<T>[])[];

interface Bounded<S> extends FacilitySet<S> {
  /** Least that the groups can cost with these facilities. */
  readonly bound: number;
  /** Least that groups and facilities take of each budget. */
  readonly takes: () => readonly number[];
}

/** Groups with the sets of facilities that can serve them all, sorted by what they cost at least. */
export interface Selecting<T, S> {
  readonly groups: Groups<T>;
  readonly sets: readonly Bounded<S>[];
}

/** Slack for sums of floating point numbers against a budget. */
const EPSILON = 1e-9;

const serves = <T>({ needs }: Option<T>, provides: number): boolean => (needs & ~provides) === 0;

function leastTaken<T, S>({ use, provides }: FacilitySet<S>, groups: Groups<T>): readonly number[] {
  const takes = [...use];
  const least = new Float64Array(takes.length);
  for (const options of groups) {
    least.fill(Infinity);
    for (const one of options)
      if (serves(one, provides))
        for (let b = 0; b < least.length; b++) if (one.use[b]! < least[b]!) least[b] = one.use[b]!;
    for (let b = 0; b < least.length; b++) takes[b]! += least[b]!;
  }
  return takes;
}

/** The set with its bounds; undefined where one group has nothing that it serves. */
function bounded<T, S>(set: FacilitySet<S>, groups: Groups<T>): Bounded<S> | undefined {
  let bound = set.cost;
  for (const options of groups) {
    let cost = Infinity;
    for (const one of options) if (serves(one, set.provides)) cost = Math.min(cost, one.cost);
    if (cost === Infinity) return undefined;
    bound += cost;
  }
  return { ...set, bound, takes: lazy(() => leastTaken(set, groups)) };
}

export const selecting = <T, S>(groups: Groups<T>, sets: readonly FacilitySet<S>[]): Selecting<T, S> => ({
  groups,
  sets: sets.flatMap((set) => bounded(set, groups) ?? []).sort((p, q) => p.bound - q.bound),
});

/** What was found; that there is none; or that none was found, though there may be one. */
export type Sought<T, S> = Selection<T, S> | 'none' | 'not-found';

export const isFound = <T, S>(sought: Sought<T, S>): sought is Selection<T, S> => typeof sought === 'object';

function solve<T, S>(set: Bounded<S>, groups: Groups<T>, capacity: readonly number[], below: number): Sought<T, S> {
  if (set.takes().some((least, b) => least > capacity[b]! + EPSILON)) return 'none';
  const room = capacity.map((cap, b) => cap - set.use[b]!);
  const served = groups.map((options) => options.filter((one) => serves(one, set.provides)));
  const picked = pickOnePerGroup(served, room, below - set.cost);
  if (typeof picked === 'string') return picked;
  const options = picked.picks.map((pick, g) => served[g]![pick]!);
  return {
    picks: options.map(({ value }) => value),
    facilities: set.value,
    use: set.use.map((first, b) => options.reduce((sum, { use }) => sum + use[b]!, first)),
    cost: picked.cost + set.cost,
    atLeast: picked.atLeast + set.cost,
  };
}

/**
 * The cheapest selection over all sets of facilities within the budgets; sets that cannot beat the
 * best so far are not solved.
 * @param capacity of each budget, in the order of `use`
 */
export function cheapestSelection<T, S>({ groups, sets }: Selecting<T, S>, capacity: readonly number[]): Sought<T, S> {
  let best: Sought<T, S> = 'none';
  for (const set of sets) {
    if (isFound(best) && set.bound >= best.cost) break;
    const found: Sought<T, S> = solve(set, groups, capacity, isFound(best) ? best.cost : Infinity);
    if (isFound(found)) best = { ...found, atLeast: Math.min(found.atLeast, isFound(best) ? best.atLeast : Infinity) };
    else if (best === 'none') best = found;
  }
  return best;
}

/**
 * Budgets without which there would be a selection, each with what that selection takes. Only those
 * that the selection without limits would break can stand in the way; where none does so alone, all
 * are named.
 * @param free the selection without limits
 */
export function shortBudgets<T, S>(
  of: Selecting<T, S>,
  capacity: readonly number[],
  free: Selection<T, S>,
): readonly Short[] {
  const broken = capacity.flatMap((have, budget) =>
    free.use[budget]! > have ? [{ budget, need: free.use[budget]!, have }] : [],
  );
  const alone = broken.flatMap(({ budget, have }): Short[] => {
    const found = cheapestSelection(
      of,
      capacity.map((cap, b) => (b === budget ? Number.MAX_VALUE : cap)),
    );
    return isFound(found) ? [{ budget, need: found.use[budget]!, have }] : [];
  });
  return alone.length > 0 ? alone : broken;
}
