import { MOST_TAKEN, carriedKinds, scopeParts, soilKinds, soilLevels, vehicleMethods } from '@esmero/model';
import { BreakDocument, RestockDocument, SpotDocument } from './day';
import { LotLaundryDocument } from './lot';
import {
  Between,
  Day,
  Flag,
  Id,
  Ids,
  Many,
  Maybe,
  Moment,
  One,
  OneOf,
  OrNull,
  SomeOf,
  Text,
  UniqueBy,
  WholeBetween,
} from './rules';

const MOST_STOPS = 40;
const MOST_CARS = 1000;
const MOST_LITRES = 2000;

export class TakenDocument {
  @Id() jobId!: string;
  @Between(0, MOST_LITRES) litres!: number;
  @Flag() counted!: boolean;
}

export class VanSetUpDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @One(() => SpotDocument) home!: SpotDocument;
  @Between(0, MOST_LITRES) tankL!: number;
  @Between(0, MOST_LITRES) inTankL!: number;
  @Maybe() @Many(() => TakenDocument, MOST_TAKEN) taken?: TakenDocument[];
  @Between(0, MOST_LITRES) dirtyL!: number;
  @Between(0, MOST_LITRES) inDirtyL!: number;
  @Between(0, 10) chargePerMin!: number;
  @OneOf([1, 2]) people!: number;
  @Between(0, MOST_LITRES) matL!: number;
  @Flag() steps!: boolean;
  @Between(1, 5) roadFactor!: number;
  @Between(1, 150) kmPerHour!: number;
  @Between(0, 60) parkMin!: number;
  @Many(() => RestockDocument, MOST_STOPS) restocking!: RestockDocument[];
}

export class WindowDocument {
  @Id() jobId!: string;
  @Between(0, 24) fromHour!: number;
  @Between(0, 24) untilHour!: number;
}

export class KnownWayDocument {
  @Text(160, 1) from!: string;
  @Text(160, 1) to!: string;
  @Between(0, 1440) minutes!: number;
}

export class CarriedMoreDocument {
  @OneOf(carriedKinds) kind!: string;
  @Between(0, MOST_LITRES) amount!: number;
}

export class DoneStopDocument {
  @Id() jobId!: string;
  @Between(0, 24) endHour!: number;
}

export class DaySetUpDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @Day() date!: string;
  @Between(0, 24) startHour!: number;
  @Between(0, 24) endHour!: number;
  @OrNull() @One(() => BreakDocument) break!: BreakDocument | null;
  @Between(0, 100) latePrice!: number;
  @Between(0.5, 0.99) confidence!: number;
  @OrNull() @Between(0, 24) rainFromHour!: number | null;
  @Many(() => CarriedMoreDocument, 100) more!: CarriedMoreDocument[];
  @Many(() => RestockDocument, MOST_STOPS) restocking!: RestockDocument[];
  @UniqueBy('jobId') @Many(() => WindowDocument, MOST_STOPS) windows!: WindowDocument[];
  @Many(() => KnownWayDocument, MOST_STOPS * MOST_STOPS) ways!: KnownWayDocument[];
  @Ids(MOST_STOPS) order!: string[];
  @UniqueBy('jobId') @Many(() => DoneStopDocument, MOST_STOPS) done!: DoneStopDocument[];
  @Ids(1000) packed!: string[];
}

export class BlockedDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @Day() date!: string;
  @Between(0, 24) fromHour!: number;
  @Between(0, 24) untilHour!: number;
}

export class LotClassSetUpDocument {
  @Text(160, 1) name!: string;
  @Id() vehicleId!: string;
  @OneOf(soilKinds) soil!: string;
  @OneOf(soilLevels) level!: number;
  @WholeBetween(0, 200) count!: number;
}

export class DoneCarDocument {
  @WholeBetween(0, MOST_CARS) car!: number;
  @WholeBetween(0, 3) person!: number;
  @Moment() at!: number;
}

export class LotSetUpDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @Day() date!: string;
  @Between(0, 24) startHour!: number;
  @OneOf([1, 2, 3, 4]) people!: number;
  @Between(0, 60) moveMin!: number;
  @WholeBetween(1, 200) carsPerBucket!: number;
  @OrNull() @One(() => LotLaundryDocument) laundry!: LotLaundryDocument | null;
  @WholeBetween(1, 50) baysPerRow!: number;
  @Id() siteId!: string;
  @OrNull() @Id() habitsId!: string | null;
  @SomeOf(scopeParts) scope!: string[];
  @OneOf(['auto', ...vehicleMethods]) method!: string;
  @UniqueBy('name') @Many(() => LotClassSetUpDocument, 20) classes!: LotClassSetUpDocument[];
  @OrNull() @Moment() begunAt!: number | null;
  @UniqueBy('car') @Many(() => DoneCarDocument, MOST_CARS) done!: DoneCarDocument[];
}
