import { exchanged, keeps } from './exchange';
import {
  type Basis,
  type Flat,
  type Groups,
  type Item,
  NONE,
  Relaxation,
  cheapest,
  copyOf,
  flatten,
} from './relaxation';

export type { Item } from './relaxation';

export interface Picked {
  /** Index of the item taken from each group. */
  readonly picks: readonly number[];
  readonly cost: number;
  /** Nothing costs less than this. */
  readonly atLeast: number;
}

/** Slack for sums of floating point numbers against a budget. */
const EPS = 1e-9;
/** A pick must beat the best one known by more than this to be looked for. */
const GAIN = 1e-7;
/**
 * After so many branchings only what is better by a ten-thousandth is looked for. Panels of one soil differ in nothing but their size,
 * so that which of them get the dearer way is a sum of areas that nearly fills a budget: millions of those are within a millionth of
 * the best, and no towel tells them apart.
 */
const EXACT = 60;
const AS_GOOD = 1e-4;
/** After so many branchings what the relaxation shares out is rounded to a pick: most jobs need none after the first. */
const ROUNDED: ReadonlySet<number> = new Set([0, 1, 2, 4, 8, 16, 32, 64]);
/** Branchings after which the search gives up the proof; and where no pick is known at all, the search for one. */
const BRANCHINGS = 150;
const UNTIL_ANY = 1000;

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** An item with its place in its group, which survives when others of the group are dropped. */
interface Choosable extends Item {
  readonly pick: number;
}

/** The groups over the budgets that can bind, each budget in shares of its capacity. */
interface Reduced {
  readonly groups: readonly (readonly Choosable[])[];
  readonly capacity: readonly number[];
  /** Places of these budgets among all, and what one share of each stands for. */
  readonly binding: readonly number[];
  readonly scale: readonly number[];
}

/** What the most frugal and the thirstiest item of every group take of a budget together. */
function extremes(groups: Groups, budget: number): readonly [least: number, most: number] {
  let [least, most] = [0, 0];
  for (const items of groups) {
    let [low, high] = [Infinity, 0];
    for (const { use } of items) {
      const used = use[budget]!;
      if (used < low) low = used;
      if (used > high) high = used;
    }
    least += low;
    most += high;
  }
  return [least, most];
}

/** Cheaper, or as cheap, and no thirstier in any budget that can bind. */
function beats(p: Item, q: Item, binding: readonly number[]): boolean {
  if (p.cost > q.cost) return false;
  for (const b of binding) if (p.use[b]! > q.use[b]!) return false;
  return true;
}

/** Items that another item of the group beats in cost and in every budget can't be needed. */
const isNeeded = (item: Item, i: number, items: readonly Item[], binding: readonly number[]): boolean =>
  !items.some((other, j) => j !== i && beats(other, item, binding) && (j < i || !beats(item, other, binding)));

/** @returns undefined when even the most frugal pick breaks some budget */
function reduce(groups: Groups, capacity: readonly number[]): Reduced | undefined {
  const binding: number[] = [];
  for (let b = 0; b < capacity.length; b++) {
    const [least, most] = extremes(groups, b);
    if (least > capacity[b]! + EPS) return undefined;
    if (most > capacity[b]!) binding.push(b);
  }
  const scale = binding.map((b) => (capacity[b]! > EPS ? capacity[b]! : 1));
  return {
    binding,
    scale,
    capacity: binding.map((b, k) => capacity[b]! / scale[k]!),
    groups: groups.map((items) =>
      items.flatMap((item, pick): Choosable[] =>
        isNeeded(item, pick, items, binding)
          ? [{ cost: item.cost, pick, use: binding.map((b, k) => item.use[b]! / scale[k]!) }]
          : [],
      ),
    ),
  };
}

/** Branch and bound: an item that the relaxation shares out is taken in one branch, and given up in the other. */
class Search {
  private readonly relaxation: Relaxation;
  /** Items of the best pick so far. */
  best: Int32Array | undefined;
  /** What the best pick costs, here or elsewhere. */
  private mark: number;
  /** The least that any pick costs, shares allowed. */
  private root = -Infinity;
  private branchings = 0;
  /** Something was not looked at. */
  gaveUp = false;

  constructor(
    private readonly flat: Flat,
    below: number,
    private readonly most: number,
  ) {
    this.relaxation = new Relaxation(flat);
    this.mark = below;
  }

  /** What a pick has to cost less than, to be of interest. */
  private get below(): number {
    return this.branchings <= EXACT ? this.mark - GAIN : this.mark * (1 - AS_GOOD);
  }

  /** @returns the least that anything may cost that was not looked at */
  run(): number {
    this.visit(cheapest(this.flat), new Uint8Array(this.flat.cost.length));
    if (this.gaveUp) return this.root;
    return this.branchings <= EXACT ? Infinity : Math.max(this.root, this.below);
  }

