import { WishesDocument } from './habits';
import { LegDocument } from './history';
import { Id, Many, One, OrNull, Text, UniqueBy, WholeBetween } from './rules';

/** Of one client. */
export const MOST_PLACES = 20;
export const MOST_CARS = 200;

export class ClientPlaceDocument {
  @Text(400) address!: string;
  @OrNull() @Id() siteId!: string | null;
}

export class ClientCarDocument {
  @Id() vehicleId!: string;
  @OrNull() @Id() siteId!: string | null;
  @OrNull() @Id() packageId!: string | null;
  @OrNull() @Id() habitsId!: string | null;
  @OrNull() @WholeBetween(1, 365) everyDays!: number | null;
  @One(() => LegDocument) usual!: LegDocument;
}

/** Somebody whose cars are washed. */
export class ClientDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @Text(254) email!: string;
  @Text(60) phone!: string;
  @Text(4000) note!: string;
  @Many(() => ClientPlaceDocument, MOST_PLACES) places!: ClientPlaceDocument[];
  @UniqueBy('vehicleId') @Many(() => ClientCarDocument, MOST_CARS) cars!: ClientCarDocument[];
  @One(() => WishesDocument) wishes!: WishesDocument;
}
