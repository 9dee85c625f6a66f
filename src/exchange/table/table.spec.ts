import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amountAt, balancesOf, logOf } from '@esmero/core';
import { demoOn, pastRuns } from '@esmero/demo';
import { type Client, type LibraryEntry, type Vehicle, usedIn } from '@esmero/model';
import { held } from '@esmero/records';
import { runs } from '@esmero/testing';
import { readCollection, writeCollection } from '../collection-file';
import {
  type Here,
  billsCsv,
  clientsCsv,
  guessMapping,
  holdingsOf,
  logCsv,
  productsCsv,
  readRows,
  readTable,
  stockCsv,
  tableKinds,
  tables,
  writeTable,
} from '.';

const { library } = demoOn('2031-07-14');
const here: Here = { library, visits: [], currency: 'EUR', at: 0 };
const empty: Here = { library: [], visits: [], currency: 'EUR', at: 0 };
const clients = library.flatMap((entry) => (entry.kind === 'client' ? [entry.item] : []));
const vehicles = library.flatMap((entry) => (entry.kind === 'vehicle' ? [entry.item] : []));

const tableIn = (text: string) => {
  const read = readTable(text);
  if (!read.ok) throw new Error(read.why);
  return read.table;
};
const rowsIn = (kind: (typeof tableKinds)[number], text: string) => {
  const table = tableIn(text);
  return readRows(kind, table, guessMapping(kind, table.columns));
};
const found = <K extends LibraryEntry['kind']>(kind: K, all: readonly LibraryEntry[]) =>
  all.flatMap((entry) => (entry.kind === kind ? [entry.item] : []));

/** Any text that can stand in a cell; blanks at its ends are not kept. */
const cell = fc
  .string({ unit: fc.constantFrom(...'aZ09 ,;"\'=+-@\t\n|é漢'), maxLength: 12 })
  .map((text) => text.trim());

describe('a table', () => {
  it('is read by another reader as it was written, and by this one as it was', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 8 }), (rows) => {
        const text = writeTable(['first', 'second'], rows);
        const filled = rows.filter((row) => row.some((one) => one !== ''));
        const read = readTable(text);
        expect(read.ok ? read.table.rows : []).toEqual(filled);
        const others = parse(text, { columns: true, skip_records_with_empty_values: true });
        expect(
          others
            .map((row) => Object.values(row as object))
            .map((row) => row.map((one: string) => one.replace(/^'(?='*[=+\-@\t\r])/, '').trim())),
        ).toEqual(filled);
      }),
      { numRuns: runs(200) },
    );
  });

  it('never has a cell that a spreadsheet runs', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 8 }), (rows) => {
        for (const row of parse(writeTable(['a', 'b'], rows), { from: 2 }) as string[][])
          for (const one of row) expect(one).not.toMatch(/^[=+\-@\t\r]/);
      }),
      { numRuns: runs(200) },
    );
    expect(writeTable(['a'], [['=1+1'], ['+49 30'], [-3]])).toBe(`a\r\n"'=1+1"\r\n"'+49 30"\r\n-3`);
  });

  it('is refused with a reason, whatever the file is', () => {
    expect(readTable('')).toEqual({ ok: false, why: 'empty' });
    expect(readTable('only,a,head')).toEqual({ ok: false, why: 'empty' });
    expect(readTable('PNG\u0000\u0001')).toEqual({ ok: false, why: 'no-text' });
    fc.assert(
      fc.property(fc.string(), fc.constantFrom(...tableKinds), (text, kind) => {
        const read = readTable(text);
        if (read.ok) holdingsOf(kind, readRows(kind, read.table, guessMapping(kind, read.table.columns)), empty);
      }),
      { numRuns: runs(400) },
    );
  });
});

