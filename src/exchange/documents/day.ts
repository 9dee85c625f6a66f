import { restocks, towelRoles } from '@esmero/model';
import { JobDocument } from './job';
import {
  Between,
  Day,
  Id,
  Many,
  ManyOf,
  Maybe,
  One,
  OneOf,
  OrNull,
  Text,
  UniqueBy,
  WholeBetween,
  belongs,
} from './rules';

const MOST_STOPS = 40;
const MOST_MINUTES = 1440;

export class SpotDocument {
  @Text(160, 1) name!: string;
  @Between(-90, 90) latitudeDeg!: number;
  @Between(-180, 180) longitudeDeg!: number;
}

/** A row of minutes to every place. */
export class TravelRowDocument {
  @Many(() => MinutesDocument, 3 * MOST_STOPS) to!: MinutesDocument[];
}

export class MinutesDocument {
  @Between(0, MOST_MINUTES) minutes!: number;
}

const travelFields: Readonly<Record<string, readonly (keyof TravelDocument)[]>> = {
  line: ['roadFactor', 'kmPerHour', 'parkMin'],
  table: ['rows'],
};

export class TravelDocument {
  @belongs(travelFields) @OneOf(Object.keys(travelFields)) kind!: string;
  @Maybe() @Between(1, 5) roadFactor?: number;
  @Maybe() @Between(1, 150) kmPerHour?: number;
  @Maybe() @Between(0, 60) parkMin?: number;
  @Maybe() @Many(() => TravelRowDocument, 3 * MOST_STOPS) rows?: TravelRowDocument[];
}

export class TowelsDocument {
  @OneOf(towelRoles) role!: string;
  @WholeBetween(0, 1000) clean!: number;
}

export class VanDocument {
  @Between(0, 2000) waterL!: number;
  @Between(0, 2000) dirtyL!: number;
  @Between(0, MOST_MINUTES) batteryMin!: number;
  @Between(0, 10) chargePerMin!: number;
  @UniqueBy('role') @Many(() => TowelsDocument, towelRoles.length) towels!: TowelsDocument[];
}

export class RestockDocument extends SpotDocument {
  @Between(0, MOST_MINUTES) minutes!: number;
  @ManyOf(restocks) gives!: string[];
}

export class BreakDocument {
  @Between(1, 600) minutes!: number;
  @Between(0, 24) fromHour!: number;
  @Between(0, 24) untilHour!: number;
}

export class TakenHoursDocument {
  @Text(160, 1) name!: string;
  @Between(0, 24) fromHour!: number;
  @Between(0, 24) untilHour!: number;
}

export class DayStopDocument {
  @One(() => JobDocument) job!: JobDocument;
  @Between(0, 24) fromHour!: number;
  @Between(0, 24) untilHour!: number;
}

export class DayDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @Day() date!: string;
  @Between(0, 24) startHour!: number;
  @Between(0, 24) endHour!: number;
  @One(() => SpotDocument) start!: SpotDocument;
  @One(() => SpotDocument) end!: SpotDocument;
  @One(() => TravelDocument) travel!: TravelDocument;
  @One(() => VanDocument) van!: VanDocument;
  @Many(() => RestockDocument, MOST_STOPS) restocking!: RestockDocument[];
  @OrNull() @One(() => BreakDocument) break!: BreakDocument | null;
  @Maybe() @Many(() => TakenHoursDocument, MOST_STOPS) taken?: TakenHoursDocument[];
  @Many(() => DayStopDocument, MOST_STOPS) stops!: DayStopDocument[];
  @Between(0, 100) latePrice!: number;
  @Between(0.5, 0.99) confidence!: number;
  @Maybe() @OrNull() @Between(0, 24) rainFromHour?: number | null;
}
