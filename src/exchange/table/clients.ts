import { newItem } from '@esmero/core';
import type { Body, Client, ClientCar, Colour, Vehicle } from '@esmero/model';
import { freshId } from '@esmero/records';
import { MOST_CARS, MOST_PLACES } from '../documents/client';
import type { Fault } from '../fault';
import type { ClientRow } from './columns';
import type { Gathered } from './gathered';
import { type Found, type Outcome, about, added } from './outcome';
import type { RowRead } from './rows';
import { ByName, asCompared, onePersonIn, reachedBy } from './sameness';

/** A car that nobody has yet. */
export function vehicleNew(name: string, body: string | null, colour: string | null): Vehicle {
  const usual = newItem.vehicle(freshId('vehicle'));
  return {
    ...usual,
    name,
    body: (body as Body | null) ?? usual.body,
    colour: (colour as Colour | null) ?? usual.colour,
  };
}

export const carOf = (vehicleId: string, everyDays: number | null): ClientCar => ({
  ...{ vehicleId, siteId: null, packageId: null, habitsId: null, everyDays },
  usual: { days: 7, surroundings: 'town', shelter: 'street', km: 150, road: 'dry' },
});

/** The car of that name of this client: two clients’ cars are two cars, whatever they are called. */
export const carNamed = ({ cars }: Client, name: string, gathered: Gathered): ClientCar | undefined =>
  cars.find(({ vehicleId }) => asCompared(gathered.item('vehicle', vehicleId)?.name ?? '') === asCompared(name));

/** Takes rows of clients, one after the other; of one name they may be several people, who are reached otherwise. */
export class Clients {
  /** By name, the ways in which rows say that somebody is reached. */
  private readonly reached = new ByName<string>();

  constructor(
    rows: readonly RowRead[],
    private readonly gathered: Gathered,
  ) {
    for (const { values, faults } of rows) {
      const row = values as unknown as ClientRow;
      if (faults.length === 0 && !this.reached.of(row.name).includes(reachedBy(row)))
        this.reached.add(row.name, reachedBy(row));
    }
  }

  /** What a table does not say stays as it is. */
  take(row: ClientRow): Outcome {
    const found = this.find(row);
    const before: Client = found?.item ?? {
      id: freshId('client'),
      name: row.name,
      email: '',
      phone: '',
      note: '',
      places: [],
      cars: [],
      wishes: {},
    };
    const isKnown = before.places.some(({ address }) => asCompared(address) === asCompared(row.address));
    const client: Client = {
      ...before,
      email: row.email || before.email,
      phone: row.phone || before.phone,
      note: row.note || before.note,
      places: row.address && !isKnown ? [...before.places, { address: row.address, siteId: null }] : before.places,
    };
    const faults = tooMany(client, row, this.gathered);
    if (faults.length > 0) return { kind: 'faulty', faults };
    if (row.car) putWithCar(client, row, this.gathered);
    else this.gathered.put('client', client);
    return found ? about(found) : added;
  }

  /** One who is reached so, or of whom nothing says otherwise; and where there is one of that name on either side, it has a new number. */
  private find(row: ClientRow): Found<Client> | undefined {
    const named = this.gathered.named('client', row.name);
    const only = named.length === 1 && this.reached.of(row.name).length === 1 ? named[0] : undefined;
    return onePersonIn(named, row, ({ item }) => item) ?? only;
  }
}

/** What a row would add beyond what a client may have. */
function tooMany(client: Client, row: ClientRow, gathered: Gathered): readonly Fault[] {
  const isFull = row.car !== '' && client.cars.length >= MOST_CARS && !carNamed(client, row.car, gathered);
  const over = (path: string, most: number, count: number): Fault => ({
    path,
    expected: { code: 'list', most },
    found: `a list of ${count}`,
  });
  return [
    ...(isFull ? [over('car', MOST_CARS, client.cars.length + 1)] : []),
    ...(client.places.length > MOST_PLACES ? [over('address', MOST_PLACES, client.places.length)] : []),
  ];
}

function putWithCar(client: Client, row: ClientRow, gathered: Gathered): void {
  const has = carNamed(client, row.car, gathered);
  if (has) {
    const car = { ...has, everyDays: row.everyDays ?? has.everyDays };
    return gathered.put('client', { ...client, cars: client.cars.map((one) => (one === has ? car : one)) });
  }
  const vehicle = vehicleNew(row.car, row.body, row.colour);
  gathered.put('client', { ...client, cars: [...client.cars, carOf(vehicle.id, row.everyDays)] });
  gathered.put('vehicle', vehicle);
}
