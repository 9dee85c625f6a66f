/** One way to serve a group: what it costs and what it takes from each budget (same order). */
export interface Item {
  readonly cost: number;
  readonly use: readonly number[];
}

export type Groups = readonly (readonly Item[])[];

/** Prices of the budgets, all ≥ 0, and the lower bound on any pick's cost that they prove. */
export interface Bound {
  readonly price: readonly number[];
  readonly value: number;
}

/** Rounds of the subgradient that tightens the bound; more changes only the speed. */
const ROUNDS = 120;
/** Rounds without progress after which the step is halved. */
const PATIENCE = 4;

/** Cost of an item, or of a partial pick, with its use of the budgets paid for. */
export const pricedCost = (item: Item, price: readonly number[]): number => {
  let cost = item.cost;
  for (let b = 0; b < price.length; b++) cost += price[b]! * item.use[b]!;
  return cost;
};

/** Items of all groups side by side in flat arrays: the bound is taken many times over. */
interface Flat {
  readonly starts: Int32Array;
  readonly cost: Float64Array;
  readonly use: Float64Array;
  readonly budgets: number;
}

function flatten(groups: Groups, budgets: number): Flat {
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
function cheapestPicks(
  { starts, cost, use, budgets }: Flat,
  price: Float64Array,
  used: Float64Array,
): number {
  let total = 0;
  used.fill(0);
  for (let g = 0; g + 1 < starts.length; g++) {
    let best = starts[g]!;
    let bestCost = Infinity;
    for (let i = starts[g]!; i < starts[g + 1]!; i++) {
      let priced = cost[i]!;
      for (let b = 0; b < budgets; b++) priced += price[b]! * use[i * budgets + b]!;
      if (priced < bestCost) {
        best = i;
        bestCost = priced;
      }
    }
    total += cost[best]!;
    for (let b = 0; b < budgets; b++) used[b]! += use[best * budgets + b]!;
  }
  return total;
}

/**
 * Lagrangian prices of the budgets by a subgradient with a shrinking step (Held, Wolfe and
 * Crowder). Any prices ≥ 0 prove a lower bound; these prove a good one.
 */
export function priceBudgets(groups: Groups, capacity: readonly number[]): Bound {
  const flat = flatten(groups, capacity.length);
  const used = new Float64Array(capacity.length);
  const price = new Float64Array(capacity.length);
  let best: Bound = { price: [...price], value: -Infinity };
  let [step, stale] = [1, 0];
  for (let round = 0; round < ROUNDS && step > 1e-4; round++) {
    const cost = cheapestPicks(flat, price, used);
    let [value, norm] = [cost, 0];
    for (let b = 0; b < capacity.length; b++) {
      const excess = used[b]! - capacity[b]!;
      value += excess * price[b]!;
      // A budget that is kept and costs nothing pulls nowhere.
      if (excess > 0 || price[b]! > 0) norm += excess * excess;
    }
    if (value > best.value + 1e-9) {
      best = { price: [...price], value };
      stale = 0;
    } else if (++stale >= PATIENCE) {
      [step, stale] = [step / 2, 0];
      price.set(best.price);
      continue;
    }
    if (norm < 1e-18) break;
    const scale = (step * Math.max(1e-3, Math.abs(best.value) * 0.2)) / norm;
    for (let b = 0; b < capacity.length; b++)
      price[b] = Math.max(0, price[b]! + scale * (used[b]! - capacity[b]!));
  }
  return best;
}
