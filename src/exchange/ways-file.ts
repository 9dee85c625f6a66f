import Papa from 'papaparse';
import type { KnownWay } from '@esmero/model';
import { Between, Text } from './documents/rules';
import { type Fault, shown } from './fault';
import { MOST_FAULTS, faultsIn } from './validate';

/** A place of a day: its name for people, and what its ways are kept by. */
export interface NamedPlace {
  readonly name: string;
  readonly key: string;
}

class WayDocument {
  @Text(160, 1) from!: string;
  @Text(160, 1) to!: string;
  @Between(0, 1440) minutes!: number;
}

/** The rows that could be read; those that could not are named. */
export interface WaysRead {
  readonly ways: readonly KnownWay[];
  readonly faults: readonly Fault[];
}

const plainName = (name: string): string => name.trim().toLowerCase();

/** The first line of a table are the names of its columns. */
const FIRST_ROW = 2;

/**
 * Reads a table of ways (CSV; columns `from`, `to`, `minutes`, separated by whatever it is), places by their names. Never throws. A row
 * that is wrong is left out, and named by its line in the file.
 */
export function readWays(text: string, places: readonly NamedPlace[]): WaysRead {
  const { data } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: plainName,
  });
  const ways: KnownWay[] = [];
  const faults: Fault[] = [];
  const names = places.map(({ name }) => name);
  const keyOf = (name: string): string | undefined =>
    places.find((one) => plainName(one.name) === plainName(name))?.key;
  for (const [i, { from = '', to = '', minutes = '' }] of data.entries()) {
    const line = `line ${i + FIRST_ROW}`;
    const row = { from, to, minutes: minutes.trim() === '' ? null : Number(minutes.replace(',', '.')) };
    const found = [...faultsIn(WayDocument, row, line)];
    for (const field of ['from', 'to'] as const)
      if (row[field] && keyOf(row[field]) === undefined)
        found.push({ path: `${line}.${field}`, expected: { code: 'one-of', values: names }, found: shown(row[field]) });
    if (found.length > 0) faults.push(...found);
    else ways.push({ from: keyOf(from)!, to: keyOf(to)!, minutes: row.minutes! });
  }
  return { ways, faults: faults.slice(0, MOST_FAULTS) };
}

/** All ways of a day with their minutes, to be changed in a spreadsheet and read again. */
export function writeWays(places: readonly NamedPlace[], minutes: (from: number, to: number) => number): string {
  const rows = places.flatMap((from, i) =>
    places.slice(i + 1).map((to, j) => ({ from: from.name, to: to.name, minutes: Math.round(minutes(i, i + 1 + j)) })),
  );
  return Papa.unparse({ fields: ['from', 'to', 'minutes'], data: rows }, { newline: '\n', escapeFormulae: true });
}
