import type { Day, MinorUnits } from '../units';

/**
 * Who sends the papers, and what a visit is priced by. Money is in minor units of the currency; shares are 0 to 1. All figures are the
 * user's own: those that a new one begins with are judged.
 */
export interface Business {
  readonly id: string;
  readonly name: string;
  readonly address: string;
  /** Printed as it stands: telephone, account. */
  readonly contact: string;
  readonly taxNumber: string;
  /** ISO 4217. */
  readonly currency: string;
  /** One person's hour, at the car and on the road. */
  readonly hourMinor: MinorUnits;
  readonly kmMinor: MinorUnits;
  /** A towel as it is bought, and the washes after which it is retired. */
  readonly towelMinor: MinorUnits;
  readonly towelWashes: number;
  /** A load of laundry, and the towels in it. */
  readonly loadMinor: MinorUnits;
  readonly loadTowels: number;
  /** A cubic metre of clean water, and of dirty water that is disposed of. */
  readonly waterMinor: MinorUnits;
  readonly wasteMinor: MinorUnits;
  /** Charging and wear of the packs for an hour of washing. */
  readonly batteryHourMinor: MinorUnits;
  /** Insurance, van, telephone: what a visit has to bear of it. */
  readonly overheadMinor: MinorUnits;
  /** Mark-up. */
  readonly marginShare: number;
  readonly taxName: string;
  readonly taxShare: number;
  /** What a client pays is rounded up to this; 1 rounds nothing. */
  readonly roundToMinor: number;
  /** Share of visits for which the quoted minutes should do. */
  readonly confidence: number;
  readonly quotePrefix: string;
  readonly invoicePrefix: string;
  readonly validDays: number;
  readonly payDays: number;
  /** Printed at the foot of quotes and invoices. */
  readonly terms: string;
}

/** Costs of a visit, in the order in which they are shown. */
export const costKinds = [
  'labour',
  'driving',
  'distance',
  'product',
  'towel-wear',
  'laundry',
  'water',
  'waste',
  'battery',
  'overhead',
] as const;
export type CostKind = (typeof costKinds)[number];

/** How dirty the car may turn out to be, against what was expected. */
export const soilBands = ['lighter', 'heavier', 'gritty'] as const;
export type SoilBand = (typeof soilBands)[number];

/** What the client pays more, or less, if the car turns out like that. */
export interface BandPrice {
  readonly band: SoilBand;
  /** null where it cannot all be washed there then. */
  readonly moreMinor: number | null;
  readonly moreMin: number | null;
}

export interface BillLine {
  readonly text: string;
  readonly count: number;
  /** For all of them, before tax. */
  readonly minor: number;
}

export const billKinds = ['quote', 'invoice'] as const;
export type BillKind = (typeof billKinds)[number];

/** A quote or an invoice as it was handed over: it does not change with prices. */
export interface Bill {
  readonly id: string;
  readonly kind: BillKind;
  readonly number: string;
  readonly on: Day;
  /** A quote is valid until then, an invoice is due then. */
  readonly until: Day;
  /** Name and address of the client, a line each. */
  readonly to: string;
  readonly currency: string;
  readonly lines: readonly BillLine[];
  readonly taxName: string;
  readonly taxShare: number;
  readonly netMinor: number;
  readonly taxMinor: number;
  readonly totalMinor: number;
  /** Of a quote. */
  readonly bands: readonly BandPrice[];
  /** The slot that it goes by, and what the visit was to cost oneself. */
  readonly minutes: number;
  readonly costMinor: number;
  /** null until an invoice is paid. */
  readonly paidOn: Day | null;
}

interface Billed {
  readonly bills: readonly Bill[];
}

const lastOf = ({ bills }: Billed, kind: BillKind): Bill | null =>
  bills.reduce<Bill | null>((last, bill) => (bill.kind === kind ? bill : last), null);

/** The quote that holds, and the invoice that went out: the last one of each. */
export const quoteIn = (job: Billed): Bill | null => lastOf(job, 'quote');
export const invoiceIn = (job: Billed): Bill | null => lastOf(job, 'invoice');
