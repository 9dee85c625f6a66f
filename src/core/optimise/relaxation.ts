/** One way to serve a group: what it costs and what it takes from each budget (same order). */
export interface Item {
  readonly cost: number;
  readonly use: readonly number[];
}

export type Groups = readonly (readonly Item[])[];

/** Items of all groups side by side in flat arrays: they are gone through many times over. */
export interface Flat {
  /** Where each group's items start, and where the last group's end. */
  readonly starts: Int32Array;
  /** Group of each item. */
  readonly group: Int32Array;
  readonly cost: Float64Array;
  /** `use[item * budgets + b]`. */
  readonly use: Float64Array;
  readonly capacity: Float64Array;
  readonly budgets: number;
}

export function flatten(groups: Groups, capacity: readonly number[]): Flat {
  const starts = new Int32Array(groups.length + 1);
  groups.forEach((items, g) => (starts[g + 1] = starts[g]! + items.length));
  const count = starts[groups.length]!;
  const flat: Flat = {
    starts,
    group: new Int32Array(count),
    cost: new Float64Array(count),
    use: new Float64Array(count * capacity.length),
    capacity: Float64Array.from(capacity),
    budgets: capacity.length,
  };
  for (let g = 0, i = 0; g < groups.length; g++)
    for (const item of groups[g]!) {
      flat.group[i] = g;
      flat.cost[i] = item.cost;
      flat.use.set(item.use, i * capacity.length);
      i++;
    }
  return flat;
}

/**
 * Where the simplex stands: every group has one key item, and every budget has one more variable in
 * the basis, an item of some group or the budget's own slack (numbered after the items).
 */
export interface Basis {
  readonly key: Int32Array;
  readonly other: Int32Array;
}

/** Every group on its cheapest item, every budget slack: no item is priced too low, so a start. */
export function cheapest({ starts, cost, budgets }: Flat): Basis {
  const key = new Int32Array(starts.length - 1);
  for (let g = 0; g < key.length; g++) {
    key[g] = starts[g]!;
    for (let i = starts[g]!; i < starts[g + 1]!; i++) if (cost[i]! < cost[key[g]!]!) key[g] = i;
  }
  return { key, other: Int32Array.from({ length: budgets }, (_, b) => cost.length + b) };
}

export const copyOf = ({ key, other }: Basis): Basis => ({ key: key.slice(), other: other.slice() });

/** Below this a share of an item is none. */
export const NONE = 1e-8;
/** Below this a variable does not move another. */
const STILL = 1e-10;
/** Pivots in all; only floating point that turns in a circle would ever need as many. */
const PIVOTS = 5000;

/** No choice is left, or none below the cutoff; the best; or a lower bound on what is left. */
export type Solved = 'none' | 'best' | 'open';

/**
 * The choice of one item per group with shares of items allowed, by the dual simplex with
 * generalised upper bounds (Dantzig and Van Slyke 1967): the working basis is only as large as the
 * number of budgets. Its value is a lower bound at every step, and where no item is shared out it
 * is the best choice.
 */
export class Relaxation {
  /** The lower bound. */
  value = 0;
  /** Share of each key item, and amount of each other variable of the basis. */
  readonly keyShare: Float64Array;
  readonly amount: Float64Array;
  /** Price of each budget, ≤ 0 per unit of room. */
  private readonly price: Float64Array;
  private readonly inverse: Float64Array;
  private readonly row: Float64Array;
  private readonly work: Float64Array;

  constructor(private readonly flat: Flat) {
    const m = flat.budgets;
    this.keyShare = new Float64Array(flat.starts.length - 1);
    this.amount = new Float64Array(m);
    this.price = new Float64Array(m);
    this.inverse = new Float64Array(m * m);
    this.row = new Float64Array(m);
    this.work = new Float64Array(m * m);
  }

  /**
   * Moves the basis, in place, to the best one without the forbidden items.
   * @param basis priced right: from `cheapest`, or where an earlier call with fewer items forbidden ended
   * @param cutoff a bound above this is enough
   * @param most pivots after which the bound so far has to do
   */
  solve(basis: Basis, forbidden: Uint8Array, cutoff: number, most = PIVOTS): Solved {
    for (let pivots = 0; pivots < most; pivots++) {
      this.evaluate(basis);
      if (this.value > cutoff) return 'none';
      const leaving = this.leaving(basis, forbidden);
      if (leaving === undefined) return 'best';
      const entering = this.entering(basis, forbidden, leaving);
      if (entering < 0) return 'none';
      this.pivot(basis, leaving, entering);
    }
    return 'open';
  }

  /** Share of an item that the basis takes. */
  share(item: number, { key, other }: Basis): number {
    const v = other.indexOf(item);
    if (v >= 0) return this.amount[v]!;
    const g = this.flat.group[item]!;
    return key[g] === item ? this.keyShare[g]! : 0;
  }

  /** What an item costs more than its group's key item, at the prices of the budgets. */
  reducedCost(item: number, { key }: Basis): number {
    const { cost, use, group, budgets } = this.flat;
    const k = key[group[item]!]!;
    let more = cost[item]! - cost[k]!;
    for (let b = 0; b < budgets; b++) more -= this.price[b]! * (use[item * budgets + b]! - use[k * budgets + b]!);
    return more;
  }

  private column(variable: number, b: number, { key }: Basis): number {
    const { use, group, budgets, cost } = this.flat;
    if (variable >= cost.length) return variable - cost.length === b ? 1 : 0;
    return use[variable * budgets + b]! - use[key[group[variable]!]! * budgets + b]!;
  }

