/** What a van runs short of along a day: a quantity each, in the order of the caller. */
export type Stocks = readonly number[];

/** A time to work. To begin later is only a turn where it is over sooner, as after the heat of noon. */
export interface Turn {
  readonly beginMin: number;
  readonly endMin: number;
}

/** A piece of work along the way. Times are minutes from the day’s midnight. */
export interface TourStop {
  /** Row of the travel table; null happens wherever one is, as a break does. */
  readonly place: number | null;
  /** Arriving sooner waits; arriving later is late. */
  readonly fromMin: number;
  readonly untilMin: number;
  /** When the work may be done by whoever is there from a time on. */
  readonly turns: (atMin: number) => readonly Turn[];
  readonly takes: Stocks;
  /** Filled up again by the way while the work goes on: true for each stock that is. */
  readonly gives?: readonly boolean[];
}

/** Somewhere to fill up between two stops. */
export interface Depot {
  readonly place: number;
  readonly minutes: number;
  readonly gives: readonly boolean[];
}

/** A day to be put in order. */
export interface TourProblem {
  /** Minutes from place to place; 0 on the diagonal. */
  readonly travelMin: readonly (readonly number[])[];
  /** Place and time at the beginning, place at the end. */
  readonly startPlace: number;
  readonly endPlace: number;
  readonly startMin: number;
  readonly stops: readonly TourStop[];
  readonly depots: readonly Depot[];
  /** What the van holds when it is full, and in the morning. */
  readonly holds: Stocks;
  readonly has: Stocks;
  /** What comes back of each in a minute on the road, as a battery is charged. */
  readonly gainsPerMin: Stocks;
  /** A minute late against a minute of the day. */
  readonly latePrice: number;
}

/** One thing after the other. */
export interface Leg {
  readonly stop: number;
  /** On the way to it; null goes straight there. */
  readonly depot: number | null;
  readonly arriveMin: number;
  readonly beginMin: number;
  readonly endMin: number;
  readonly lateMin: number;
}

/** A day in order. */
export interface Tour {
  readonly legs: readonly Leg[];
  /** Back at the end. */
  readonly endMin: number;
  readonly lateMin: number;
  /** Minutes of the day, and late ones at their price. */
  readonly cost: number;
}
