import { MOST_ORDER } from '@esmero/model';
import { ClientDocument } from './client';
import { CalibrationDocument, PracticeDocument } from './eye';
import { GearDocument, TowelBatchDocument, VesselDocument } from './equipment';
import { HabitSetDocument } from './habits';
import { JobDocument } from './job';
import { MovementDocument } from './movement';
import { BusinessDocument } from './price';
import { ProductDocument } from './product';
import { DataUrl, Flag, Id, Many, Moment, One, UniqueBy, WholeBetween } from './rules';
import { PackageDocument } from './scope';
import { BlockedDocument, DaySetUpDocument, LotSetUpDocument, VanSetUpDocument } from './set-up';
import { SiteDocument } from './site';
import { VehicleDocument } from './vehicle';

/** More than anybody has in a working life. */
const MOST = 100_000;

/** How many changes of a record are by one browser. */
export class EditsDocument {
  @Id() by!: string;
  @WholeBetween(1, MOST_ORDER) count!: number;
}

/** When a record was changed last, and by whom: tells an older copy from a newer one. */
export class StampDocument {
  @Moment() changedAt!: number;
  @UniqueBy('by') @Many(() => EditsDocument, 1000) edits!: EditsDocument[];
}

class StampedDocument extends StampDocument {
  @Flag() archived!: boolean;
}

export class JobEntryDocument extends StampedDocument {
  @One(() => JobDocument) job!: JobDocument;
}

export class VehicleEntryDocument extends StampedDocument {
  @One(() => VehicleDocument) item!: VehicleDocument;
}
export class SiteEntryDocument extends StampedDocument {
  @One(() => SiteDocument) item!: SiteDocument;
}
export class ProductEntryDocument extends StampedDocument {
  @One(() => ProductDocument) item!: ProductDocument;
}
export class TowelEntryDocument extends StampedDocument {
  @One(() => TowelBatchDocument) item!: TowelBatchDocument;
}
export class VesselEntryDocument extends StampedDocument {
  @One(() => VesselDocument) item!: VesselDocument;
}
export class GearEntryDocument extends StampedDocument {
  @One(() => GearDocument) item!: GearDocument;
}
export class HabitsEntryDocument extends StampedDocument {
  @One(() => HabitSetDocument) item!: HabitSetDocument;
}

export class PackageEntryDocument extends StampedDocument {
  @One(() => PackageDocument) item!: PackageDocument;
}

export class VanEntryDocument extends StampedDocument {
  @One(() => VanSetUpDocument) item!: VanSetUpDocument;
}

export class DayEntryDocument extends StampedDocument {
  @One(() => DaySetUpDocument) item!: DaySetUpDocument;
}

export class LotEntryDocument extends StampedDocument {
  @One(() => LotSetUpDocument) item!: LotSetUpDocument;
}

export class ClientEntryDocument extends StampedDocument {
  @One(() => ClientDocument) item!: ClientDocument;
}

export class BusinessEntryDocument extends StampedDocument {
  @One(() => BusinessDocument) item!: BusinessDocument;
}

export class BlockedEntryDocument extends StampedDocument {
  @One(() => BlockedDocument) item!: BlockedDocument;
}

export class CalibrationEntryDocument extends StampedDocument {
  @One(() => CalibrationDocument) item!: CalibrationDocument;
}

export class PracticeEntryDocument extends StampedDocument {
  @One(() => PracticeDocument) item!: PracticeDocument;
}

/** A picture of a job. */
export class PhotoDocument {
  @Id() key!: string;
  @DataUrl(4_000_000) picture!: string;
}

/** Everything a user has, in one file. */
export class CollectionDocument {
  @Many(() => VehicleEntryDocument, MOST) vehicles!: VehicleEntryDocument[];
  @Many(() => SiteEntryDocument, MOST) sites!: SiteEntryDocument[];
  @Many(() => ProductEntryDocument, MOST) products!: ProductEntryDocument[];
  @Many(() => TowelEntryDocument, MOST) towels!: TowelEntryDocument[];
  @Many(() => VesselEntryDocument, MOST) vessels!: VesselEntryDocument[];
  @Many(() => GearEntryDocument, MOST) gear!: GearEntryDocument[];
  @Many(() => HabitsEntryDocument, MOST) habits!: HabitsEntryDocument[];
  @Many(() => PackageEntryDocument, MOST) packages!: PackageEntryDocument[];
  @Many(() => VanEntryDocument, MOST) vans!: VanEntryDocument[];
  @Many(() => DayEntryDocument, MOST) days!: DayEntryDocument[];
  @Many(() => LotEntryDocument, MOST) lots!: LotEntryDocument[];
  @Many(() => ClientEntryDocument, MOST) clients!: ClientEntryDocument[];
  @Many(() => BusinessEntryDocument, MOST) businesses!: BusinessEntryDocument[];
  @Many(() => BlockedEntryDocument, MOST) blocked!: BlockedEntryDocument[];
  @Many(() => CalibrationEntryDocument, MOST) calibrations!: CalibrationEntryDocument[];
  @Many(() => PracticeEntryDocument, MOST) practice!: PracticeEntryDocument[];
  @Many(() => JobEntryDocument, MOST) jobs!: JobEntryDocument[];
  @UniqueBy('id') @Many(() => MovementDocument, 1_000_000) movements!: MovementDocument[];
  @UniqueBy('key') @Many(() => PhotoDocument, 20_000) photos!: PhotoDocument[];
}
