import { scopeParts, surroundingsToMind, zoneIds } from '@esmero/model';
import { CareDocument } from './care';
import { ChoicesDocument } from './choices';
import { DeviceDocument, GearDocument, TowelBatchDocument, VesselDocument } from './equipment';
import { ProofDocument } from './eye';
import {
  ConsentDocument,
  MarkDocument,
  PictureDocument,
  ReadingDocument,
  RefusalDocument,
  SignatureDocument,
} from './found';
import { WishesDocument } from './habits';
import { LegDocument } from './history';
import { BillDocument } from './price';
import { ProductDocument } from './product';
import { Between, Currency, Day, Id, Many, ManyOf, Moment, One, OrNull, SomeOf, Text, UniqueBy } from './rules';
import { RunDocument } from './run';
import { SoldAsDocument } from './scope';
import { SiteDocument } from './site';
import { ZoneSoilDocument } from './soil';
import { VehicleDocument } from './vehicle';
import { DayWeatherDocument } from './weather';

/** A job as it stands in a file, without the format's envelope. */
export class JobDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @Text(160) client!: string;
  @OrNull() @Id() clientId!: string | null;
  @Day() date!: string;
  @Between(0, 24) hour!: number;
  @Text(4000) note!: string;
  @Currency() currency!: string;
  @One(() => VehicleDocument) vehicle!: VehicleDocument;
  @SomeOf(scopeParts) scope!: string[];
  @OrNull() @One(() => SoldAsDocument) soldAs!: SoldAsDocument | null;
  @One(() => CareDocument) care!: CareDocument;
  @ManyOf(surroundingsToMind) around!: string[];
  @One(() => SiteDocument) site!: SiteDocument;
  @UniqueBy('id') @Many(() => ProductDocument, 100) products!: ProductDocument[];
  @UniqueBy('id') @Many(() => VesselDocument, 100) vessels!: VesselDocument[];
  @UniqueBy('id') @Many(() => TowelBatchDocument, 100) towels!: TowelBatchDocument[];
  @One(() => DeviceDocument) device!: DeviceDocument;
  @UniqueBy('id') @Many(() => GearDocument, 100) gear!: GearDocument[];
  @UniqueBy('zone') @Many(() => ZoneSoilDocument, zoneIds.length) soil!: ZoneSoilDocument[];
  @Many(() => LegDocument, 60) since!: LegDocument[];
  @UniqueBy('zone') @Many(() => ReadingDocument, zoneIds.length) readings!: ReadingDocument[];
  @UniqueBy('id') @Many(() => MarkDocument, 500) marks!: MarkDocument[];
  @UniqueBy('id') @Many(() => PictureDocument, 200) pictures!: PictureDocument[];
  @UniqueBy('id') @Many(() => ProofDocument, 50) proofs!: ProofDocument[];
  @OrNull() @One(() => SignatureDocument) signed!: SignatureDocument | null;
  @OrNull() @One(() => DayWeatherDocument) weather!: DayWeatherDocument | null;
  @OrNull() @One(() => ConsentDocument) consent!: ConsentDocument | null;
  @OrNull() @One(() => RefusalDocument) refused!: RefusalDocument | null;
  @One(() => WishesDocument) wishes!: WishesDocument;
  @One(() => ChoicesDocument) choices!: ChoicesDocument;
  @OrNull() @Moment() arrivedAt!: number | null;
  @UniqueBy('id') @Many(() => BillDocument, 100) bills!: BillDocument[];
  @OrNull() @One(() => RunDocument) run!: RunDocument | null;
}
