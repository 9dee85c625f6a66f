import { billKinds, soilBands } from '@esmero/model';
import { Between, Currency, Day, Id, Many, OneOf, OrNull, Text, UniqueBy, WholeBetween } from './rules';

const MOST_MINOR = 1_000_000_000;
const Money = (): ReturnType<typeof WholeBetween> => WholeBetween(0, MOST_MINOR);
/** What may be less than nothing: a discount, a cheaper band. */
const MoneyEitherWay = (): ReturnType<typeof WholeBetween> => WholeBetween(-MOST_MINOR, MOST_MINOR);
const Share = (most = 1): ReturnType<typeof Between> => Between(0, most);

/** Who sends the papers, and what a visit is priced by. */
export class BusinessDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @Text(400) address!: string;
  @Text(400) contact!: string;
  @Text(60) taxNumber!: string;
  @Currency() currency!: string;
  @Money() hourMinor!: number;
  @Money() kmMinor!: number;
  @Money() towelMinor!: number;
  @WholeBetween(1, 10_000) towelWashes!: number;
  @Money() loadMinor!: number;
  @WholeBetween(1, 1000) loadTowels!: number;
  @Money() waterMinor!: number;
  @Money() wasteMinor!: number;
  @Money() batteryHourMinor!: number;
  @Money() overheadMinor!: number;
  @Share(10) marginShare!: number;
  @Text(40) taxName!: string;
  @Share() taxShare!: number;
  @WholeBetween(1, 1_000_000) roundToMinor!: number;
  @Between(0.5, 0.99) confidence!: number;
  @Text(20) quotePrefix!: string;
  @Text(20) invoicePrefix!: string;
  @WholeBetween(0, 3650) validDays!: number;
  @WholeBetween(0, 3650) payDays!: number;
  @Text(2000) terms!: string;
}

export class BandPriceDocument {
  @OneOf(soilBands) band!: string;
  @OrNull() @MoneyEitherWay() moreMinor!: number | null;
  @OrNull() @Between(-1440, 1440) moreMin!: number | null;
}

export class BillLineDocument {
  @Text(400, 1) text!: string;
  @WholeBetween(1, 10_000) count!: number;
  @MoneyEitherWay() minor!: number;
}

/** A quote or an invoice as it was handed over. */
export class BillDocument {
  @Id() id!: string;
  @OneOf(billKinds) kind!: string;
  @Text(60, 1) number!: string;
  @Day() on!: string;
  @Day() until!: string;
  @Text(600) to!: string;
  @Currency() currency!: string;
  @Many(() => BillLineDocument, 100) lines!: BillLineDocument[];
  @Text(40) taxName!: string;
  @Share() taxShare!: number;
  @Money() netMinor!: number;
  @Money() taxMinor!: number;
  @Money() totalMinor!: number;
  @UniqueBy('band') @Many(() => BandPriceDocument, soilBands.length) bands!: BandPriceDocument[];
  @Between(0, 100_000) minutes!: number;
  @Money() costMinor!: number;
  @OrNull() @Day() paidOn!: string | null;
}
