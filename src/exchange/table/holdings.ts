import { endRun, newItem, newJob, noteUse, startRun } from '@esmero/core';
import { type Body, type Client, type ClientCar, type Colour, type EntryItems, type EntryKind, type Job, type LibraryEntry, type MixPurpose, type TowelRole, type Vehicle, type VehicleMethod, asPractised } from '@esmero/model';
import { instantAt, metres, ml, toMinor } from '@esmero/units';
import { type Holdings, type Stamp, advanced, unstamped } from '@esmero/records';
import type { ClientRow, ProductRow, TableKind, TowelRow, VisitRow } from './columns';
import type { RowRead } from './rows';

/** What is here already: rows of the same name are about the same thing. */
export interface Here {
  readonly library: readonly (LibraryEntry & Partial<Stamp>)[];
  readonly currency: string;
  /** When the table is read. */
  readonly at: number;
}

/** Whoever changes something by a table. */
const TABLE = 'table';
const HOUR = 10;
const MINUTE_MS = 60_000;
const CM = 100;

/** The same for the same name, so that a table that is brought in twice is about the same things. */
const idFrom = (kind: string, name: string): string => `${kind}-${name.normalize('NFKD').toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '').slice(0, 60) || 'x'}`;

const sameName = (p: string, q: string): boolean => p.trim().toLowerCase() === q.trim().toLowerCase();

/** Items as they come about, row by row; what is here is begun with. */
class Gathered {
  private readonly changed = new Map<string, LibraryEntry>();

  constructor(private readonly here: Here) {}

  find<K extends EntryKind>(kind: K, name: string): EntryItems[K] | undefined {
    const own = [...this.changed.values(), ...this.here.library].find((entry) => entry.kind === kind && sameName(entry.item.name, name));
    return own?.item as EntryItems[K] | undefined;
  }

  put<K extends EntryKind>(kind: K, item: EntryItems[K]): void {
    this.changed.set(`${kind}/${item.id}`, { kind, archived: false, item } as LibraryEntry);
  }

  /** A row about what is here is a later change of it. */
  private stampOf({ kind, item }: LibraryEntry): Stamp {
    const mine = this.here.library.find((entry) => entry.kind === kind && entry.item.id === item.id);
    return mine?.vector ? { changedAt: this.here.at, vector: advanced(mine.vector, TABLE) } : { ...unstamped, changedAt: this.here.at };
  }

  all(): Holdings['library'] {
    return [...this.changed.values()].map((entry) => ({ ...this.stampOf(entry), ...entry }));
  }
}

function vehicleFor(name: string, body: string | null, colour: string | null, gathered: Gathered): Vehicle {
  const here = gathered.find('vehicle', name);
  if (here) return here;
  const id = idFrom('vehicle', name);
  const usual = newItem.vehicle(id);
  const vehicle = { ...usual, name, body: (body as Body | null) ?? usual.body, colour: (colour as Colour | null) ?? usual.colour };
  gathered.put('vehicle', vehicle);
  return vehicle;
}

const carOf = (vehicleId: string, everyDays: number | null): ClientCar => ({
  ...{ vehicleId, siteId: null, packageId: null, habitsId: null, everyDays },
  usual: { days: 7, surroundings: 'town', shelter: 'street', km: 150, road: 'dry' },
});

/** What a table does not say stays as it is. */
function clientFrom(row: ClientRow, gathered: Gathered): Client {
  const before = gathered.find('client', row.name) ?? { id: idFrom('client', row.name), name: row.name, email: '', phone: '', note: '', places: [], cars: [], wishes: {} };
  const isKnown = before.places.some(({ address }) => sameName(address, row.address));
  const client = {
    ...before,
    email: row.email || before.email,
    phone: row.phone || before.phone,
    note: row.note || before.note,
    places: row.address && !isKnown ? [...before.places, { address: row.address, siteId: null }] : before.places,
  };
  if (!row.car) return client;
  const { id } = vehicleFor(row.car, row.body, row.colour, gathered);
  const has = client.cars.find(({ vehicleId }) => vehicleId === id);
  const car = has ? { ...has, everyDays: row.everyDays ?? has.everyDays } : carOf(id, row.everyDays);
  return { ...client, cars: has ? client.cars.map((one) => (one === has ? car : one)) : [...client.cars, car] };
}

