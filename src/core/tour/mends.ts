import type { Day, Restock, Travel } from '../model';
import type { Study } from '../studies';
import type { DayPlan, DayPlanner, DayWay } from './plan-day';
import { type StockKind, carrying, stockKinds } from './stocks';
import { START, rowOfStop } from './travel';

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

const restockFor = (kind: StockKind): Restock =>
  kind === 'water' || kind === 'drain' || kind === 'battery' ? kind : 'towels';

const without = <T>(list: readonly T[], at: number): readonly T[] => [...list.slice(0, at), ...list.slice(at + 1)];

/** Minutes typed by hand, without a place; or with one more that is where the day starts. */
function withoutPlace(travel: Travel, at: number): Travel {
  return travel.kind === 'line'
    ? travel
    : { kind: 'table', minutes: without(travel.minutes, at).map((row) => without(row, at)) };
}

function withStartAgain(travel: Travel): Travel {
  if (travel.kind === 'line') return travel;
  const rows = travel.minutes.map((row) => [...row, row[START]!]);
  return { kind: 'table', minutes: [...rows, rows[START]!] };
}

/** The day with a change. */
export function withDayChange(day: Day, change: DayChange): Day {
  switch (change.code) {
    case 'carry-more':
      return { ...day, van: carrying(day.van, change.kind, change.amount) };
    case 'restock':
      return {
        ...day,
        travel: withStartAgain(day.travel),
        restocking: [...day.restocking, { ...day.start, minutes: change.minutes, gives: [change.gives] }],
      };
    case 'leave':
      return {
        ...day,
        travel: withoutPlace(day.travel, rowOfStop(change.stop)),
        stops: without(day.stops, change.stop),
      };
  }
}

/** Plans the day with a change. */
type Ask = (change: DayChange) => Study<DayPlan>;

/** A day that is under way: what is carried more is carried now, and a stop that is left is in no order. */
function withWayChange({ order = null, since = null }: DayWay, change: DayChange): DayWay {
  const leaving = (list: readonly number[]): readonly number[] =>
    change.code === 'leave' ? list.filter((i) => i !== change.stop).map((i) => (i > change.stop ? i - 1 : i)) : list;
  const van = since && change.code === 'carry-more' ? carrying(since.van, change.kind, change.amount) : since?.van;
  return { order: order && leaving(order), since: since && { ...since, done: leaving(since.done), van: van! } };
}

/** The least that is carried more until nothing of its kind is short; null where that takes more than anybody would. */
function* leastMore(kind: StockKind, ask: Ask): Study<DayMend | null> {
  const step = stepOf(kind);
  for (let steps = 1; steps <= MOST_STEPS; steps *= 2) {
    const plan = yield* ask({ code: 'carry-more', kind, amount: steps * step });
    if (plan.shortage?.kind === kind) continue;
    let [low, high] = [Math.floor(steps / 2), steps];
    let best: DayMend = { change: { code: 'carry-more', kind, amount: steps * step }, plan };
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      const less = yield* ask({ code: 'carry-more', kind, amount: middle * step });
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

/**
 * What would mend the first shortage of a day, each planned anew: a little more of it, filling up on the way, a stop left for another
 * day. What mends it all comes first, then what costs least.
 */
export function* dayMends(day: Day, plan: DayPlan, planner: DayPlanner, way: DayWay = {}): Study<readonly DayMend[]> {
  const { shortage } = plan;
  if (!shortage) return [];
  const ask: Ask = (change) => planner.plan(withDayChange(day, change), withWayChange(way, change));
  const found: DayMend[] = [];
  const more = yield* leastMore(shortage.kind, ask);
  if (more) found.push(more);
  const gives = restockFor(shortage.kind);
  const restock: DayChange = { code: 'restock', gives, minutes: gives === 'towels' ? LAUNDRY_MIN : FILL_MIN };
  found.push({ change: restock, plan: yield* ask(restock) });
  for (const stop of mostOf(plan, shortage.kind)) {
    const leave: DayChange = { code: 'leave', stop };
    found.push({ change: leave, plan: yield* ask(leave) });
  }
  const mends = found.filter((one) => one.plan.shortage?.kind !== shortage.kind);
  return mends.sort(
    (p, q) =>
      Number(p.plan.shortage !== null) - Number(q.plan.shortage !== null) ||
      lost(p) - lost(q) ||
      p.plan.cost - q.plan.cost,
  );
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
