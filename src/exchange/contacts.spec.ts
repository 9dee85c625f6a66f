import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { readContacts } from './contacts';
import { guessMapping, readRows, readTable } from './table';

const card = (version: '3.0' | '4.0', ...lines: readonly string[]): string =>
  ['BEGIN:VCARD', `VERSION:${version}`, ...lines, 'END:VCARD', ''].join('\r\n');
const rowsIn = (text: string) => {
  const read = readContacts(text);
  const table = read.ok ? readTable(read.csv) : null;
  return table?.ok ? readRows('clients', table.table, guessMapping('clients', table.table.columns)) : [];
};

describe('contacts of an address book', () => {
  it('of either version become clients with telephone, mail and address', () => {
    const text =
      card(
        '3.0',
        'N:Bay;Ada;;;',
        'FN:Ada Bay',
        'TEL;TYPE=CELL:+00 555 0100',
        'EMAIL:ada@example.net',
        'ADR;TYPE=HOME:;;7 Lantern Steps;Harbour;;;',
        'NOTE:Ring\\, please',
      ) + card('4.0', 'FN:Ferry crew', 'TEL;VALUE=uri:tel:555-0166');
    const rows = rowsIn(text);
    expect(
      rows.map(({ values, faults }) => [
        values['name'],
        values['phone'],
        values['email'],
        values['address'],
        values['note'],
        faults.length,
      ]),
    ).toEqual([
      ['Ada Bay', '+00 555 0100', 'ada@example.net', '7 Lantern Steps, Harbour', 'Ring, please', 0],
      ['Ferry crew', '555-0166', '', '', '', 0],
    ]);
  });

  it('without a formatted name go by their parts, and without any are left out', () => {
    expect(rowsIn(card('3.0', 'N:Bay;Ada;;;') + card('3.0', 'TEL:1')).map(({ values }) => values['name'])).toEqual([
      'Ada Bay',
    ]);
  });

  it('are refused where there are none, whatever the file is', () => {
    expect(readContacts('hello').ok).toBe(false);
    const whole = card('3.0', 'FN:Ada', 'TEL:1');
    fc.assert(
      fc.property(fc.nat(whole.length), fc.string({ maxLength: 10 }), fc.nat(12), (at, text, cut) => {
        readContacts(whole.slice(0, at) + text + whole.slice(at + cut));
      }),
      { numRuns: runs(300) },
    );
  });
});
