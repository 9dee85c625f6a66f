import type { Bill, BillKind, BillLine, Business, JobBrief } from '../model';
import { type Day, dayAfter } from '../units';
import type { QuoteAnswer } from './quote';

const DIGITS = 3;

/**
 * The number after the highest one of that kind in that year: the prefix, the year, and counted from 1.
 * @example nextNumber('Q', '2031-07-14', []) // 'Q2031-001'
 */
export function nextNumber(prefix: string, on: Day, known: readonly string[]): string {
  const start = `${prefix}${on.slice(0, 4)}-`;
  const counted = known
    .filter((number) => number.startsWith(start))
    .map((number) => Number(number.slice(start.length)));
  const last = Math.max(0, ...counted.filter((count) => Number.isSafeInteger(count)));
  return `${start}${String(last + 1).padStart(DIGITS, '0')}`;
}

/** Numbers of that kind that are taken. */
export const numbersOf = (jobs: readonly Pick<JobBrief, 'bills'>[], kind: BillKind): readonly string[] =>
  jobs.flatMap(({ bills }) => bills.filter((bill) => bill.kind === kind).map(({ number }) => number));

/** What is said on a bill in words: the texts of its lines. */
interface BillWords {
  readonly wash: string;
  readonly discount: string;
}

interface BillAsked {
  readonly id: string;
  readonly kind: BillKind;
  readonly on: Day;
  /** Name and address of the client, a line each. */
  readonly to: string;
  readonly cars: number;
  readonly words: BillWords;
  readonly quote: QuoteAnswer;
  readonly business: Business;
  readonly numbers: readonly string[];
}

/** Lines of a bill: the wash so many times, and what is saved. Their sum is the net price. */
function linesOf({ cars, words, quote }: BillAsked, netMinor: number): readonly BillLine[] {
  const full = quote.price.netMinor * cars;
  const wash: BillLine = { text: words.wash, count: cars, minor: full };
  return full === netMinor ? [wash] : [wash, { text: words.discount, count: 1, minor: netMinor - full }];
}

/** A quote or an invoice out of what was worked out. Nothing in it tells costs or margin to the client but `costMinor`, which is not printed. */
export function billOf(asked: BillAsked): Bill {
  const { id, kind, on, to, cars, quote, business, numbers } = asked;
  const { taxName, taxShare, quotePrefix, invoicePrefix, validDays, payDays } = business;
  const several = quote.cars.find((one) => one.cars === cars);
  const totalMinor = several?.totalMinor ?? quote.price.totalMinor * cars;
  const netMinor = cars === 1 ? quote.price.netMinor : Math.round(totalMinor / (1 + taxShare));
  const isQuote = kind === 'quote';
  return {
    ...{ id, kind, on, to, taxName, taxShare, netMinor, totalMinor },
    number: nextNumber(isQuote ? quotePrefix : invoicePrefix, on, numbers),
    until: dayAfter(on, isQuote ? validDays : payDays),
    currency: quote.price.currency,
    lines: linesOf(asked, netMinor),
    taxMinor: totalMinor - netMinor,
    bands: isQuote ? quote.bands : [],
    minutes: several?.minutes ?? quote.takes.minutes * cars,
    costMinor: several?.costMinor ?? quote.price.costMinor * cars,
    paidOn: null,
  };
}

/** An invoice of what was quoted: the same lines and sums, with a number and days of its own. */
export const invoiceOf = (quoted: Bill, id: string, on: Day, business: Business, numbers: readonly string[]): Bill => ({
  ...quoted,
  ...{ id, kind: 'invoice' as const, on, bands: [], paidOn: null },
  number: nextNumber(business.invoicePrefix, on, numbers),
  until: dayAfter(on, business.payDays),
});
