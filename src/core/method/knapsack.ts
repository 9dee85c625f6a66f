/** One way to serve a group: what it costs and what it takes from each budget (same order). */
export interface Item {
  readonly cost: number;
  readonly use: readonly number[];
}

export interface Picked {
  /** Index of the item taken from each group. */
  readonly picks: readonly number[];
  readonly cost: number;
}

interface Label {
  readonly cost: number;
  readonly use: readonly number[];
  readonly pick: number;
  readonly parent: Label | null;
}

/** Slack for sums of floating point numbers against a budget. */
const EPS = 1e-9;
/** Rounds of the subgradient that tightens the bound; more changes only the speed. */
const BOUND_ROUNDS = 60;

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

const cheapest = (items: readonly Item[], price: readonly number[]): number => {
  let best = 0;
  let bestCost = Infinity;
  items.forEach((item, i) => {
    const cost = pricedCost(item, price);
    if (cost < bestCost) [best, bestCost] = [i, cost];
  });
  return best;
};

const pricedCost = (item: Item, price: readonly number[]): number => {
  let cost = item.cost;
  for (let b = 0; b < price.length; b++) cost += price[b]! * item.use[b]!;
  return cost;
};

/** Items that another item of the group beats in cost and in every budget can't be needed. */
function undominated(items: readonly Item[]): number[] {
  const beats = (p: Item, q: Item): boolean =>
    p.cost <= q.cost && p.use.every((use, b) => use <= q.use[b]!);
  return items
    .map((_, i) => i)
    .filter(
      (i) =>
        !items.some(
          (other, j) =>
            j !== i && beats(other, items[i]!) && (j < i || !beats(items[i]!, other)),
        ),
    );
}

/** Sum over the groups of the least or the most that any of their items takes of one budget. */
function extremeUse(
  groups: readonly (readonly Item[])[],
  budget: number,
  extreme: (p: number, q: number) => number,
): number {
  let total = 0;
  for (const items of groups) {
    let use = items[0]!.use[budget]!;
    for (const item of items) use = extreme(use, item.use[budget]!);
    total += use;
  }
  return total;
}

/** Even the most frugal pick breaks some budget. */
const hopeless = (groups: readonly (readonly Item[])[], capacity: readonly number[]): boolean =>
  capacity.some((cap, b) => extremeUse(groups, b, Math.min) > cap + EPS);

/** Budgets that the thirstiest pick of every group together would break. */
const bindingBudgets = (groups: readonly (readonly Item[])[], capacity: readonly number[]): number[] =>
  capacity.map((_, b) => b).filter((b) => extremeUse(groups, b, Math.max) > capacity[b]!);

interface Bound {
  readonly price: readonly number[];
  /** Cost of the best full pick seen on the way that keeps every budget. */
  readonly incumbent: number;
}

/** Items of all groups side by side in flat arrays: the bound is taken many times over. */
interface Flat {
  readonly starts: Int32Array;
  readonly cost: Float64Array;
  readonly use: Float64Array;
  readonly budgets: number;
}

function flatten(groups: readonly (readonly Item[])[], budgets: number): Flat {
  const count = groups.reduce((total, items) => total + items.length, 0);
  const flat: Flat = {
    starts: new Int32Array(groups.length + 1),
    cost: new Float64Array(count),
    use: new Float64Array(count * budgets),
    budgets,
  };
  let i = 0;
  groups.forEach((items, g) => {
    flat.starts[g] = i;
    for (const item of items) {
      flat.cost[i] = item.cost;
      for (let b = 0; b < budgets; b++) flat.use[i * budgets + b] = item.use[b]!;
      i++;
    }
  });
  flat.starts[groups.length] = i;
  return flat;
}

/** Cost and use of the cheapest item of every group at the given prices; use is written in place. */
function cheapestPicks({ starts, cost, use, budgets }: Flat, price: Float64Array, used: Float64Array): number {
  let total = 0;
  used.fill(0);
  for (let g = 0; g + 1 < starts.length; g++) {
    let best = starts[g]!;
    let bestCost = Infinity;
    for (let i = starts[g]!; i < starts[g + 1]!; i++) {
      let priced = cost[i]!;
      for (let b = 0; b < budgets; b++) priced += price[b]! * use[i * budgets + b]!;
      if (priced < bestCost) [best, bestCost] = [i, priced];
    }
    total += cost[best]!;
    for (let b = 0; b < budgets; b++) used[b]! += use[best * budgets + b]!;
  }
  return total;
}

