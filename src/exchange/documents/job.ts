import { zoneIds } from '@esmero/core';
import { ChoicesDocument } from './choices';
import { DeviceDocument, TowelBatchDocument, VesselDocument } from './equipment';
import { ProductDocument } from './product';
import { Currency, Day, Id, Many, One, Text, UniqueBy } from './rules';
import { SiteDocument } from './site';
import { ZoneSoilDocument } from './soil';
import { VehicleDocument } from './vehicle';

/** A job as it stands in a file, without the format's envelope. */
export class JobDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @Text(160) client!: string;
  @Day() date!: string;
  @Text(4000) note!: string;
  @Currency() currency!: string;
  @One(() => VehicleDocument) vehicle!: VehicleDocument;
  @One(() => SiteDocument) site!: SiteDocument;
  @UniqueBy('id') @Many(() => ProductDocument, 100) products!: ProductDocument[];
  @UniqueBy('id') @Many(() => VesselDocument, 100) vessels!: VesselDocument[];
  @UniqueBy('id') @Many(() => TowelBatchDocument, 100) towels!: TowelBatchDocument[];
  @One(() => DeviceDocument) device!: DeviceDocument;
  @UniqueBy('zone') @Many(() => ZoneSoilDocument, zoneIds.length) soil!: ZoneSoilDocument[];
  @One(() => ChoicesDocument) choices!: ChoicesDocument;
}