/** A wash of the past: begun at ten, over after its minutes, and counted as far as a table knows. */
function visitFrom(row: VisitRow, gathered: Gathered, here: Here): Job {
  const vehicle = vehicleFor(row.car, row.body, null, gathered);
  const client = row.client ? gathered.find('client', row.client) : undefined;
  const job = newJob(idFrom('visit', `${row.date} ${row.client} ${row.car}`), row.date, here.library);
  const at = instantAt(row.date, HOUR, job.site.utcOffsetH);
  const begun = startRun({ ...job, name: row.car, client: row.client, clientId: client?.id ?? null, note: row.note, currency: here.currency, vehicle, hour: HOUR }, at);
  const endedAt = at + row.minutes * MINUTE_MS;
  return noteUse(endRun(begun, endedAt), {
    ...{ at: endedAt, because: '', method: row.method as VehicleMethod | null, doneShare: 1, plannedMin: row.minutes },
    ...{ paces: [], soil: null, waterL: null, runoffL: null, mixes: [], towels: [] },
  });
}

function productFrom(row: ProductRow, gathered: Gathered, { currency }: Here): EntryItems['product'] {
  const before = gathered.find('product', row.name) ?? { ...newItem.product(idFrom('product', row.name)), name: row.name };
  const purpose = row.purpose as MixPurpose;
  const use = { purpose, dilution: { label: String(row.waterParts ?? 0), reading: 'water' as const }, weakest: null, strongest: null, protectsDays: null, ...asPractised, origin: 'own' as const };
  const isKnown = before.uses.some((one) => one.purpose === purpose);
  const isNew = !gathered.find('product', row.name);
  return {
    ...before,
    sizeMl: ml(row.bottleMl),
    priceMinor: row.price === null ? before.priceMinor : toMinor(row.price, currency),
    uses: row.waterParts === null ? before.uses : isNew ? [use] : isKnown ? before.uses.map((one) => (one.purpose === purpose ? { ...one, dilution: use.dilution } : one)) : [...before.uses, use],
    origin: 'own',
  };
}

function towelFrom(row: TowelRow, gathered: Gathered): EntryItems['towel'] {
  const before = gathered.find('towel', row.name) ?? { ...newItem.towel(idFrom('towel', row.name)), name: row.name };
  return {
    ...before,
    role: row.role as TowelRole,
    clean: row.clean,
    widthM: row.widthCm === null ? before.widthM : metres(row.widthCm / CM),
    heightM: row.lengthCm === null ? before.heightM : metres(row.lengthCm / CM),
    gsm: row.gsm ?? before.gsm,
    origin: 'own',
  };
}

/** What the rows without faults come to: new items, and those of the same name with what the table says of them. */
export function holdingsOf(kind: TableKind, rows: readonly RowRead[], here: Here): Holdings {
  const gathered = new Gathered(here);
  const jobs: Job[] = [];
  for (const { values, faults } of rows) {
    if (faults.length > 0) continue;
    const row: unknown = values;
    if (kind === 'clients') gathered.put('client', clientFrom(row as ClientRow, gathered));
    else if (kind === 'visits') jobs.push(visitFrom(row as VisitRow, gathered, here));
    else if (kind === 'products') gathered.put('product', productFrom(row as ProductRow, gathered, here));
    else gathered.put('towel', towelFrom(row as TowelRow, gathered));
  }
  const once = new Map(jobs.map((job) => [job.id, job]));
  return { library: gathered.all(), jobs: [...once.values()].map((job) => ({ ...unstamped, archived: false, job })), movements: [], photos: [] };
}
