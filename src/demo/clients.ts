import type { Business, Client, ClientCar, ClientPlace, Leg } from '@esmero/model';
import { usualBusiness } from '@esmero/core';
import { minorUnits, toMinor } from '@esmero/units';
import { habits, packages, sites, vehicles } from './library';

/** How cars of the town are used. */
const use = (km: number, rest: Partial<Leg> = {}): Leg => ({
  days: 7,
  surroundings: 'coast',
  shelter: 'street',
  km,
  road: 'dry',
  ...rest,
});

const car = (vehicleId: string, siteId: string, usual: Leg, rest: Partial<ClientCar> = {}): ClientCar => ({
  vehicleId,
  siteId,
  packageId: null,
  habitsId: null,
  everyDays: null,
  usual,
  ...rest,
});
const at = (address: string, siteId: string | null): ClientPlace => ({ address, siteId });

const client = (
  id: string,
  name: string,
  phone: string,
  places: readonly ClientPlace[],
  cars: readonly ClientCar[],
  rest: Partial<Client> = {},
): Client => ({
  ...{ id, name, phone, places, cars, email: '', note: '', wishes: {} },
  ...rest,
});

/** Clients of the harbour town; nobody of them is real. */
export const clients: readonly Client[] = [
  client(
    'c-household',
    'Household on Lantern Steps',
    '555 0101',
    [at('7 Lantern Steps', sites.deck.id)],
    [car(vehicles.family.id, sites.deck.id, use(110, { shelter: 'deck' }))],
    {
      email: 'lantern.steps@example.net',
      note: 'Ring at the lower gate. Belongings in the boot.',
    },
  ),
  client(
    'c-council',
    'Town council',
    '555 0110',
    [at('Council Hall, Library Court 1', sites.courtyard.id)],
    [car(vehicles.council.id, sites.courtyard.id, use(60, { surroundings: 'town' }))],
    { email: 'motor.pool@example.org' },
  ),
  client(
    'c-school',
    'Driving school at the Upper Gate',
    '555 0123',
    [at('3 Upper Gate', sites.yard.id)],
    [
      car(vehicles.school.id, sites.yard.id, use(420, { surroundings: 'town' }), {
        packageId: packages.wash.id,
        everyDays: 7,
      }),
    ],
    {
      email: 'office@example.com',
      wishes: { approach: 'cautious' },
    },
  ),
  client(
    'c-exhibition',
    'Exhibition on the quay',
    '555 0140',
    [at('Hall 2, Old Quay', sites.hall.id)],
    [
      car(vehicles.show.id, sites.hall.id, use(0, { shelter: 'garage', surroundings: 'town' }), {
        packageId: packages.shine.id,
      }),
    ],
  ),
  client(
    'c-orchard',
    'Orchard above the town',
    '555 0152',
    [at('Terrace Track', sites.track.id)],
    [car(vehicles.farm.id, sites.track.id, use(180, { surroundings: 'country', road: 'unpaved' }))],
  ),
  client(
    'c-ferry',
    'Ferry crew',
    '555 0166',
    [at('Ferry House, Pier 3', sites.quay.id)],
    [car(vehicles.ferry.id, sites.quay.id, use(90))],
  ),
  client(
    'c-pilot',
    'Harbour pilot',
    '555 0170',
    [at('Pilot Station', sites.quay.id)],
    [car(vehicles.pilot.id, sites.quay.id, use(140))],
    { wishes: { chemistry: 'rinsed-off' } },
  ),
  client(
    'c-baker',
    'Bakery by the steps',
    '555 0184',
    [at('12 Lantern Steps', sites.courtyard.id)],
    [car(vehicles.baker.id, sites.courtyard.id, use(260, { surroundings: 'town' }), { habitsId: habits.gentle.id })],
  ),
];

/** The two with the van, and what they reckon by. */
export const business: Business = {
  ...usualBusiness('EUR', (amount) => toMinor(amount, 'EUR')),
  name: 'Two and a Van',
  hourMinor: minorUnits(1800),
  address: 'The Yard, Mill Lane',
  contact: 'Telephone 555 0199',
  taxNumber: 'XX 000 000',
  terms: 'Please pay to the account on your first invoice. Thank you.',
};
