import type { Van } from './day';
import type { Job } from './job';

/** Cars that are washed alike. */
interface LotClass {
  readonly name: string;
  /** One of them. */
  readonly job: Job;
  readonly count: number;
}

/** Product that is brought along. */
export interface Brought {
  readonly productId: string;
  readonly ml: number;
}

/** Towels are washed on the way: one load of so many at a time. */
export interface LotLaundry {
  readonly minutes: number;
  readonly load: number;
}

/** Many cars in one place, in the order of their bays. */
export interface Lot {
  readonly id: string;
  readonly name: string;
  /** ISO day. */
  readonly date: string;
  /** Local, 0 to 24. */
  readonly startHour: number;
  /** Each washes cars of their own. */
  readonly people: 1 | 2 | 3 | 4;
  /** From one bay to the next with all that is needed there, min. */
  readonly moveMin: number;
  /** Buckets get fresh water after so many cars of one person. */
  readonly carsPerBucket: number;
  /** null where nothing is washed on the way. */
  readonly laundry: LotLaundry | null;
  readonly van: Van;
  readonly products: readonly Brought[];
  readonly classes: readonly LotClass[];
}
