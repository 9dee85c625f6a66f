import type { TableKind, TableRead } from '@esmero/exchange';
import { worded } from './english';

export const tableKindName: Readonly<Record<TableKind, string>> = { clients: 'Clients', visits: 'Past visits', products: 'Products', towels: 'Towels' };

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

/** Files of other programs. */
export const importTableText = worded({
  lead: 'Bring in a table (CSV), contacts (vCard) or a calendar (iCalendar). Nothing changes before you have seen it all and said so, and it can be taken back.',
  refused: (file: string, why: keyof typeof refusals): string => `${file} was not read. ${refusals[why]}`,
  noContacts: (file: string, detail: string): string => `${file} was not read: no contacts were found in it (${detail}). Export them as vCard 3 or 4.`,
  noCalendar: (file: string, detail: string): string => `${file} was not read: it is no calendar (${detail}). Export it as iCalendar.`,
  sound: (count: number): string => (count === 1 ? 'One row can be brought in.' : `${count} rows can be brought in.`),
  bad: (count: number): string => (count === 0 ? '' : count === 1 ? 'One is left out; it says why.' : `${count} are left out; they say why.`),
  missing: (names: string): string => `Say which column has: ${names}.`,
  needed: (name: string): string => `${name} (needed)`,
  none: 'No column',
  fine: 'fine',
  bring: (count: number): string => (count === 1 ? 'Bring in one row' : `Bring in ${count} rows`),
  blocked: (count: number): string => (count === 0 ? 'Nothing else takes your time in it.' : count === 1 ? 'One other event takes your time.' : `${count} other events take your time.`),
  moved: (count: number): string => (count === 0 ? 'None of your stops was moved in it.' : count === 1 ? 'One of your stops was moved in it.' : `${count} of your stops were moved in it.`),
  broken: (count: number): string => (count === 0 ? '' : count === 1 ? 'One event could not be understood, and is left out.' : `${count} events could not be understood, and are left out.`),
  span: 'From today for a year.',
});