  private visit(basis: Basis, forbidden: Uint8Array): void {
    if (this.gaveUp) return;
    const solved = this.relaxation.solve(basis, forbidden, this.below);
    if (solved === 'none') return;
    if (this.branchings === 0) this.root = this.relaxation.value;
    this.gaveUp = solved === 'open' || this.branchings >= (this.mark === Infinity ? UNTIL_ANY : this.most);
    if (this.gaveUp) return;
    const shared = this.shared(basis);
    if (shared.length === 0) return this.keep(this.rounded(basis));
    if (ROUNDED.has(this.branchings)) this.keep(this.frugal(basis, shared));
    const item = this.branchOn(basis, forbidden, shared);
    this.branchings++;
    const taken = this.onlyItem(item, forbidden);
    this.visit(copyOf(basis), taken);
    forbidden[item] = 1;
    this.visit(basis, forbidden);
  }

  /** Takes a pick with what exchanging gains; unless it breaks a budget, or is no better than the one before. */
  private keep(picks: Int32Array): void {
    if (!keeps(this.flat, picks)) return;
    const cost = exchanged(this.flat, picks);
    if (cost >= this.below) return;
    this.mark = cost;
    this.best = picks;
  }

  /** The item of every group that the relaxation takes most of. */
  private rounded({ key, other }: Basis): Int32Array {
    const { amount } = this.relaxation;
    const { cost, group } = this.flat;
    const picks = key.slice();
    other.forEach((item, v) => {
      if (item < cost.length && amount[v]! > 0.5) picks[group[item]!] = item;
    });
    return picks;
  }

  /** The same; of what it shares out, the item that takes least of the budgets. */
  private frugal(basis: Basis, shared: readonly number[]): Int32Array {
    const { group, use, budgets } = this.flat;
    const takes = (item: number): number =>
      use.subarray(item * budgets, (item + 1) * budgets).reduce((sum, used) => sum + used, 0);
    const picks = this.rounded(basis);
    for (const item of [...shared].sort((p, q) => takes(q) - takes(p))) picks[group[item]!] = item;
    return picks;
  }

  /** The item to branch on. Drops items too dear to be of interest. */
  private branchOn(basis: Basis, forbidden: Uint8Array, shared: readonly number[]): number {
    const { relaxation } = this;
    for (let i = 0; i < forbidden.length; i++)
      if (relaxation.value + relaxation.reducedCost(i, basis) > this.below) forbidden[i] = 1;
    const shares = shared.map((item) => relaxation.share(item, basis));
    return shared[shares.indexOf(Math.max(...shares))]!;
  }

  /** Items of which the relaxation takes a share. */
  private shared({ key, other }: Basis): number[] {
    const { amount, keyShare } = this.relaxation;
    const { cost } = this.flat;
    const items: number[] = [];
    other.forEach((item, v) => {
      if (item < cost.length && amount[v]! > NONE && amount[v]! < 1 - NONE) items.push(item);
    });
    keyShare.forEach((share, g) => {
      if (share > NONE && share < 1 - NONE) items.push(key[g]!);
    });
    return items;
  }

  private onlyItem(item: number, forbidden: Uint8Array): Uint8Array {
    const { starts, group } = this.flat;
    const only = forbidden.slice();
    const g = group[item]!;
    only.fill(1, starts[g], starts[g + 1]);
    only[item] = 0;
    return only;
  }
}

/**
 * Multiple-choice knapsack: one item from every group, least total cost, every budget kept. By branch and bound on the linear
 * relaxation, with what it shares out rounded and exchanged to a pick early on. Exact unless it takes many branchings; then
 * `atLeast` says how far from the best the pick can be.
 * @param below only a pick that costs less is of interest
 * @param branchings after which the proof is given up
 * @returns 'none' where there is none, or a group is empty; 'not-found' where there may be one all the same
 */
export function pickOnePerGroup(
  groups: Groups,
  capacity: readonly number[],
  below = Infinity,
  branchings = BRANCHINGS,
): Picked | 'none' | 'not-found' {
  if (groups.some((items) => items.length === 0)) return 'none';
  const reduced = reduce(groups, capacity);
  if (!reduced) return 'none';
  const search = new Search(flatten(reduced.groups, reduced.capacity), below, branchings);
  const unseen = search.run();
  if (!search.best) return search.gaveUp ? 'not-found' : 'none';
  const items = reduced.groups.flat();
  const picks = [...search.best].map((item) => items[item]!.pick);
  const cost = sum(picks.map((pick, g) => groups[g]![pick]!.cost));
  return { picks, cost, atLeast: Math.min(cost, unseen) };
}
