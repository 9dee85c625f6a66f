import type { Bill, Business } from '@esmero/model';
import type { BillPaper } from '@esmero/papers';
import { bandText, billName, dayText, fixed, money, priceText } from '@esmero/messages';

const linesOf = (text: string): readonly string[] => text.split('\n').filter((line) => line.trim() !== '');

/** A quote or an invoice as the client gets it. */
export function billPaper(bill: Bill, business: Business): BillPaper {
  const {
    kind,
    number,
    on,
    until,
    currency,
    lines,
    taxName,
    taxShare,
    netMinor,
    taxMinor,
    totalMinor,
    bands,
    minutes,
    to,
  } = bill;
  const { name, address, contact, taxNumber, terms } = business;
  const isQuote = kind === 'quote';
  return {
    kind: 'bill',
    title: priceText.made(kind, number),
    from: [name, ...linesOf(address), ...linesOf(contact), ...(taxNumber ? [priceText.taxNumber(taxNumber)] : [])],
    to: linesOf(to),
    facts: [
      ['Number', number],
      ['Day', dayText(on)],
      [isQuote ? 'Holds until' : 'Due on', dayText(until)],
    ],
    lines: lines.map(({ text, count, minor }) => ({
      text,
      count: minor < 0 ? '' : fixed(count),
      amount: money(minor, currency),
    })),
    sums: [
      [priceText.net, money(netMinor, currency)],
      [priceText.taxIncluded(taxName, taxShare), money(taxMinor, currency)],
    ],
    total: [isQuote ? billName.quote : priceText.total, money(totalMinor, currency)],
    notesTitle: priceText.bandsTitle,
    notes: isQuote ? [...bands.map((band) => bandText(band, currency)), priceText.slot(minutes)] : [],
    terms,
    foot: priceText.foot(name, number),
  };
}
