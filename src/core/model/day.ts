import type { Degrees } from '../units';
import type { TowelRole } from './equipment';
import type { Job } from './job';

/** Somewhere on the map. */
export interface Spot {
  readonly name: string;
  readonly latitudeDeg: Degrees;
  readonly longitudeDeg: Degrees;
}

/** How long the ways of a day take. */
export type Travel =
  /** Straight lines, longer by a factor for roads, at one speed; and parking each time. */
  | { readonly kind: 'line'; readonly roadFactor: number; readonly kmPerHour: number; readonly parkMin: number }
  /** Minutes from row to column: the start, the end, the stops in their order, the places to restock in theirs. */
  | { readonly kind: 'table'; readonly minutes: readonly (readonly number[])[] };

/** A job with the hours between which it may be begun. */
export interface DayStop {
  readonly job: Job;
  readonly fromHour: number;
  readonly untilHour: number;
}

/** What a van is restocked with on the way. */
export const restocks = ['water', 'drain', 'battery', 'towels'] as const;
export type Restock = (typeof restocks)[number];

export interface RestockPlace extends Spot {
  readonly minutes: number;
  readonly gives: readonly Restock[];
}

/** What a van holds in the morning: that full, and no more in a day than it is restocked with. */
export interface Van {
  readonly waterL: number;
  /** Room for dirty water. */
  readonly dirtyL: number;
  /** Minutes that the packs run a washer, and minutes of it that come back in a minute on the road. */
  readonly batteryMin: number;
  readonly chargePerMin: number;
  readonly towels: Readonly<Record<TowelRole, number>>;
}

/** A break, taken wherever one is. */
export interface Break {
  readonly minutes: number;
  readonly fromHour: number;
  readonly untilHour: number;
}

/** Hours that are taken by something else: whoever is out is wherever he is then. */
interface TakenHours {
  readonly name: string;
  readonly fromHour: number;
  readonly untilHour: number;
}

/** A day of stops. Hours are local, 0 to 24. */
export interface Day {
  readonly id: string;
  readonly name: string;
  /** ISO day. */
  readonly date: string;
  readonly startHour: number;
  readonly endHour: number;
  readonly start: Spot;
  readonly end: Spot;
  readonly travel: Travel;
  readonly van: Van;
  readonly restocking: readonly RestockPlace[];
  readonly break: Break | null;
  readonly taken: readonly TakenHours[];
  readonly stops: readonly DayStop[];
  /** A minute late against a minute of the day. */
  readonly latePrice: number;
  /** Share of days on which a stop should take no longer than it is given. */
  readonly confidence: number;
  /** From then on nothing is begun in the open, or is still wet; null where none is expected. */
  readonly rainFromHour: number | null;
}
