import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Client, LibraryEntry } from '@esmero/model';
import { runs } from '@esmero/testing';
import { readCollection, writeCollection } from '../collection-file';
import { type Here, type TableKind, guessMapping, holdingsOf, readRows, readTable } from '.';

const empty: Here = { library: [], visits: [], currency: 'EUR', at: 0 };
const entry = { clients: 'client', products: 'product', towels: 'towel' } as const;
/** Names that differ, though little of them is left in plain letters. */
const names = [
  'Иван Петров',
  '王小明',
  'محمد علي',
  'A & B',
  'A B',
  'José',
  'Jose',
  '!!!',
  '???',
  `${'x'.repeat(100)}1`,
  `${'x'.repeat(100)}2`,
];

function brought(kind: TableKind, text: string, to = empty) {
  const read = readTable(text);
  if (!read.ok) throw new Error(read.why);
  return holdingsOf(kind, readRows(kind, read.table, guessMapping(kind, read.table.columns)), to);
}
const found = <K extends LibraryEntry['kind']>(kind: K, all: readonly LibraryEntry[]) =>
  all.flatMap((one) => (one.kind === kind ? [one.item] : []));

describe('rows of a table', () => {
  it.each(Object.keys(entry) as (keyof typeof entry)[])(
    'of %s all arrive, in whatever script and however alike their names are',
    (kind) => {
      const [column, cell] = { clients: ['', ''], products: [',bottle', ',500'], towels: [',count', ',3'] }[kind] as [
        string,
        string,
      ];
      const text = [`name${column}`, ...names.map((name) => `"${name}"${cell}`)].join('\n');
      const { holdings, outcomes } = brought(kind, text);
      expect(found(entry[kind], holdings.library).map(({ name }) => name)).toEqual(names);
      expect(outcomes).toEqual(names.map(() => ({ kind: 'new' })));
      expect(readCollection(writeCollection(holdings)).ok).toBe(true);
      const again = brought(kind, text, { ...empty, library: holdings.library });
      expect(again.outcomes).toEqual(names.map((name) => ({ kind: 'changes', name })));
      expect(again.holdings.library.map(({ item }) => item.id)).toEqual(holdings.library.map(({ item }) => item.id));
    },
  );

  it('of visits all arrive, each with the car of its own client', () => {
    const people = brought('clients', ['name,car', ...names.map((name) => `"${name}",Estate`)].join('\n')).holdings
      .library;
    const { holdings } = brought(
      'visits',
      ['date,client,car,minutes', ...names.map((name) => `2031-05-01,"${name}",Estate,30`)].join('\n'),
      { ...empty, library: people },
    );
    expect(holdings.jobs.map(({ job }) => job.client)).toEqual(names);
    for (const of of ['vehicle', 'client'] as const)
      expect(new Set(holdings.jobs.map(({ job }) => (of === 'vehicle' ? job.vehicle.id : job.clientId))).size).toBe(
        names.length,
      );
  });

  it('are one person where a person would say so, and two where both are reached otherwise', () => {
    const { holdings, outcomes } = brought(
      'clients',
      'name,phone,email,car\nAda Bay,555 01-00,,Van\nada  bay,5550100,,Estate\nAda Bay,555 0999,other@bay.example,Estate\nAda Bay,555 0999,,Boat',
    );
    expect(outcomes.map(({ kind }) => kind)).toEqual(['new', 'adds-to', 'new', 'adds-to']);
    expect((found('client', holdings.library) as readonly Client[]).map(({ cars }) => cars.length)).toEqual([2, 2]);
    expect(found('vehicle', holdings.library)).toHaveLength(4);
    // Of one name on either side, somebody has a new number.
    const one = brought('clients', 'name,phone\nHarbour pilot,555 0170').holdings.library;
    const changed = brought('clients', 'name,phone\nHarbour pilot,555 0999', { ...empty, library: one });
    expect(changed.outcomes).toEqual([{ kind: 'changes', name: 'Harbour pilot' }]);
    expect(
      brought('clients', 'name,phone\nHarbour pilot,555 0999\nHarbour pilot,555 0888', {
        ...empty,
        library: one,
      }).outcomes.map(({ kind }) => kind),
    ).toEqual(['new', 'new']);
  });

  it('of one name are several bottles, or several sizes, and a table that knows of one changes the only one', () => {
    const two = brought('products', 'name,bottle,price\nFoam,500,5\nFoam,5000,30').holdings.library;
    expect(found('product', two)).toMatchObject([{ sizeMl: 500 }, { sizeMl: 5000 }]);
    expect(
      brought('products', 'name,bottle,price\nFoam,5000,33', { ...empty, library: two }).holdings.library.map(
        ({ item }) => item.id,
      ),
    ).toEqual([two[1]!.item.id]);
    expect(brought('products', 'name,bottle\nFoam,1000', { ...empty, library: two }).outcomes).toEqual([
      { kind: 'new' },
    ]);
    expect(brought('products', 'name,bottle\nFoam,750', { ...empty, library: two.slice(0, 1) }).outcomes).toEqual([
      { kind: 'changes', name: 'Foam' },
    ]);
    expect(
      found('towel', brought('towels', 'name,count,role\nBlue,10,wash\nBlue,4,drying').holdings.library),
    ).toMatchObject([{ clean: 10 }, { clean: 4 }]);
  });

  it('never go missing unsaid: as many clients come about as rows are said to be new', () => {
    const row = fc.tuple(
      fc.constantFrom('A', 'a ', 'B', 'Ж', '王'),
      fc.constantFrom('', '1', '2'),
      fc.constantFrom('', 'x@y.example'),
      fc.constantFrom('', 'Van', 'Estate'),
    );
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 12 }), (rows) => {
        const { holdings, outcomes } = brought(
          'clients',
          ['name,phone,email,car', ...rows.map((cells) => cells.map((one) => `"${one}"`).join(','))].join('\n'),
        );
        const clients = found('client', holdings.library) as readonly Client[];
        expect(clients).toHaveLength(outcomes.filter(({ kind }) => kind === 'new').length);
        const cars = clients.flatMap(({ cars: all }) => all.map(({ vehicleId }) => vehicleId));
        expect(new Set(found('vehicle', holdings.library).map(({ id }) => id))).toEqual(new Set(cars));
      }),
      { numRuns: runs(200) },
    );
  });

  it('that would break what they are added to are named, and the rest comes in', () => {
    const { holdings, outcomes } = brought(
      'clients',
      ['name,car', ...Array.from({ length: 202 }, (_, i) => `Fleet,Car ${i}`)].join('\n'),
    );
    expect(outcomes.filter(({ kind }) => kind === 'faulty')).toHaveLength(2);
    expect(readCollection(writeCollection(holdings)).ok).toBe(true);
  });

  it('are read up to a bound, and no further', () => {
    expect(readTable(`a\n${'x\n'.repeat(20_001)}`)).toEqual({ ok: false, why: 'too-large' });
    expect(readTable(`${'a,'.repeat(300)}\n1`)).toEqual({ ok: false, why: 'too-large' });
  });
});
