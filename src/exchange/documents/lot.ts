import { VanDocument } from './day';
import { JobDocument } from './job';
import { Between, Day, Id, Many, Maybe, One, OneOf, OrNull, Text, UniqueBy, WholeBetween } from './rules';

const MOST_CLASSES = 20;

export class LotClassDocument {
  @Text(160, 1) name!: string;
  @One(() => JobDocument) job!: JobDocument;
  @WholeBetween(0, 200) count!: number;
}

export class BroughtDocument {
  @Id() productId!: string;
  @Between(0, 100_000) ml!: number;
}

export class LotLaundryDocument {
  @Between(1, 600) minutes!: number;
  @WholeBetween(1, 200) load!: number;
}

export class LotDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @Day() date!: string;
  @Between(0, 24) startHour!: number;
  @OneOf([1, 2, 3, 4]) people!: number;
  @Between(0, 60) moveMin!: number;
  @WholeBetween(1, 200) carsPerBucket!: number;
  @Maybe() @OrNull() @One(() => LotLaundryDocument) laundry?: LotLaundryDocument | null;
  @One(() => VanDocument) van!: VanDocument;
  @UniqueBy('productId') @Many(() => BroughtDocument, 100) products!: BroughtDocument[];
  @UniqueBy('name') @Many(() => LotClassDocument, MOST_CLASSES) classes!: LotClassDocument[];
}
