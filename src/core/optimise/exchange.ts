import type { Flat } from './relaxation';

/** Slack for sums of floating point numbers against a budget. */
const EPS = 1e-9;
/** Exchanges that are made at the most: each gains something, and few are needed. */
const EXCHANGES = 30;

/** An item in the place of the one that is picked in its group. */
interface Change {
  readonly item: number;
  readonly group: number;
  readonly cost: number;
}

/** Does a pick keep the budgets? */
export function keeps({ use, capacity, budgets }: Flat, picks: Int32Array): boolean {
  for (let b = 0; b < budgets; b++) {
    let used = 0;
    for (const item of picks) used += use[item * budgets + b]!;
    if (used > capacity[b]! + EPS) return false;
  }
  return true;
}

/**
 * A pick made cheaper, in place, by changing the items of one group or of two at a time as long as that gains and keeps the budgets:
 * what one panel gives up, another takes.
 * @returns what the pick costs then
 */
export function exchanged({ starts, cost, use, capacity, budgets }: Flat, picks: Int32Array): number {
  const used = new Float64Array(budgets);
  let total = 0;
  for (const item of picks) {
    total += cost[item]!;
    for (let b = 0; b < budgets; b++) used[b]! += use[item * budgets + b]!;
  }
  const fits = (p: Change, q: Change | null): boolean => {
    for (let b = 0; b < budgets; b++) {
      const first = use[p.item * budgets + b]! - use[picks[p.group]! * budgets + b]!;
      const second = q ? use[q.item * budgets + b]! - use[picks[q.group]! * budgets + b]! : 0;
      if (used[b]! + first + second > capacity[b]! + EPS) return false;
    }
    return true;
  };
  const best = (): readonly Change[] => {
    const changes: Change[] = [];
    for (let group = 0; group + 1 < starts.length; group++)
      for (let item = starts[group]!; item < starts[group + 1]!; item++)
        if (item !== picks[group]) changes.push({ item, group, cost: cost[item]! - cost[picks[group]!]! });
    changes.sort((p, q) => p.cost - q.cost);
    let [gain, found]: [number, readonly Change[]] = [-EPS, []];
    for (const [i, p] of changes.entries()) {
      if (p.cost >= 0) break;
      if (p.cost < gain && fits(p, null)) [gain, found] = [p.cost, [p]];
      for (let j = i + 1; j < changes.length; j++) {
        const q = changes[j]!;
        if (p.cost + q.cost >= gain) break;
        if (p.group !== q.group && fits(p, q)) [gain, found] = [p.cost + q.cost, [p, q]];
      }
    }
    return found;
  };
  for (let made = 0; made < EXCHANGES; made++) {
    const changes = best();
    if (changes.length === 0) break;
    for (const { item, group, cost: more } of changes) {
      for (let b = 0; b < budgets; b++) used[b]! += use[item * budgets + b]! - use[picks[group]! * budgets + b]!;
      picks[group] = item;
      total += more;
    }
  }
  return total;
}