  /** Amounts, shares, prices and value of the basis. */
  private evaluate(basis: Basis): void {
    const { cost, use, capacity, budgets: m, group } = this.flat;
    const { key, other } = basis;
    this.invert(basis);
    this.value = 0;
    this.row.set(capacity);
    for (const k of key) {
      this.value += cost[k]!;
      for (let b = 0; b < m; b++) this.row[b]! -= use[k * m + b]!;
    }
    this.keyShare.fill(1);
    this.price.fill(0);
    for (let v = 0; v < m; v++) {
      let amount = 0;
      for (let b = 0; b < m; b++) amount += this.inverse[v * m + b]! * this.row[b]!;
      this.amount[v] = amount;
      const item = other[v]!;
      if (item >= cost.length) continue;
      const g = group[item]!;
      const more = cost[item]! - cost[key[g]!]!;
      this.keyShare[g]! -= amount;
      this.value += more * amount;
      for (let b = 0; b < m; b++) this.price[b]! += more * this.inverse[v * m + b]!;
    }
  }

  /** Gauss and Jordan with row exchange; the working basis is small. */
  private invert(basis: Basis): void {
    const m = this.flat.budgets;
    const { work, inverse } = this;
    for (let b = 0; b < m; b++)
      for (let v = 0; v < m; v++) {
        work[b * m + v] = this.column(basis.other[v]!, b, basis);
        inverse[b * m + v] = b === v ? 1 : 0;
      }
    for (let c = 0; c < m; c++) {
      let top = c;
      for (let r = c + 1; r < m; r++) if (Math.abs(work[r * m + c]!) > Math.abs(work[top * m + c]!)) top = r;
      const scale = 1 / work[top * m + c]!;
      for (let k = 0; k < m; k++) {
        const [w, i] = [work[top * m + k]! * scale, inverse[top * m + k]! * scale];
        work[top * m + k] = work[c * m + k]!;
        inverse[top * m + k] = inverse[c * m + k]!;
        work[c * m + k] = w;
        inverse[c * m + k] = i;
      }
      for (let r = 0; r < m; r++) {
        const factor = work[r * m + c]!;
        if (r === c || factor === 0) continue;
        for (let k = 0; k < m; k++) {
          work[r * m + k]! -= factor * work[c * m + k]!;
          inverse[r * m + k]! -= factor * inverse[c * m + k]!;
        }
      }
    }
  }

  /** The variable furthest from where it may be: below nothing, or there although forbidden. */
  private leaving({ key, other }: Basis, forbidden: Uint8Array): Leaving | undefined {
    let worst = NONE;
    let found: Leaving | undefined;
    const look = (at: number, isKey: boolean, variable: number, amount: number): void => {
      const tooMuch = variable < forbidden.length && forbidden[variable] === 1;
      const off = amount < 0 ? -amount : tooMuch ? amount : 0;
      if (off <= worst) return;
      worst = off;
      found = { at, isKey, falls: amount > 0 };
    };
    for (let v = 0; v < other.length; v++) look(v, false, other[v]!, this.amount[v]!);
    for (let g = 0; g < key.length; g++) look(g, true, key[g]!, this.keyShare[g]!);
    return found;
  }

  /** The variable that can take over at the least loss; −1 when none can. */
  private entering(basis: Basis, forbidden: Uint8Array, { at, isKey, falls }: Leaving): number {
    const { use, group, starts, cost, budgets: m } = this.flat;
    const { row, inverse } = this;
    const sign = falls ? 1 : -1;
    if (isKey) {
      row.fill(0);
      basis.other.forEach((item, v) => {
        if (item < cost.length && group[item] === at) for (let b = 0; b < m; b++) row[b]! -= inverse[v * m + b]!;
      });
    } else for (let b = 0; b < m; b++) row[b] = inverse[at * m + b]!;
    let [best, bestRatio, bestSlope] = [-1, Infinity, 0];
    const consider = (variable: number, slope: number, reduced: number): void => {
      if (slope <= STILL) return;
      const ratio = Math.max(0, reduced) / slope;
      if (ratio > bestRatio + 1e-12 || (ratio > bestRatio - 1e-12 && slope <= bestSlope)) return;
      [best, bestRatio, bestSlope] = [variable, ratio, slope];
    };
    for (let g = 0; g + 1 < starts.length; g++) {
      const k = basis.key[g]!;
      for (let i = starts[g]!; i < starts[g + 1]!; i++) {
        if (i === k || forbidden[i] === 1) continue;
        let slope = isKey && g === at ? 1 : 0;
        for (let b = 0; b < m; b++) slope += row[b]! * (use[i * m + b]! - use[k * m + b]!);
        slope *= sign;
        if (slope > STILL && !basis.other.includes(i)) consider(i, slope, this.reducedCost(i, basis));
      }
    }
    for (let b = 0; b < m; b++)
      if (!basis.other.includes(cost.length + b)) consider(cost.length + b, sign * row[b]!, -this.price[b]!);
    return best;
  }

  private pivot({ key, other }: Basis, { at, isKey }: Leaving, entering: number): void {
    const { group, cost } = this.flat;
    if (!isKey) {
      other[at] = entering;
      return;
    }
    if (entering < cost.length && group[entering] === at) {
      key[at] = entering;
      return;
    }
    const heir = other.findIndex((item) => item < cost.length && group[item] === at);
    key[at] = other[heir]!;
    other[heir] = entering;
  }
}

/** A variable that leaves the basis: the key of a group, or another by its place. */
interface Leaving {
  readonly at: number;
  readonly isKey: boolean;
  /** It has to come down to nothing; otherwise it has to come up. */
  readonly falls: boolean;
}