describe('columns', () => {
  it('are guessed by name in whatever spelling, each taken once', () => {
    const mapping = guessMapping('clients', ['Customer', 'Phone Number', 'Notes', 'E-Mail', 'Shoe size', 'every_days']);
    expect(mapping).toMatchObject({ name: 0, phone: 1, note: 2, email: 3, everyDays: 5, car: null });
    for (const kind of tableKinds) {
      const taken = Object.values(
        guessMapping(
          kind,
          tables[kind].fields.map(({ names }) => names[0]!),
        ),
      );
      expect(new Set(taken).size).toBe(tables[kind].fields.length);
    }
  });

  it('are read as people write numbers and days', () => {
    const [row] = rowsIn('visits', 'date;car;minutes;method\n14.07.2031;An estate;1.234,5;Waterless');
    expect(row!.values).toMatchObject({ date: '2031-07-14', minutes: 1234.5, method: 'waterless' });
    const minutes = (text: string): unknown =>
      rowsIn('visits', `date;car;minutes\n2031-07-14;x;${text}`)[0]!.values['minutes'];
    expect(['90', '90 min', '1,234.5', '1 200', '12,5', '1,200,300', 'long'].map(minutes)).toEqual([
      90,
      90,
      1234.5,
      1200,
      12.5,
      1_200_300,
      'long',
    ]);
  });
});

describe('clients in a table', () => {
  it('come back as they were, and are the same a second time', () => {
    const text = clientsCsv(clients, vehicles);
    const again = holdingsOf('clients', rowsIn('clients', text), here).holdings;
    expect(found('client', again.library)).toEqual(expect.arrayContaining(clients as Client[]));
    const kept = holdingsOf('clients', rowsIn('clients', text), {
      ...here,
      library: library.map((entry) => ({ ...entry, changedAt: 1, vector: { a: 3 } })),
      at: 9,
    }).holdings;
    expect(
      kept.library.every(({ changedAt, vector }) => changedAt === 9 && vector['a'] === 3 && vector['table'] === 1),
    ).toBe(true);
    expect(clientsCsv(found('client', again.library) as readonly Client[], vehicles)).toBe(text);
    const fresh = holdingsOf('clients', rowsIn('clients', text), empty).holdings;
    expect(
      clientsCsv(
        found('client', fresh.library) as readonly Client[],
        found('vehicle', fresh.library) as readonly Vehicle[],
      ),
    ).toBe(text);
    expect(readCollection(writeCollection(fresh)).ok).toBe(true);
  });

  it('of one name are one client with several cars, and bad rows are named by line and field', () => {
    const rows = rowsIn(
      'clients',
      'name,car,body,every days\nBay Bakery,Van,van,14\nBay Bakery,Estate,estate,\n,Ghost,sedan,7\nFerry,Boat,ship,0',
    );
    expect(rows.map(({ line, faults }) => [line, faults.map(({ path }) => path)])).toEqual([
      [2, []],
      [3, []],
      [4, ['name']],
      [5, ['body', 'everyDays']],
    ]);
    const { library: brought } = holdingsOf('clients', rows, empty).holdings;
    const [bakery, ...others] = found('client', brought) as readonly Client[];
    expect(others).toEqual([]);
    expect(bakery!.cars.map(({ everyDays }) => everyDays)).toEqual([14, null]);
  });
});

