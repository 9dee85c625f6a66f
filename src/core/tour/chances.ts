import { type TowelRole, towelRoles } from '../model';
import type { Day } from '../model';
import { type Enough, type Study, drawToday, draws, jobDraws, quantile } from '../studies';
import type { DayLeg, DayPlan } from './plan-day';
import { rowOfStop, rowOfRestock, START, END, travelTable } from './travel';

/** One leg on many days. */
interface LegChance {
  /** Share of the days on which it is begun later than it may be. */
  readonly late: number;
  /** Minutes that it may take longer until something is late, or the day is over its end. */
  readonly slackMin: number;
  /** Eight of ten days it is done between these, minutes from midnight. */
  readonly lowMin: number;
  readonly highMin: number;
}

/** A day gone through many times. */
export interface DayChances {
  readonly days: number;
  /** Share of them that is over by the end of the day. */
  readonly inTime: number;
  readonly endMin: Enough;
  /** In the order of the legs of the plan. */
  readonly legs: readonly LegChance[];
  readonly confidence: number;
  readonly litres: Enough;
  readonly towels: readonly (Enough & { readonly role: TowelRole })[];
  readonly products: readonly (Enough & { readonly name: string })[];
  /** Names of the vessels that the plans mix in. */
  readonly vessels: readonly string[];
}

/** So many days, and so many of them at a time (judged). */
const DAYS = 400;
const SLICE = 10;
const SEED = 0.5;

type Sampled = ReturnType<ReturnType<typeof jobDraws>>;

/** Minutes on the road before each leg, filling up included, and home at last. */
function waysOf(
  day: Day,
  legs: readonly DayLeg[],
  from: number,
): { readonly before: readonly number[]; readonly home: number } {
  const table = travelTable(day);
  let place = from;
  const before = legs.map(({ stop, restock }) => {
    if (stop === null) return 0;
    const to = rowOfStop(stop);
    const by = restock === null ? null : rowOfRestock(day, restock);
    const minutes =
      by === null ? table[place]![to]! : table[place]![by]! + day.restocking[restock!]!.minutes + table[by]![to]!;
    place = to;
    return minutes;
  });
  return { before, home: table[place]![END]! };
}

/** When a leg may be begun, minutes from midnight. */
function windowMin(day: Day, { stop, taken, beginMin }: DayLeg): { readonly from: number; readonly until: number } {
  // Hours that are taken are when they are.
  if (taken !== null) return { from: beginMin, until: beginMin };
  const { fromHour, untilHour } = stop === null ? day.break! : day.stops[stop]!;
  return { from: fromHour * 60, until: untilHour * 60 };
}

/** Backwards: how much later each leg may be done so that all after it is in time. */
function slacksOf(day: Day, plan: DayPlan, ways: ReturnType<typeof waysOf>): readonly number[] {
  let latest = Math.max(plan.endMin, day.endHour * 60) - ways.home;
  const slacks: number[] = [];
  for (let i = plan.legs.length - 1; i >= 0; i--) {
    const leg = plan.legs[i]!;
    const { beginMin, endMin } = leg;
    slacks.unshift(Math.max(0, latest - endMin));
    const begin = Math.min(latest - (endMin - beginMin), Math.max(beginMin, windowMin(day, leg).until));
    latest = begin - ways.before[i]!;
  }
  return slacks;
}

const enough = (sample: readonly number[], confidence: number): Enough => ({
  median: quantile(sample, 0.5),
  carry: quantile(sample, confidence),
});

/** The sum over the stops of a day. */
const summed = (all: readonly (readonly Sampled[])[], of: (one: Sampled) => number): readonly number[] =>
  all.map((row) => row.reduce((sum, one) => sum + of(one), 0));

/**
 * A day as it is planned, gone through many times with soil drawn for each stop, and use of liquid and pace of the one hand for the day: whether it is done in time,
 * where there is slack, and what to carry. What a day takes is the quantile of the sum, not the sum of quantiles.
 * @param confidence share of days on which what is carried is enough
 */
export function* dayChances(
  day: Day,
  plan: DayPlan,
  confidence: number,
  from: { readonly atMin: number; readonly stop: number | null } | null = null,
): Study<DayChances> {
  const random = draws(SEED);
  const { legs } = plan;
  const takes = legs.map(({ visit }) => visit && jobDraws(visit.job, visit.plan, random));
  // What the visit takes besides the work is as planned.
  const besides = legs.map(({ visit }) => (visit ? visit.plan.slot.value - visit.plan.timeline.elapsedS / 60 : 0));
  const ways = waysOf(day, legs, from?.stop === null || !from ? START : rowOfStop(from.stop));
  const ends: number[] = [];
  const done = legs.map((): number[] => []);
  const late = legs.map(() => 0);
  const taken: Sampled[][] = [];
  for (let n = 1; n <= DAYS; n++) {
    let at = Math.max(day.startHour * 60, from?.atMin ?? 0);
    const row: Sampled[] = [];
    const today = drawToday(random);
    for (const [i, leg] of legs.entries()) {
      const { from: first, until } = windowMin(day, leg);
      // Whoever waits for a cooler hour waits for it however the morning went.
      const waits = leg.beginMin > leg.arriveMin + 1 ? leg.beginMin : first;
      const begin = Math.max(at + ways.before[i]!, leg.stop === null ? first : waits);
      if (begin > until + 1e-6) late[i]!++;
      const sample = takes[i]?.(today);
      // Where there is a tap, no water is taken out of the van.
      if (sample) row.push(leg.visit!.job.site.tap ? { ...sample, litres: 0 } : sample);
      const pauseEnd = leg.taken === null ? begin + leg.endMin - leg.beginMin : Math.max(begin, leg.endMin);
      at = sample ? begin + sample.minutes + besides[i]! : pauseEnd;
      done[i]!.push(at);
    }
    ends.push(at + ways.home);
    taken.push(row);
    if (n % SLICE === 0) yield n / DAYS;
  }
  const slacks = slacksOf(day, plan, ways);
  const names = [...new Set(taken.flatMap((row) => row.flatMap(({ products }) => [...products.keys()])))];
  return {
    days: DAYS,
    inTime: ends.filter((end) => end <= day.endHour * 60 + 1e-6).length / DAYS,
    endMin: enough(ends, confidence),
    legs: legs.map((_leg, i) => ({
      late: late[i]! / DAYS,
      slackMin: slacks[i]!,
      lowMin: quantile(done[i]!, 0.1),
      highMin: quantile(done[i]!, 0.9),
    })),
    confidence,
    litres: enough(
      summed(taken, ({ litres }) => litres),
      confidence,
    ),
    towels: towelRoles.flatMap((role) => {
      const { median, carry } = enough(
        summed(taken, ({ towels }) => towels.get(role) ?? 0),
        confidence,
      );
      return carry > 0 ? [{ role, median: Math.round(median), carry: Math.ceil(carry - 1e-9) }] : [];
    }),
    vessels: [...new Set(legs.flatMap(({ visit }) => visit?.plan.mix.mixes.map(({ vessel }) => vessel.name) ?? []))],
    products: names.map((name) => ({
      name,
      ...enough(
        summed(taken, ({ products }) => products.get(name) ?? 0),
        confidence,
      ),
    })),
  };
}
