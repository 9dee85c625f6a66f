import { finish } from '@esmero/core';
import { type Holdings, unstamped } from '@esmero/records';
import { Clients } from './clients';
import type { ClientRow, TableKind, VisitRow } from './columns';
import { Gathered, type Here } from './gathered';
import type { Outcome } from './outcome';
import type { RowRead } from './rows';
import { takingProducts, takingTowels } from './stock';
import { Visits } from './visits';

type Take = (row: never, line: number) => Outcome;

function takingFor(kind: TableKind, rows: readonly RowRead[], here: Here, gathered: Gathered, visits: Visits): Take {
  switch (kind) {
    case 'clients': {
      const clients = new Clients(rows, gathered);
      return (row: ClientRow) => clients.take(row);
    }
    case 'visits':
      return (row: VisitRow, line) => visits.take(row, line);
    case 'products':
      return takingProducts(rows, here, gathered);
    case 'towels':
      return takingTowels(rows, gathered);
  }
}

/** What a table comes to, and what becomes of each of its rows. */
export interface TableHoldings {
  readonly holdings: Holdings;
  /** In the order of the rows. */
  readonly outcomes: readonly Outcome[];
}

/**
 * What the rows come to, row by row so that whoever waits can look up in between: new items, and what is here with what the table says of
 * it. Names that are made tell things apart, never their spelling; whether a row is about what is here is decided as a person would:
 * clients by name and how they are reached, cars by client and name, products by name and bottle, towels by name, role and size, washes by
 * day, client, car and minutes.
 */
export function* gatheringHoldings(
  kind: TableKind,
  rows: readonly RowRead[],
  here: Here,
): Generator<number, TableHoldings> {
  const gathered = new Gathered(here);
  const visits = new Visits(gathered, here);
  const take = takingFor(kind, rows, here, gathered, visits);
  const outcomes: Outcome[] = [];
  for (const [i, { values, faults, line }] of rows.entries()) {
    yield i / rows.length;
    outcomes.push(faults.length > 0 ? { kind: 'faulty', faults } : take(values as never, line));
  }
  const jobs = visits.jobs.map((job) => ({ ...unstamped, archived: false, job }));
  return { holdings: { library: gathered.all(), jobs, movements: [], photos: [] }, outcomes };
}

/** The same at one go. */
export const holdingsOf = (kind: TableKind, rows: readonly RowRead[], here: Here): TableHoldings =>
  finish(gatheringHoldings(kind, rows, here));
