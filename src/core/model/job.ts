import type { Celsius } from '../units';
import type { ToMind } from './around';
import type { Care } from './care';
import type { Choices } from './choices';
import type { Habits } from './habits';
import type { MeasuringDevice, TowelBatch, Vessel } from './equipment';
import type { Proof } from './eye';
import type { Gear } from './gear';
import type { Leg } from './history';
import type { Consent, Mark, Picture, Refusal, Signature } from './mark';
import type { Bill } from './price';
import type { Product } from './product';
import type { Run } from './run';
import type { Scope, SoldAs } from './scope';
import type { Site } from './site';
import type { SoilMap } from './soil';
import type { Vehicle } from './vehicle';
import type { DayWeather } from './weather';
import type { ZoneId } from './zone';

/** Everything one plan needs, copied from the library so that the job stands alone. */
export interface Job {
  readonly id: string;
  readonly name: string;
  readonly client: string;
  /** Of the client that is kept; null where only a name is known. */
  readonly clientId: string | null;
  /** ISO day, e.g. 2031-07-14. */
  readonly date: string;
  /** Local time of arrival in hours, 0 to 24: 9.5 is half past nine. */
  readonly hour: number;
  readonly note: string;
  /** ISO 4217 code; prices are in its minor unit. */
  readonly currency: string;
  readonly vehicle: Vehicle;
  /** What of it is to be washed, and under which name that was sold; null where it was put together by hand. */
  readonly scope: Scope;
  readonly soldAs: SoldAs | null;
  /** What is put onto it once it is clean. */
  readonly care: Care;
  /** What is round the car or in it and asks for care. */
  readonly around: readonly ToMind[];
  readonly site: Site;
  readonly products: readonly Product[];
  readonly vessels: readonly Vessel[];
  readonly towels: readonly TowelBatch[];
  readonly device: MeasuringDevice;
  readonly gear: readonly Gear[];
  readonly soil: SoilMap;
  /** Since the last wash, oldest first; empty when nobody knows. */
  readonly since: readonly Leg[];
  /** Panels read off one by one with a thermometer. */
  readonly readings: Readonly<Partial<Record<ZoneId, Celsius>>>;
  readonly marks: readonly Mark[];
  readonly pictures: readonly Picture[];
  /** Pairs of pictures in which the marks of a panel were counted. */
  readonly proofs: readonly Proof[];
  /** For the condition of the car before the wash; null until somebody has signed. */
  readonly signed: Signature | null;
  /** The day by the hour; null: what the site says holds all day. */
  readonly weather: DayWeather | null;
  readonly consent: Consent | null;
  /** null unless the car was sent away. */
  readonly refused: Refusal | null;
  /** What the client wishes, on top of the choices. */
  readonly wishes: Partial<Habits>;
  readonly choices: Choices;
  /** When somebody came to the car, milliseconds since 1970; null where nobody noted it. */
  readonly arrivedAt: number | null;
  /** Quotes and invoices that were handed over, the oldest first. */
  readonly bills: readonly Bill[];
  /** What happened beside the car; null before it is begun. */
  readonly run: Run | null;
}
