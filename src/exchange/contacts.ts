import ICAL from 'ical.js';
import { refusalOfLines } from './content-lines';
import { writeTable } from './table';

/** Somebody out of an address book. */
interface Contact {
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly address: string;
  readonly note: string;
}

/** More people than an import looks at. */
const MOST_CONTACTS = 20_000;

export type ContactsRead =
  { readonly ok: true; readonly csv: string; readonly count: number } | { readonly ok: false; readonly detail: string };

const textOf = (value: unknown): string =>
  Array.isArray(value)
    ? value.map(textOf).filter(Boolean).join(', ')
    : typeof value === 'string'
      ? value.trim()
      : value instanceof Object && 'toString' in value
        ? String(value)
        : '';

function contactIn(card: ICAL.Component): Contact {
  const first = (name: string): string => textOf(card.getFirstPropertyValue(name));
  const [family = '', given = ''] = [card.getFirstPropertyValue('n')].flat() as unknown[];
  const named = [given, family].map(textOf).filter(Boolean).join(' ');
  return {
    name: first('fn') || named || first('org'),
    phone: first('tel').replace(/^tel:/i, ''),
    email: first('email'),
    address: first('adr'),
    note: first('note'),
  };
}

/**
 * Reads contacts of an address book (vCard 3 or 4) as a table of clients, so that they are looked at and brought in like one. Never throws.
 */
export function readContacts(text: string): ContactsRead {
  const refusal = refusalOfLines(text);
  if (refusal) return { ok: false, detail: refusal };
  try {
    // Of version 2.1 and of what is no contact nothing is known.
    const parsed = ICAL.parse(text) as unknown[];
    const all = (Array.isArray(parsed[0]) ? parsed : [parsed]) as ConstructorParameters<typeof ICAL.Component>[0][];
    const cards = all.map((one) => new ICAL.Component(one)).filter(({ name }) => name === 'vcard');
    if (cards.length === 0) return { ok: false, detail: 'VCARD' };
    if (cards.length > MOST_CONTACTS) return { ok: false, detail: 'more than 20,000 contacts' };
    const contacts = cards.map(contactIn).filter(({ name }) => name !== '');
    return {
      ok: true,
      count: contacts.length,
      csv: writeTable(
        ['name', 'phone', 'email', 'address', 'note'],
        contacts.map(({ name, phone, email, address, note }) => [name, phone, email, address, note]),
      ),
    };
  } catch (error) {
    return { ok: false, detail: error instanceof Error ? error.message : String(error) };
  }
}
