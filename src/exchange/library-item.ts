import type { EntryKind } from '@esmero/model';
import { ClientDocument } from './documents/client';
import { CalibrationDocument, PracticeDocument } from './documents/eye';
import { GearDocument, TowelBatchDocument, VesselDocument } from './documents/equipment';
import { HabitSetDocument } from './documents/habits';
import { BusinessDocument } from './documents/price';
import { ProductDocument } from './documents/product';
import { PackageDocument } from './documents/scope';
import { BlockedDocument, DaySetUpDocument, LotSetUpDocument, VanSetUpDocument } from './documents/set-up';
import { SiteDocument } from './documents/site';
import { VehicleDocument } from './documents/vehicle';
import type { Fault } from './fault';
import { faultsIn } from './validate';

const documents: Readonly<Record<EntryKind, new () => object>> = {
  vehicle: VehicleDocument,
  site: SiteDocument,
  product: ProductDocument,
  towel: TowelBatchDocument,
  vessel: VesselDocument,
  gear: GearDocument,
  habits: HabitSetDocument,
  package: PackageDocument,
  van: VanSetUpDocument,
  day: DaySetUpDocument,
  lot: LotSetUpDocument,
  client: ClientDocument,
  business: BusinessDocument,
  blocked: BlockedDocument,
  calibration: CalibrationDocument,
  practice: PracticeDocument,
};

/** Holds a form to the same rules as a file. */
export const faultsInItem = (kind: EntryKind, plain: unknown): readonly Fault[] => faultsIn(documents[kind], plain);
