import { type Bound, type Groups, type Item, priceBudgets, pricedCost } from './prices';

export type { Item } from './prices';

export interface Picked {
  /** Index of the item taken from each group. */
  readonly picks: readonly number[];
  readonly cost: number;
  /** Nothing costs less than this; equal to the cost where the pick is proved to be the best. */
  readonly atLeast: number;
}

interface Label {
  readonly cost: number;
  readonly use: readonly number[];
  readonly pick: number;
  readonly parent: Label | null;
}

/** Slack for sums of floating point numbers against a budget. */
const EPS = 1e-9;
/** A pick must beat the best one known by more than this to be looked for. */
const GAIN = 1e-7;
/** Partial picks kept per group: while looking for a first good pick, and to settle the rest. */
const NARROW = 40;
const WIDE = 300;

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** Even the most frugal pick breaks some budget. */
const hopeless = (groups: Groups, capacity: readonly number[]): boolean =>
  capacity.some((cap, b) => extremeUse(groups, b, Math.min) > cap + EPS);

/** Budgets that the thirstiest pick of every group together would break. */
const bindingBudgets = (groups: Groups, capacity: readonly number[]): number[] =>
  capacity.map((_, b) => b).filter((b) => extremeUse(groups, b, Math.max) > capacity[b]!);

/** Sum over the groups of the least or the most that any of their items takes of one budget. */
function extremeUse(groups: Groups, budget: number, extreme: (p: number, q: number) => number): number {
  let total = 0;
  for (const items of groups) {
    let use = items[0]!.use[budget]!;
    for (const item of items) use = extreme(use, item.use[budget]!);
    total += use;
  }
  return total;
}

/** Items that another item of the group beats in cost and in every budget can't be needed. */
function undominated(items: readonly Choosable[]): Choosable[] {
  const beats = (p: Item, q: Item): boolean =>
    p.cost <= q.cost && p.use.every((use, b) => use <= q.use[b]!);
  return items.filter(
    (item, i) =>
      !items.some((other, j) => j !== i && beats(other, item) && (j < i || !beats(item, other))),
  );
}

/** An item with its place in its group, which survives when others of the group are dropped. */
interface Choosable extends Item {
  readonly pick: number;
}

/** The groups over the budgets that can bind, each budget in shares of its capacity. */
interface Reduced {
  readonly groups: readonly (readonly Choosable[])[];
  readonly capacity: readonly number[];
}

function reduce(groups: Groups, capacity: readonly number[]): Reduced {
  const binding = bindingBudgets(groups, capacity);
  const scale = binding.map((b) => (capacity[b]! > EPS ? capacity[b]! : 1));
  return {
    groups: groups.map((items) =>
      undominated(
        items.map(({ cost, use }, pick) => ({
          cost,
          pick,
          use: binding.map((b, k) => use[b]! / scale[k]!),
        })),
      ),
    ),
    capacity: binding.map((b, k) => capacity[b]! / scale[k]!),
  };
}

/** What the groups from each one on must still cost and take, at the least. */
interface Rest {
  readonly priced: readonly number[];
  readonly use: readonly (readonly number[])[];
}

function restOf(groups: readonly (readonly Item[])[], price: readonly number[]): Rest {
  const n = groups.length;
  const priced = new Array<number>(n + 1).fill(0);
  const use = Array.from({ length: n + 1 }, () => price.map(() => 0));
  for (let g = n - 1; g >= 0; g--) {
    const items = groups[g]!;
    priced[g] = priced[g + 1]! + Math.min(...items.map((item) => pricedCost(item, price)));
    use[g] = price.map((_, b) => use[g + 1]![b]! + Math.min(...items.map((item) => item.use[b]!)));
  }
  return { priced, use };
}

/** Keeps the labels that no other beats in cost and every budget; they come in order of cost. */
function prune(labels: readonly Label[]): Label[] {
  const kept: Label[] = [];
  for (const label of labels) {
    const beaten = kept.some((other) => other.use.every((use, b) => use <= label.use[b]! + EPS));
    if (!beaten) kept.push(label);
  }
  return kept;
}

/** The best pick found, if any beats the mark, and the least that what was not looked at may cost. */
interface Search {
  readonly found: Found | undefined;
  readonly unseen: number;
}

interface Found {
  readonly cost: number;
  readonly picks: readonly number[];
}

function picksOf(last: Label): number[] {
  const picks: number[] = [];
  for (let label: Label | null = last; label?.parent; label = label.parent) picks.push(label.pick);
  return picks.reverse();
}

