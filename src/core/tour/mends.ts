import type { Day, Restock, TowelRole } from '../model';
import type { Study } from '../studies';
import type { DayPlan, DayPlanner } from './plan-day';
import { type StockKind, stockKinds } from './stocks';

/** One thing that would let a day be done with what the van holds. */
export type DayChange =
  /** More of it from the morning on. */
  | { readonly code: 'carry-more'; readonly kind: StockKind; readonly amount: number }
  /** Back to the start on the way, to fill up or to wash a load of towels. */
  | { readonly code: 'restock'; readonly gives: Restock; readonly minutes: number }
  /** A stop on another day. */
  | { readonly code: 'leave'; readonly stop: number };

export interface DayMend {
  readonly change: DayChange;
  readonly plan: DayPlan;
}

/** Washing a load of towels, and filling up at the start (judged). */
const LAUNDRY_MIN = 90;
const FILL_MIN = 15;
/** By what more is carried, so that it is a vessel, a pack, a pile (judged); and nobody carries more than so many times that. */
const stepOf = (kind: StockKind): number => (kind === 'water' || kind === 'drain' ? 10 : kind === 'battery' ? 12 : 2);
const MOST_STEPS = 20;
/** So many stops are asked about. */
const MOST_LEFT = 3;

const restockFor = (kind: StockKind): Restock => (kind === 'water' || kind === 'drain' || kind === 'battery' ? kind : 'towels');

function carrying(day: Day, kind: StockKind, amount: number): Day {
  const { van } = day;
  switch (kind) {
    case 'water':
      return { ...day, van: { ...van, waterL: van.waterL + amount } };
    case 'drain':
      return { ...day, van: { ...van, dirtyL: van.dirtyL + amount } };
    case 'battery':
      return { ...day, van: { ...van, batteryMin: van.batteryMin + amount } };
    default:
      return { ...day, van: { ...van, towels: { ...van.towels, [kind]: van.towels[kind as TowelRole] + amount } } };
  }
}

/** The day with a change. */
export function withDayChange(day: Day, change: DayChange): Day {
  switch (change.code) {
    case 'carry-more':
      return carrying(day, change.kind, change.amount);
    case 'restock':
      return { ...day, restocking: [...day.restocking, { ...day.start, minutes: change.minutes, gives: [change.gives] }] };
    case 'leave':
      return { ...day, stops: day.stops.filter((_stop, i) => i !== change.stop) };
  }
}

/** The least that is carried more until nothing of its kind is short; null where that takes more than anybody would. */
function* leastMore(day: Day, kind: StockKind, planner: DayPlanner): Study<DayMend | null> {
  const step = stepOf(kind);
  for (let steps = 1; steps <= MOST_STEPS; steps *= 2) {
    const plan = yield* tried(day, { code: 'carry-more', kind, amount: steps * step }, planner);
    if (plan.shortage?.kind === kind) continue;
    let [low, high] = [Math.floor(steps / 2), steps];
    let best: DayMend = { change: { code: 'carry-more', kind, amount: steps * step }, plan };
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      const less = yield* tried(day, { code: 'carry-more', kind, amount: middle * step }, planner);
      if (less.shortage?.kind === kind) low = middle;
      else {
        high = middle;
        best = { change: { code: 'carry-more', kind, amount: middle * step }, plan: less };
      }
    }
    return best;
  }
  return null;
}

function* tried(day: Day, change: DayChange, planner: DayPlanner): Study<DayPlan> {
  return yield* planner.plan(withDayChange(day, change));
}

/**
 * What would mend the first shortage of a day, each planned anew: a little more of it, filling up on the way, a stop left for another
 * day. What mends it all comes first, then what costs least.
 */
export function* dayMends(day: Day, plan: DayPlan, planner: DayPlanner): Study<readonly DayMend[]> {
  const { shortage } = plan;
  if (!shortage) return [];
  const found: DayMend[] = [];
  const more = yield* leastMore(day, shortage.kind, planner);
  if (more) found.push(more);
  const gives = restockFor(shortage.kind);
  const restock: DayChange = { code: 'restock', gives, minutes: gives === 'towels' ? LAUNDRY_MIN : FILL_MIN };
  found.push({ change: restock, plan: yield* tried(day, restock, planner) });
  for (const stop of mostOf(plan, shortage.kind)) {
    const leave: DayChange = { code: 'leave', stop };
    found.push({ change: leave, plan: yield* tried(day, leave, planner) });
  }
  const mends = found.filter((one) => one.plan.shortage?.kind !== shortage.kind);
  return mends.sort((p, q) => Number(p.plan.shortage !== null) - Number(q.plan.shortage !== null) || lost(p) - lost(q) || p.plan.cost - q.plan.cost);
}

/** The stops that take most of a stock. */
function mostOf({ legs }: DayPlan, kind: StockKind): readonly number[] {
  const at = stockKinds.indexOf(kind);
  return legs
    .flatMap(({ stop, takes }) => (stop !== null && takes[at]! > 0 ? [{ stop, takes: takes[at]! }] : []))
    .sort((p, q) => q.takes - p.takes)
    .slice(0, MOST_LEFT)
    .map(({ stop }) => stop);
}

/** Leaving a stop is a lesser mend than any that leaves none. */
const lost = ({ change }: DayMend): number => (change.code === 'leave' ? 1 : 0);