/** Lagrangian prices of the budgets by a subgradient; any prices ≥ 0 give a valid lower bound. */
function priceBudgets(groups: readonly (readonly Item[])[], capacity: readonly number[]): Bound {
  const flat = flatten(groups, capacity.length);
  const used = new Float64Array(capacity.length);
  const price = new Float64Array(capacity.length);
  let bestPrice = [...price];
  let [bestBound, incumbent, step] = [-Infinity, Infinity, 1];
  for (let round = 0; round < BOUND_ROUNDS; round++) {
    const cost = cheapestPicks(flat, price, used);
    let [bound, norm, kept] = [cost, 0, true];
    for (let b = 0; b < capacity.length; b++) {
      const excess = used[b]! - capacity[b]!;
      bound += excess * price[b]!;
      norm += excess * excess;
      if (excess > EPS) kept = false;
    }
    if (kept) incumbent = Math.min(incumbent, cost);
    if (bound > bestBound) [bestBound, bestPrice] = [bound, [...price]];
    else step *= 0.85;
    if (norm < EPS) break;
    const scale = (step * Math.max(1e-3, Math.abs(cost) * 0.5)) / norm;
    for (let b = 0; b < capacity.length; b++)
      price[b] = Math.max(0, price[b]! + scale * (used[b]! - capacity[b]!));
  }
  return { price: bestPrice, incumbent };
}

/** Keeps the labels that no other beats in cost and every budget. */
function prune(labels: Label[]): Label[] {
  labels.sort((p, q) => p.cost - q.cost);
  const kept: Label[] = [];
  for (const label of labels) {
    const beaten = kept.some((other) => other.use.every((use, b) => use <= label.use[b]! + EPS));
    if (!beaten) kept.push(label);
  }
  return kept;
}

function picksOf(last: Label): number[] {
  const picks: number[] = [];
  for (let label: Label | null = last; label?.parent; label = label.parent) picks.push(label.pick);
  return picks.reverse();
}

/**
 * Multiple-choice knapsack, exactly: one item from every group, least total cost, every budget
 * kept. A Pareto-label dynamic programme over the budgets that can bind, pruned by a Lagrangian
 * lower bound on what the remaining groups must still cost.
 * @returns undefined when no pick keeps the budgets, or a group is empty
 */
export function pickOnePerGroup(
  groups: readonly (readonly Item[])[],
  capacity: readonly number[],
): Picked | undefined {
  if (groups.some((items) => items.length === 0)) return undefined;
  if (hopeless(groups, capacity)) return undefined;
  const binding = bindingBudgets(groups, capacity);
  const caps = binding.map((b) => capacity[b]!);
  const slim = groups.map((items) =>
    items.map(({ cost, use }) => ({ cost, use: binding.map((b) => use[b]!) })),
  );
  if (binding.length === 0) {
    const picks = slim.map((items) => cheapest(items, []));
    return { picks, cost: sum(picks.map((pick, g) => slim[g]![pick]!.cost)) };
  }
  return labelSearch(slim, caps);
}

function labelSearch(
  groups: readonly (readonly Item[])[],
  capacity: readonly number[],
): Picked | undefined {
  const { price, incumbent } = priceBudgets(groups, capacity);
  const n = groups.length;
  const restCost = new Array<number>(n + 1).fill(0);
  const restUse = Array.from({ length: n + 1 }, () => capacity.map(() => 0));
  for (let g = n - 1; g >= 0; g--) {
    const items = groups[g]!;
    restCost[g] = restCost[g + 1]! + pricedCost(items[cheapest(items, price)]!, price);
    restUse[g] = capacity.map(
      (_, b) => restUse[g + 1]![b]! + Math.min(...items.map((item) => item.use[b]!)),
    );
  }
  const credit = sum(capacity.map((cap, b) => cap * price[b]!));
  let labels: Label[] = [{ cost: 0, use: capacity.map(() => 0), pick: -1, parent: null }];
  for (let g = 0; g < n; g++) {
    const candidates = undominated(groups[g]!);
    const next: Label[] = [];
    for (const label of labels)
      for (const pick of candidates) {
        const item = groups[g]![pick]!;
        const use = label.use.map((used, b) => used + item.use[b]!);
        if (use.some((used, b) => used + restUse[g + 1]![b]! > capacity[b]! + EPS)) continue;
        const cost = label.cost + item.cost;
        const bound = cost + sum(use.map((used, b) => used * price[b]!)) + restCost[g + 1]! - credit;
        if (bound > incumbent + EPS) continue;
        next.push({ cost, use, pick, parent: label });
      }
    labels = prune(next);
    if (labels.length === 0) return undefined;
  }
  const best = labels[0]!;
  return { picks: picksOf(best), cost: best.cost };
}
