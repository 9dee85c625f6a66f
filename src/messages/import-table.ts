import type { Encoding, LeftOut, Outcome, TableKind, TableRead } from '@esmero/exchange';
import { andList } from './and-list';
import { capital } from './capital';
import { worded } from './english';

export const tableKindName: Readonly<Record<TableKind, string>> = {
  clients: 'Clients',
  visits: 'Past visits',
  products: 'Products',
  towels: 'Towels',
};

/** Fields of a table, as they stand beside the columns of a file. */
export const tableFieldName: Readonly<Record<string, string>> = worded({
  name: 'Name',
  phone: 'Telephone',
  email: 'Email',
  address: 'Address',
  note: 'Note',
  car: 'Car',
  body: 'Body of the car',
  colour: 'Colour of the car',
  everyDays: 'Every so many days',
  date: 'Day',
  client: 'Client',
  minutes: 'Minutes',
  method: 'Method',
  bottleMl: 'Bottle, mL',
  price: 'Price',
  purpose: 'Used for',
  waterParts: 'Parts of water',
  role: 'Used for',
  clean: 'How many',
  widthCm: 'Width, cm',
  lengthCm: 'Length, cm',
  gsm: 'Weight, g/m²',
});

const refusals: Readonly<Record<Extract<TableRead, { readonly ok: false }>['why'], string>> = {
  empty: 'There is no row below the names of its columns.',
  'no-text': 'It is not a text file. Save it as CSV first.',
  'too-large': 'It is too large. Split it into parts of at most 20,000 rows.',
};

/** How the letters of a file are written, as people know it. */
export const encodingName: Readonly<Record<Encoding, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16, big-endian',
  'windows-1252': 'Windows, western Europe',
  'windows-1250': 'Windows, central Europe',
  'windows-1251': 'Windows, Cyrillic',
  'windows-1253': 'Windows, Greek',
  'windows-1254': 'Windows, Turkish',
};

const leftOutWhy: Readonly<Record<LeftOut, string>> = {
  unclear: 'it could not be understood',
  'too-often': 'it repeats by the hour or more often',
  'too-many': 'it repeats too often, or too far apart',
};

const arrivingName = {
  client: ['client', 'clients'],
  vehicle: ['car', 'cars'],
  product: ['product', 'products'],
  towel: ['kind of towel', 'kinds of towel'],
  job: ['past visit', 'past visits'],
} as const;

const counted = (count: number, [one, many]: readonly [string, string]): string =>
  count === 1 ? `one ${one}` : `${count} ${many}`;

/** What becomes of a row, in a word or two. */
export function outcomeText(outcome: Exclude<Outcome, { readonly kind: 'faulty' }>): string {
  switch (outcome.kind) {
    case 'new':
      return 'new';
    case 'changes':
      return `changes ${outcome.name}`;
    case 'adds-to':
      return `adds to ${outcome.name}`;
    case 'here':
      return 'here already';
    case 'again':
      return `the same as row ${outcome.line}`;
  }
}

/** Files of other programs. */
export const importTableText = worded({
  lead: 'Bring in a table (CSV), contacts (vCard) or a calendar (iCalendar). Nothing changes before you have seen it all and said so, and it can be taken back.',
  refused: (file: string, why: keyof typeof refusals): string => `${file} was not read. ${refusals[why]}`,
  noContacts: (file: string, detail: string): string =>
    `${file} was not read: no contacts were found in it (${detail}). Export them as vCard 3 or 4.`,
  noCalendar: (file: string, detail: string): string =>
    `${file} was not read: it is no calendar (${detail}). Export it as iCalendar.`,
  arriving: (all: readonly { readonly kind: keyof typeof arrivingName; readonly count: number }[]): string =>
    all.length === 0
      ? 'Nothing in it can be brought in.'
      : `${capital(andList(all.map(({ kind, count }) => counted(count, arrivingName[kind]))))} can be brought in.`,
  bad: (count: number): string =>
    count === 0 ? '' : count === 1 ? 'One row is left out; it says why.' : `${count} rows are left out; they say why.`,
  repeated: (count: number): string =>
    count === 0
      ? ''
      : count === 1
        ? 'One row is in your log already, or there twice.'
        : `${count} rows are in your log already, or there twice.`,
  shown: (shown: number, all: number): string => (shown < all ? `The first ${shown} of ${all} rows:` : ''),
  letters: 'Letters written as',
  guessed: (encoding: Encoding): string =>
    `The file does not say how its letters are written. It was read as ${encodingName[encoding]}: check the names.`,
  missing: (names: string): string => `Say which column has: ${names}.`,
  needed: (name: string): string => `${name} (needed)`,
  none: 'No column',
  bring: 'Bring it in',
  blocked: (count: number): string =>
    count === 0
      ? 'Nothing else takes your time in it.'
      : count === 1
        ? 'One other event takes your time.'
        : `${count} other events take your time.`,
  moved: (count: number): string =>
    count === 0
      ? 'None of your stops was moved in it.'
      : count === 1
        ? 'One of your stops was moved in it.'
        : `${count} of your stops were moved in it.`,
  leftOut: (count: number): string =>
    count === 0 ? '' : count === 1 ? 'One event is left out.' : `${count} events are left out.`,
  leftOutOne: (name: string, why: LeftOut): string => `${name || 'An event without a name'}: ${leftOutWhy[why]}`,
  span: 'From today for a year.',
});
