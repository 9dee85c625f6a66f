import { balancesOf, logOf } from '@esmero/core';
import {
  type Bill,
  type Client,
  type JobBrief,
  type LibraryEntry,
  type Movement,
  type StockItem,
  type StockKind,
  type Vehicle,
  invoiceIn,
  quoteIn,
} from '@esmero/model';
import { fromMinor } from '@esmero/units';
import { type Cell, writeTable } from './table';

const rounded = (value: number, digits = 2): number => Number(value.toFixed(digits));
const amount = (minor: number, currency: string): number => fromMinor(minor, currency);

/** Clients, a row for each car; can be brought in again. */
export function clientsCsv(clients: readonly Client[], vehicles: readonly Vehicle[]): string {
  const rows = clients.flatMap(({ name, phone, email, note, places, cars }) => {
    const own: readonly Cell[] = [name, phone, email, places[0]?.address ?? '', note];
    if (cars.length === 0) return [[...own, null, null, null, null]];
    return cars.map(({ vehicleId, everyDays }) => {
      const vehicle = vehicles.find(({ id }) => id === vehicleId);
      return [...own, vehicle?.name ?? '', vehicle?.body ?? null, vehicle?.colour ?? null, everyDays];
    });
  });
  return writeTable(['name', 'phone', 'email', 'address', 'note', 'car', 'body', 'colour', 'every_days'], rows);
}

/** Runs that are over, the last one first. */
export function logCsv(jobs: readonly JobBrief[]): string {
  const rows = logOf(jobs).map(({ job, day, minutes, method, used, state }): readonly Cell[] => {
    const [quoted, billed] = [quoteIn(job), invoiceIn(job)];
    const money = (bill: Bill | null): number | null => bill && amount(bill.totalMinor, bill.currency);
    return [
      ...[day, job.client, job.vehicle.name, job.name, job.site.name, method, state],
      ...[
        minutes === null ? null : rounded(minutes, 1),
        used ? rounded(used.plannedMin, 1) : null,
        used?.waterL == null ? null : rounded(used.waterL),
        used?.runoffL == null ? null : rounded(used.runoffL),
      ],
      ...[money(quoted), money(billed), (billed ?? quoted)?.currency ?? null, job.note],
    ];
  });
  return writeTable(
    [
      'date',
      'client',
      'car',
      'job',
      'site',
      'method',
      'state',
      'minutes',
      'planned_minutes',
      'water_l',
      'runoff_l',
      'quoted',
      'billed',
      'currency',
      'note',
    ],
    rows,
  );
}

/** Every quote and invoice, by day and number. */
export function billsCsv(jobs: readonly JobBrief[]): string {
  const all = jobs
    .flatMap((job) => job.bills.map((bill) => ({ job, bill })))
    .sort((p, q) => p.bill.on.localeCompare(q.bill.on) || p.bill.number.localeCompare(q.bill.number));
  const rows = all.map(
    ({ job, bill: { kind, number, on, until, currency, netMinor, taxMinor, totalMinor, paidOn } }): readonly Cell[] => [
      ...[
        kind,
        number,
        on,
        until,
        job.client,
        job.name,
        amount(netMinor, currency),
        amount(taxMinor, currency),
        amount(totalMinor, currency),
        currency,
        paidOn,
      ],
    ],
  );
  return writeTable(
    ['kind', 'number', 'date', 'until', 'client', 'job', 'net', 'tax', 'total', 'currency', 'paid_on'],
    rows,
  );
}

const unitOf: Readonly<Record<StockKind, string>> = { product: 'mL', mix: 'mL', towel: 'pieces', gear: 'min' };

/** What the van stock has of each item, and where. */
export function stockCsv(movements: readonly Movement[], nameOf: (item: StockItem) => string): string {
  const rows = [...balancesOf(movements)].flatMap(([item, places]) =>
    Object.entries(places).flatMap(([place, held]): readonly (readonly Cell[])[] => {
      const kind = item.split('/')[0] as StockKind;
      return place === 'outside' || rounded(held) === 0
        ? []
        : [[kind, nameOf(item), place, rounded(held), unitOf[kind]]];
    }),
  );
  return writeTable(['kind', 'name', 'place', 'amount', 'unit'], rows);
}

/** Products as they can be brought in again; prices in whole units of the currency. */
export function productsCsv(library: readonly LibraryEntry[], currency: string): string {
  const rows = library.flatMap((entry): readonly (readonly Cell[])[] => {
    if (entry.kind !== 'product' || entry.archived) return [];
    const { name, sizeMl, priceMinor, uses } = entry.item;
    const [use] = uses;
    const parts = use?.dilution.reading === 'water' ? Number(use.dilution.label) : null;
    return [
      [
        name,
        sizeMl,
        priceMinor === null ? null : amount(priceMinor, currency),
        use?.purpose ?? 'wash',
        Number.isFinite(parts) ? parts : null,
      ],
    ];
  });
  return writeTable(['name', 'bottle_ml', 'price', 'purpose', 'water_parts'], rows);
}
