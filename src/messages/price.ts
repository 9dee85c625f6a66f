import type { CarsPrice, QuoteAnswer, VisitAccount } from '@esmero/core';
import type { BandPrice, Bill, BillKind, CostKind, Job, SoilBand } from '@esmero/model';
import { worded } from './english';
import { spanText } from './day-plan';
import { dayText, money, percent } from './units';
import { scopeText } from './scope';

/** What a visit costs oneself. */
export const costName: Readonly<Record<CostKind, string>> = worded({
  labour: 'Work at the car',
  driving: 'Time on the road',
  distance: 'Van, by distance',
  product: 'Product',
  'towel-wear': 'Towels wearing out',
  laundry: 'Laundry',
  water: 'Water',
  waste: 'Dirty water',
  battery: 'Battery packs',
  overhead: 'Overhead',
});

export const billName: Readonly<Record<BillKind, string>> = { quote: 'Quote', invoice: 'Invoice' };

const bandName: Readonly<Record<SoilBand, string>> = {
  lighter: 'If it turns out cleaner',
  heavier: 'If it turns out dirtier',
  gritty: 'If there is grit on the lower half',
};

const moreOrLess = (minor: number, currency: string): string =>
  minor === 0 ? 'the same price' : minor > 0 ? `${money(minor, currency)} more` : `${money(-minor, currency)} less`;

/** "If there is grit on the lower half: €12.00 more, 25 min longer." */
export function bandText({ band, moreMinor, moreMin }: BandPrice, currency: string): string {
  if (moreMinor === null || moreMin === null) return `${bandName[band]}: it cannot all be washed safely at this place.`;
  const longer =
    Math.round(moreMin) === 0 ? '' : `, ${spanText(Math.abs(moreMin))} ${moreMin > 0 ? 'longer' : 'shorter'}`;
  return `${bandName[band]}: ${moreOrLess(moreMinor, currency)}${longer}.`;
}

/** A line of a bill: what is washed, and of which car. */
export const washText = ({
  scope,
  soldAs,
  vehicle,
  date,
}: Pick<Job, 'scope' | 'soldAs' | 'vehicle' | 'date'>): string =>
  `${soldAs?.name ?? scopeText(scope)}, ${vehicle.name}, ${dayText(date)}`;

/** Prices and papers. */
export const priceText = worded({
  none: 'The car cannot be washed there as it is expected to be, so there is no price. See Method for why.',
  noRates: 'Nobody has said yet what an hour costs. These are our own guesses: set yours under Prices.',
  agreed: (name: string): string => `Agreed as “${name}”. The sum below is what that leaves you.`,
  minutes: ({ takes, typicalMin }: QuoteAnswer, confidence: number): string =>
    `Work is priced at ${spanText(takes.minutes)}, enough on ${percent(confidence)} of such visits. Half of them take ${spanText(typicalMin)} or less.`,
  unpriced: 'A bottle has no price, so product is not in it. Enter prices in the library.',
  road: (distance: string, min: number): string => `${distance} and ${spanText(min)} on the road, there and back`,
  noRoad: 'Travel is not included: the van has no home, or the place is where it is kept.',
  saved: ({ saved }: CarsPrice): string => (saved < 0.005 ? '' : `${percent(saved)} less each`),
  discount: (cars: number, saved: number): string => `${cars} cars in one visit, ${percent(saved)} less`,
  ownOnly: 'Costs and what you keep are for you. They are never printed on a quote or an invoice.',
  loses: 'This price does not cover the costs.',
  made: (kind: BillKind, number: string): string => `${billName[kind]} ${number}`,
  until: ({ kind, until }: Pick<Bill, 'kind' | 'until'>): string =>
    kind === 'quote' ? `holds until ${dayText(until)}` : `due on ${dayText(until)}`,
  madeOn: (day: string): string => `made on ${dayText(day)}`,
  paid: (day: string): string => `paid on ${dayText(day)}`,
  house: 'For the house manager: what is used, what runs off, where it goes.',
  noBills: 'Nothing has been quoted or billed.',
  changed: 'The price has changed since it was quoted.',
  quotedFor: (currency: string, other: string): string =>
    `This job is in ${currency}, your prices are in ${other}: the agreed price of the package is left out.`,
  // What the client reads.
  slot: (minutes: number): string =>
    `Time at the car: about ${spanText(minutes)}. It is priced as expected, before the car is seen.`,
  bandsTitle: 'If the car turns out otherwise',
  taxIncluded: (name: string, share: number): string => `${name} ${percent(share, (share * 100) % 1 === 0 ? 0 : 1)}`,
  taxNumber: (number: string): string => `Tax number ${number}`,
  net: 'Before tax',
  total: 'To pay',
  foot: (name: string, number: string): string => `${[name, number].filter(Boolean).join(' · ')}`,
  undo: (kind: BillKind): string => `${billName[kind]} made`,
});

/** Quoted beside what it came to. */
export function accountLines(
  { quoted, takes, costMinor, keptMinor }: VisitAccount,
  currency: string,
): readonly string[] {
  const took = `It took ${spanText(takes.minutes)} in all and cost ${money(costMinor, currency)} yourself.`;
  if (!quoted || keptMinor === null) return [took, 'Nothing was quoted for it.'];
  const off = costMinor - quoted.costMinor;
  const against =
    Math.abs(off) < 1 ? 'as quoted' : `${money(Math.abs(off), currency)} ${off > 0 ? 'more' : 'less'} than quoted`;
  return [
    took,
    `Quoted: ${spanText(quoted.minutes)} and ${money(quoted.netMinor, currency)} before tax. Your costs were ${against}.`,
    keptMinor >= 0 ? `You kept ${money(keptMinor, currency)} of it.` : `You lost ${money(-keptMinor, currency)} on it.`,
  ];
}

/** The page of one's own prices. */
export const pricesText = worded({
  lead: 'What your time and kit cost. Every quote is worked out from it; quotes and invoices that were made stay as they are.',
  guessed: 'These are our own guesses to begin with. Change whatever differs for you.',
});