/**
 * Goes through the groups, keeping the partial picks that may still lead to something better than
 * `atMost`, the most promising ones where there are more than `width`. Exact when `unseen` says
 * that none was dropped that could matter.
 */
function labelSearch(
  { groups, capacity }: Reduced,
  { price }: Bound,
  atMost: number,
  width: number,
): Search {
  const rest = restOf(groups, price);
  const credit = sum(capacity.map((cap, b) => cap * price[b]!));
  const boundOf = (label: Label, g: number): number =>
    pricedCost(label, price) + rest.priced[g]! - credit;
  let unseen = Infinity;
  let labels: Label[] = [{ cost: 0, use: capacity.map(() => 0), pick: -1, parent: null }];
  for (let g = 0; g < groups.length; g++) {
    const next: Label[] = [];
    for (const label of labels)
      for (const item of groups[g]!) {
        const use = label.use.map((used, b) => used + item.use[b]!);
        if (use.some((used, b) => used + rest.use[g + 1]![b]! > capacity[b]! + EPS)) continue;
        const candidate = { cost: label.cost + item.cost, use, pick: item.pick, parent: label };
        if (boundOf(candidate, g + 1) <= atMost - GAIN) next.push(candidate);
      }
    labels = prune(next.sort((p, q) => p.cost - q.cost));
    if (labels.length > width) {
      labels.sort((p, q) => boundOf(p, g + 1) - boundOf(q, g + 1));
      unseen = Math.min(unseen, boundOf(labels[width]!, g + 1));
      labels = labels.slice(0, width).sort((p, q) => p.cost - q.cost);
    }
  }
  const [best] = labels;
  // A bound below the mark is no proof that the pick is: slack budgets are paid for in it, too.
  const better = best !== undefined && best.cost <= atMost - GAIN;
  return { found: better ? { cost: best.cost, picks: picksOf(best) } : undefined, unseen };
}

/** Drops the items that cost too much to be part of a pick better than the one known. */
function peg({ groups, capacity }: Reduced, { price, value }: Bound, known: number): Reduced {
  return {
    capacity,
    groups: groups.map((items) => {
      const least = Math.min(...items.map((item) => pricedCost(item, price)));
      return items.filter((item) => value + pricedCost(item, price) - least <= known - GAIN);
    }),
  };
}

/** Widest spread of costs first: what decides most is decided early, and twins stand together. */
function searchOrder({ groups }: Reduced): number[] {
  const spread = groups.map((items) => {
    const costs = items.map(({ cost }) => cost);
    return Math.max(...costs) - Math.min(...costs);
  });
  return groups.map((_, g) => g).sort((p, q) => spread[q]! - spread[p]!);
}

/**
 * Multiple-choice knapsack: one item from every group, least total cost, every budget kept.
 * Lagrangian prices of the budgets give a lower bound; a narrow search gives a good pick; the gap
 * between them drops most items, and a wide search over partial picks settles the rest. Where even
 * that has to pass some over (many zones alike under several tight budgets), `atLeast` says how
 * far from the best the pick can be.
 * @param below only a pick that costs less is of interest
 * @returns undefined when there is none, or a group is empty
 */
export function pickOnePerGroup(
  groups: Groups,
  capacity: readonly number[],
  below = Infinity,
): Picked | undefined {
  if (groups.some((items) => items.length === 0)) return undefined;
  if (hopeless(groups, capacity)) return undefined;
  const reduced = reduce(groups, capacity);
  const order = searchOrder(reduced);
  const { found, unseen } = solve({ ...reduced, groups: order.map((g) => reduced.groups[g]!) }, below);
  if (!found) return undefined;
  const picks = new Array<number>(groups.length);
  order.forEach((g, i) => (picks[g] = found.picks[i]!));
  const cost = sum(picks.map((pick, g) => groups[g]![pick]!.cost));
  return { picks, cost, atLeast: Math.min(cost, unseen) };
}

function solve(problem: Reduced, below: number): Search {
  const bound = priceBudgets(problem.groups, problem.capacity);
  const dearest = sum(problem.groups.map((items) => Math.max(...items.map(({ cost }) => cost))));
  const mark = Math.min(below, dearest + 2 * GAIN);
  const first = labelSearch(problem, bound, mark, NARROW);
  if (first.unseen >= (first.found?.cost ?? mark)) return { ...first, unseen: Infinity };
  const known = first.found?.cost ?? mark;
  const second = labelSearch(peg(problem, bound, known), bound, known, WIDE);
  const found = second.found ?? first.found;
  return { found, unseen: second.unseen >= (found?.cost ?? known) ? Infinity : Math.max(second.unseen, bound.value) };
}
