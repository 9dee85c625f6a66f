import { recent } from '../cache';
import type { Job, Leg } from '../model';
import { type LowWater, type NextVisit, type Study, type Until, finish, nextVisitOf } from '../studies';
import { type Day, dayAfter } from '../units';

/** A car of which it is asked when it is due. */
export interface DueCar {
  readonly key: string;
  /** The last visit of it. */
  readonly last: Job;
  readonly lastDay: Day;
  readonly usual: Leg;
  readonly everyDays: number | null;
}

/** Days on which a method no longer does: if the car gets dirty faster than forecast, as forecast, or slower. */
interface DueBand {
  readonly method: LowWater;
  readonly early: Day;
  readonly likely: Day;
  readonly late: Day;
}

export interface Due {
  readonly key: string;
  /** null where no method that touches does for long enough. */
  readonly band: DueBand | null;
  /** Every so many days, as agreed. */
  readonly agreed: Day | null;
  /** As agreed; or else as long as it is surely clean enough. null where neither is known. */
  readonly on: Day | null;
}

const bandOf = (lastDay: Day, method: LowWater, { early, likely, late }: Until): DueBand => ({
  method,
  early: dayAfter(lastDay, early),
  likely: dayAfter(lastDay, likely),
  late: dayAfter(lastDay, late),
});

type Left = Pick<DueCar, 'last' | 'usual'>;

/** So many cars are remembered: whoever books one of them does not wait for the others again. */
const MOST_CARS = 200;
const visitAfter = recent<[Left], NextVisit>(
  MOST_CARS,
  ({ last, usual }) => JSON.stringify([last, usual]),
  ({ last, usual }) => finish(nextVisitOf(last, usual)),
);

/** When a car is due, from how clean it was left and how it is used. */
function dueOf({ key, last, lastDay, usual, everyDays }: DueCar): Due {
  const { car, suggested } = visitAfter({ last, usual });
  const band = suggested && bandOf(lastDay, suggested.method, car[suggested.method]);
  const agreed = everyDays === null ? null : dayAfter(lastDay, everyDays);
  return { key, band, agreed, on: agreed ?? band?.early ?? null };
}

/** The same of many cars. */
export function* duesOf(cars: readonly DueCar[]): Study<readonly Due[]> {
  const dues: Due[] = [];
  for (const car of cars) {
    dues.push(dueOf(car));
    yield dues.length / cars.length;
  }
  return dues;
}

export type DueState = 'overdue' | 'this-week' | 'later' | 'open';

const WEEK_DAYS = 7;

/** How pressing it is: overdue once even the slowest forecast is through, or the agreed day is over. */
export function dueState({ on, agreed, band }: Due, today: Day): DueState {
  if (on === null) return 'open';
  if ((agreed ?? band!.late) < today) return 'overdue';
  return on < dayAfter(today, WEEK_DAYS) ? 'this-week' : 'later';
}

/** Is a visit on that day soon enough? */
export const isInTime = ({ on, agreed, band }: Due, date: Day): boolean =>
  on === null || date <= (agreed ?? band!.late);

/** The day to plan a visit on: when it is due, but not before today; today where nobody knows. */
export const visitDay = (due: Due | null, today: Day): Day => (due?.on && due.on > today ? due.on : today);
