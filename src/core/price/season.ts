import type { Job, Leg, VehicleMethod } from '../model';
import { resolveAssumptions } from '../assumptions';
import { type Plan, planAlone } from '../planning';
import type { Study } from '../studies';
import { dirtierBy } from './bands';
import { priceOf } from './price';
import type { QuoteAsked } from './quote';
import { takesOf } from './takes';

/** Days between two washes that are laid beside each other. */
const seasonIntervals = [7, 10, 14, 21, 28, 42, 56] as const;
/** Methods that a season is planned for. */
export const seasonMethods = ['waterless', 'rinseless', 'hybrid'] as const satisfies readonly VehicleMethod[];
export type SeasonMethod = (typeof seasonMethods)[number];

const DAYS = 365;

/** A car washed every so many days by one method. */
export interface SeasonPlan {
  readonly days: number;
  readonly method: SeasonMethod;
  /** Whole car on the safe side of the forecast, only if it comes as forecast, or not at all. */
  readonly holds: 'safe' | 'likely' | 'no';
  readonly visits: number;
  /** Of one visit, and summed over a year. */
  readonly index: number;
  readonly yearIndex: number;
  readonly minutes: number;
  readonly litres: number;
  /** What the client pays in a year. */
  readonly yearMinor: number;
}

export interface Season {
  readonly plans: readonly SeasonPlan[];
  /** The longest interval that stays on the safe side, by the method that mars least in a year; null where none does. */
  readonly fits: SeasonPlan | null;
}

export interface SeasonAsked extends QuoteAsked {
  /** How the car is used between washes. */
  readonly usual: Leg;
}

/** The car so many days after a wash, nobody having looked, to be washed by that method. */
function visitAfter(job: Job, days: number, usual: Leg, method: SeasonMethod, times: number): Job {
  const leg: Leg = { ...usual, days, km: (usual.km * days) / Math.max(1, usual.days) };
  return dirtierBy(times, {
    ...job,
    soil: {},
    readings: {},
    site: { ...job.site, panelC: null },
    since: [leg],
    run: null,
    refused: null,
    consent: null,
    choices: { ...job.choices, method },
  });
}

const isWhole = ({ method, zones }: Plan): boolean =>
  method !== 'decline' && zones.every(({ leftBecause }) => leftBecause === null);

/** Marring, time, water and price of a car over a year, washed every so many days by each method; and what fits it. */
export function* seasonOf({ job, usual, business, van }: SeasonAsked): Study<Season> {
  const { spreadForecast } = resolveAssumptions(job.choices.assumptions);
  const plans: SeasonPlan[] = [];
  const all = seasonIntervals.length * seasonMethods.length;
  for (const days of seasonIntervals) {
    for (const method of seasonMethods) {
      const visit = visitAfter(job, days, usual, method, 1);
      const plan = planAlone(visit);
      const likely = isWhole(plan);
      const safe = likely && isWhole(planAlone(visitAfter(job, days, usual, method, spreadForecast)));
      const visits = DAYS / days;
      const { index, litres } = plan.totals;
      plans.push({
        ...{ days, method, visits },
        holds: safe ? 'safe' : likely ? 'likely' : 'no',
        index: index.value,
        yearIndex: index.value * visits,
        minutes: plan.slot.value * visits,
        litres: litres.value * visits,
        yearMinor: Math.round(priceOf(takesOf(plan, visit, van), business).totalMinor * visits),
      });
      yield plans.length / all;
    }
  }
  const safe = plans.filter(({ holds }) => holds === 'safe');
  const longest = Math.max(...safe.map(({ days }) => days));
  const [fits = null] = safe.filter(({ days }) => days === longest).sort((p, q) => p.yearIndex - q.yearIndex);
  return { plans, fits };
}
