import { finish } from '@esmero/core';
import { isDay } from '@esmero/units';
import type { Fault } from '../fault';
import { faultsIn } from '../validate';
import { type Mapping, type TableField, type TableKind, tables } from './columns';
import type { Table } from './table';

/** One row of the table as it was understood. */
export interface RowRead {
  /** In the file, the first row of which are the names of the columns. */
  readonly line: number;
  readonly values: Readonly<Record<string, string | number | null>>;
  /** What is wrong with it; a row without faults can be brought in. */
  readonly faults: readonly Fault[];
}

const FIRST_LINE = 2;

/** "1 234,5" and "1,234.5" are the same number; what is none stays as it is, and is refused. */
function numberIn(text: string): number | string {
  const bare = text.replace(/[\s\u00a0']/g, '').replace(/[^\d.,+-]+$/, '');
  const last = Math.max(bare.lastIndexOf(','), bare.lastIndexOf('.'));
  const decimals = last < 0 ? '' : bare.slice(last + 1);
  const isGrouped = last >= 0 && decimals.length === 3 && bare.indexOf(bare[last]!) !== last;
  const plain =
    last < 0 || isGrouped ? bare.replace(/[.,]/g, '') : `${bare.slice(0, last).replace(/[.,]/g, '')}.${decimals}`;
  const value = Number(plain);
  return plain !== '' && Number.isFinite(value) ? value : text;
}

/** "2031-07-14", "14.07.2031" and "14/07/2031": the day before the month, unless that cannot be. */
function dayIn(text: string): string {
  const [, first, second, year] = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/.exec(text) ?? [];
  if (!first || !second || !year) return text.slice(0, 10);
  const written = (day: string, month: string): string => `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  const usual = written(first, second);
  return isDay(usual) ? usual : written(second, first);
}

/** More letters no figure, day or word has; what is longer is refused as it is. */
const MOST_LETTERS = 60;

function valueIn(text: string, { meaning, otherwise }: TableField): string | number | null {
  if (meaning !== 'text' && text.length > MOST_LETTERS) return text;
  if (text === '') return otherwise;
  if (meaning === 'number') return numberIn(text);
  if (meaning === 'day') return dayIn(text);
  return meaning === 'word' ? text.toLowerCase().replace(/\s+/g, '-') : text;
}

/** Every row as it was understood, with what is wrong with it, row by row so that whoever waits can look up in between. Never throws. */
export function* readingRows(
  kind: TableKind,
  { rows }: Table,
  mapping: Mapping,
): Generator<number, readonly RowRead[]> {
  const { document, fields } = tables[kind];
  const read: RowRead[] = [];
  for (const [i, cells] of rows.entries()) {
    yield i / rows.length;
    const values = Object.fromEntries(
      fields.map((field) => [field.key, valueIn(cells[mapping[field.key] ?? -1] ?? '', field)]),
    );
    read.push({ line: i + FIRST_LINE, values, faults: faultsIn(document, values) });
  }
  return read;
}

/** The same at one go. */
export const readRows = (kind: TableKind, table: Table, mapping: Mapping): readonly RowRead[] =>
  finish(readingRows(kind, table, mapping));
