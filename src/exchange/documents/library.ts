import { GearDocument, TowelBatchDocument, VesselDocument } from './equipment';
import { HabitSetDocument } from './habits';
import { JobDocument } from './job';
import { MovementDocument } from './movement';
import { ProductDocument } from './product';
import { DataUrl, Flag, Id, Many, One, UniqueBy } from './rules';
import { SiteDocument } from './site';
import { VehicleDocument } from './vehicle';

const MOST = 5000;

export class VehicleEntryDocument {
  @Flag() archived!: boolean;
  @One(() => VehicleDocument) item!: VehicleDocument;
}
export class SiteEntryDocument {
  @Flag() archived!: boolean;
  @One(() => SiteDocument) item!: SiteDocument;
}
export class ProductEntryDocument {
  @Flag() archived!: boolean;
  @One(() => ProductDocument) item!: ProductDocument;
}
export class TowelEntryDocument {
  @Flag() archived!: boolean;
  @One(() => TowelBatchDocument) item!: TowelBatchDocument;
}
export class VesselEntryDocument {
  @Flag() archived!: boolean;
  @One(() => VesselDocument) item!: VesselDocument;
}
export class GearEntryDocument {
  @Flag() archived!: boolean;
  @One(() => GearDocument) item!: GearDocument;
}
export class HabitsEntryDocument {
  @Flag() archived!: boolean;
  @One(() => HabitSetDocument) item!: HabitSetDocument;
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
  @Many(() => JobDocument, MOST) jobs!: JobDocument[];
  @UniqueBy('id') @Many(() => MovementDocument, 100_000) movements!: MovementDocument[];
  @UniqueBy('key') @Many(() => PhotoDocument, 20_000) photos!: PhotoDocument[];
}
