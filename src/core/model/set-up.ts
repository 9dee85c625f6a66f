import type { Choices } from './choices';
import type { Break, RestockPlace, Spot } from './day';
import { towelRoles } from './equipment';
import type { LotLaundry } from './lot';
import type { Scope } from './scope';
import type { SoilKind, SoilLevel } from './soil';

/** So many jobs are remembered. */
export const MOST_TAKEN = 60;

/** Water that a job took out of the tank. */
export interface Taken {
  readonly jobId: string;
  readonly litres: number;
  /** Counted after the wash; else as it was planned. */
  readonly counted: boolean;
}

/** A van as it stands ready: where it lives, how it travels, what its tanks hold. Its towels, packs and products are in the stock. */
export interface VanSetUp {
  readonly id: string;
  readonly name: string;
  readonly home: Spot;
  readonly tankL: number;
  /** In the tank now. */
  readonly inTankL: number;
  /** What the last jobs took out of it, so that none takes it twice. */
  readonly taken?: readonly Taken[];
  /** Room for dirty water, and how much of it is taken. */
  readonly dirtyL: number;
  readonly inDirtyL: number;
  /** Minutes of the packs that come back in a minute on the road. */
  readonly chargePerMin: number;
  readonly people: 1 | 2;
  /** What the capture mat holds; 0 where there is none. */
  readonly matL: number;
  /** Steps or a platform to reach a high roof from. */
  readonly steps: boolean;
  /** Roads are longer than straight lines by this factor. */
  readonly roadFactor: number;
  readonly kmPerHour: number;
  /** Parking and walking over, each time. */
  readonly parkMin: number;
  readonly restocking: readonly RestockPlace[];
}

/** Hours between which a job of a day may be begun. */
interface StopWindow {
  readonly jobId: string;
  readonly fromHour: number;
  readonly untilHour: number;
}

/** A way of which somebody knows how long it takes, there and back: ids of jobs, `home`, or names of places to restock at. */
export interface KnownWay {
  readonly from: string;
  readonly to: string;
  readonly minutes: number;
}

/** What a van may be short of, but for product. */
export const carriedKinds = ['water', 'drain', 'battery', ...towelRoles] as const;

/** More of something: L of water or of room for dirty water, minutes of the packs, towels. */
interface CarriedMore {
  readonly kind: (typeof carriedKinds)[number];
  readonly amount: number;
}

/** A job that was done, by the clock. */
interface DoneStop {
  readonly jobId: string;
  readonly endHour: number;
}

/** A day as it is set up: all but its jobs, which say themselves on which day they are. Hours are local, 0 to 24. */
export interface DaySetUp {
  readonly id: string;
  readonly name: string;
  /** ISO day. */
  readonly date: string;
  readonly startHour: number;
  readonly endHour: number;
  readonly break: Break | null;
  readonly latePrice: number;
  /** Share of days on which a stop should take no longer than it is given. */
  readonly confidence: number;
  readonly rainFromHour: number | null;
  /** Carried on this day beside what the van holds. */
  readonly more: readonly CarriedMore[];
  /** Where the van is restocked on this day besides its usual places. */
  readonly restocking: readonly RestockPlace[];
  readonly windows: readonly StopWindow[];
  readonly ways: readonly KnownWay[];
  /** Ids of jobs as somebody has put them; empty asks for the best order. */
  readonly order: readonly string[];
  readonly done: readonly DoneStop[];
  /** What has been put into the van, by its key on the packing list. */
  readonly packed: readonly string[];
}

/** Hours of a day that are taken by something else, as a calendar has it. Local, 0 to 24. */
export interface Blocked {
  readonly id: string;
  readonly name: string;
  /** ISO day. */
  readonly date: string;
  readonly fromHour: number;
  readonly untilHour: number;
}

/** Cars of a lot that are alike: one of the library, with one kind of dirt all over. */
export interface LotClassSetUp {
  readonly name: string;
  readonly vehicleId: string;
  readonly soil: SoilKind;
  readonly level: SoilLevel;
  readonly count: number;
}

/** A car of a lot that was done: its number from 0, whose it was, and when, milliseconds since 1970. */
export interface DoneCar {
  readonly car: number;
  readonly person: number;
  readonly at: number;
}

/** A lot as it is set up: cars and place are those of the library. */
export interface LotSetUp {
  readonly id: string;
  readonly name: string;
  /** ISO day. */
  readonly date: string;
  readonly startHour: number;
  readonly people: 1 | 2 | 3 | 4;
  /** From one bay to the next with all that is needed there, min. */
  readonly moveMin: number;
  /** Buckets get fresh water after so many cars of one person. */
  readonly carsPerBucket: number;
  readonly laundry: LotLaundry | null;
  /** Bays stand in rows of so many. */
  readonly baysPerRow: number;
  readonly siteId: string;
  /** Of the library; null goes by the common ones. */
  readonly habitsId: string | null;
  /** What of each car is washed, and how. */
  readonly scope: Scope;
  readonly method: Choices['method'];
  readonly classes: readonly LotClassSetUp[];
  /** When the first car was begun, milliseconds since 1970; null before. */
  readonly begunAt: number | null;
  readonly done: readonly DoneCar[];
}
