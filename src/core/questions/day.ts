import type { Day } from '../model';
import type { Study } from '../studies';
import {
  type DayBrief,
  type DayChances,
  type DayPlan,
  DayPlanner,
  type DayWay,
  type MendBrief,
  briefDay,
  briefMend,
  dayChances,
  dayMends,
} from '../tour';

/** A day that is asked about. */
export interface DayAsked extends DayWay {
  readonly day: Day;
}

/** What a day comes to; and the best order of it, where another was asked for. */
export interface DayAnswer {
  readonly plan: DayBrief;
  /** Cost of the best order, minutes; null where that is the one. */
  readonly bestCost: number | null;
}

/** Kept between questions: what is changed of a day is planned anew, and nothing else. */
const planner = new DayPlanner();

/** A day's packs are to be enough on nine days of ten (judged, as of a job). */
const CARRY = 0.9;

export function* dayQuestion({ day, order = null, since = null }: DayAsked): Study<DayAnswer> {
  const plan = yield* planner.plan(day, { order, since });
  if (!order) return { plan: briefDay(plan), bestCost: null };
  const best = yield* planner.plan(day, { since });
  return { plan: briefDay(plan), bestCost: best.cost };
}

export function* dayMendsQuestion({ day, order = null, since = null }: DayAsked): Study<readonly MendBrief[]> {
  const way = { order, since };
  const plan: DayPlan = yield* planner.plan(day, way);
  return (yield* dayMends(day, plan, planner, way)).map(briefMend);
}

export function* dayChancesQuestion({ day, order = null, since = null }: DayAsked): Study<DayChances> {
  const plan = yield* planner.plan(day, { order, since });
  return yield* dayChances(day, plan, CARRY, since && { atMin: since.atMin, stop: since.done.at(-1) ?? null });
}