describe('past visits in a table', () => {
  it('are runs that are over, found in the log, the same a second time', () => {
    const text =
      'date,client,car,minutes,method\n2031-05-01,Bay Bakery,Van,45,rinseless\n2031-06-01,Bay Bakery,Van,40,waterless';
    const { jobs } = holdingsOf('visits', rowsIn('visits', text), here).holdings;
    const log = logOf(jobs.map(({ job }) => job));
    expect(log.map(({ day, minutes, method }) => [day, minutes, method])).toEqual([
      ['2031-06-01', 40, 'waterless'],
      ['2031-05-01', 45, 'rinseless'],
    ]);
    expect(usedIn(jobs[0]!.job.run!)!.doneShare).toBe(1);
    const visits = log.map(({ day, minutes, job: { client, name } }) => ({
      date: day,
      client,
      car: name,
      minutes: minutes!,
    }));
    const again = holdingsOf(
      'visits',
      rowsIn('visits', `${text}\n2031-06-01,bay  bakery,VAN,41,waterless\n2031-06-01,Bay Bakery,Van,41,`),
      { ...here, visits },
    );
    expect(again.outcomes).toEqual([{ kind: 'here' }, { kind: 'here' }, { kind: 'new' }, { kind: 'again', line: 4 }]);
    expect(again.holdings.jobs).toHaveLength(1);
    expect(readCollection(writeCollection(holdingsOf('visits', rowsIn('visits', text), here).holdings)).ok).toBe(true);
  });
});

describe('stock in a table', () => {
  it('changes what is here by name, and adds what is not', () => {
    const known = library.find((entry) => entry.kind === 'product')!.item;
    const rows = rowsIn(
      'products',
      `name,bottle_ml,price,purpose,water_parts\n"${known.name}",750,12.5,,\nA new one,500,,waterless,4`,
    );
    const [changed, added] = found('product', holdingsOf('products', rows, here).holdings.library);
    expect(changed).toMatchObject({ id: known.id, sizeMl: 750, priceMinor: 1250 });
    expect(added).toMatchObject({
      name: 'A new one',
      priceMinor: null,
      uses: [{ purpose: 'waterless', dilution: { label: '4', reading: 'water' } }],
    });
    const towels = rowsIn('towels', 'name,count,role\nBlue ones,12,drying\nBad ones,-3,drying');
    expect(found('towel', holdingsOf('towels', towels, here).holdings.library)).toMatchObject([
      { name: 'Blue ones', clean: 12, role: 'drying' },
    ]);
    expect(
      readCollection(
        writeCollection({
          ...held({ library: [], jobs: [], movements: [], photos: [] }),
          library: holdingsOf('products', rows, here).holdings.library,
        }),
      ).ok,
    ).toBe(true);
  });
});

describe('what is kept as tables', () => {
  const past = [...pastRuns('2031-07-14')];

  it('has every run of the log with what was quoted, for other readers', () => {
    const rows = parse(logCsv(past), { columns: true }) as readonly Record<string, string>[];
    expect(rows).toHaveLength(past.length);
    const school = rows.find(({ client }) => client!.startsWith('Driving school'))!;
    expect(school).toMatchObject({ quoted: '59', currency: 'EUR', state: 'counted' });
    expect(Number(school['water_l'])).toBeGreaterThan(0);
  });

  it('has every bill once, its sums in whole units', () => {
    const rows = parse(billsCsv(past), { columns: true }) as readonly Record<string, string>[];
    expect(rows).toHaveLength(2 * past.length);
    for (const { net, tax, total } of rows) expect(Number(net) + Number(tax)).toBeCloseTo(Number(total), 9);
    expect(new Set(rows.map(({ kind, number }) => `${kind}/${number}`)).size).toBe(rows.length);
  });

  it('has the stock by item and place, and nothing that is gone', () => {
    const { movements } = demoOn('2031-07-14');
    const rows = parse(
      stockCsv(movements, (item) => item),
      { columns: true },
    ) as readonly Record<string, string>[];
    expect(rows.length).toBeGreaterThan(5);
    for (const { name, place, amount, unit } of rows) {
      expect(Number(amount)).toBeCloseTo(amountAt(balancesOf(movements), name as never, place as never), 1);
      expect(Number(amount)).not.toBe(0);
      expect(['mL', 'pieces', 'min']).toContain(unit);
    }
  });

  it('has products that can be brought in again', () => {
    const rows = rowsIn('products', productsCsv(library, 'EUR'));
    expect(rows.every(({ faults }) => faults.length === 0)).toBe(true);
  });
});
