import type { Habits } from './habits';
import type { Leg } from './history';

/** Where a client's cars are found: an address for people, and the place of the library that plans go by. */
export interface ClientPlace {
  readonly address: string;
  /** null where no place of the library is meant. */
  readonly siteId: string | null;
}

/** One car of a client, with what is agreed for it. All but the car itself may be open. */
export interface ClientCar {
  readonly vehicleId: string;
  readonly siteId: string | null;
  readonly packageId: string | null;
  readonly habitsId: string | null;
  /** It is washed every so many days; null where nothing is agreed. */
  readonly everyDays: number | null;
  /** How it is used in an ordinary week, or however many days that is known for. */
  readonly usual: Leg;
}

/** Somebody whose cars are washed. */
export interface Client {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly phone: string;
  readonly note: string;
  /** The first one is where papers go to. */
  readonly places: readonly ClientPlace[];
  readonly cars: readonly ClientCar[];
  /** Wishes that each new job begins with. */
  readonly wishes: Partial<Habits>;
}
