import { defaultChoices, zonesIn } from '@esmero/core';
import type { Job, Lot, LotSetUp, SoilKind, SoilLevel } from '@esmero/model';
import { jobs } from './jobs';
import { products, sites, vehicles } from './library';

const deck = jobs.find(({ id }) => id === 'demo-deck')!;

/** A car of the lot: outside only, the bucket way, one kind of dirt all over. */
function carOf(id: string, vehicle: Job['vehicle'], kind: SoilKind, level: SoilLevel): Job {
  const scope = ['body', 'trim', 'glass'] as const;
  const soil = Object.fromEntries(
    zonesIn({ vehicle, scope }).map((zone) => [zone.id, { deposits: [{ kind, level }], spots: {} }]),
  );
  return {
    ...deck,
    id,
    name: vehicle.name,
    client: 'Dealer by the ring road',
    date: '2031-07-17',
    vehicle,
    scope,
    soil,
    marks: [],
    pictures: [],
    run: null,
    site: { ...sites.courtyard, waterL: 60, minutes: 240 },
    choices: { ...defaultChoices, method: 'rinseless' },
  };
}

/** Seventy-five cars of a dealer, dusty but for fifteen SUVs with film. */
export const dealerLot: Lot = {
  id: 'demo-lot',
  name: 'Dealer’s lot by the ring road',
  date: '2031-07-17',
  startHour: 7,
  people: 2,
  moveMin: 1,
  carsPerBucket: 8,
  laundry: null,
  van: {
    waterL: 120,
    dirtyL: 60,
    batteryMin: 24,
    chargePerMin: 0,
    towels: { wash: 80, finish: 60, drying: 30, glass: 24, wheels: 0 },
  },
  products: Object.values(products).map(({ id }) => ({ productId: id, ml: 500 })),
  classes: [
    { name: 'dusty sedans', job: carOf('lot-sedan', vehicles.council, 'dust', 1), count: 36 },
    { name: 'dusty hatchbacks', job: carOf('lot-hatch', vehicles.school, 'dust', 1), count: 24 },
    { name: 'SUVs with film', job: carOf('lot-suv', vehicles.ferry, 'road-film', 1), count: 15 },
  ],
};

/** The same lot as it is set up in the application, with the stock of the van. */
export const dealerSetUp = (date: string): LotSetUp => ({
  ...{
    id: 'demo-lot',
    name: dealerLot.name,
    date,
    startHour: dealerLot.startHour,
    people: 2,
    moveMin: dealerLot.moveMin,
    carsPerBucket: dealerLot.carsPerBucket,
  },
  ...{
    baysPerRow: 15,
    siteId: sites.lot.id,
    habitsId: 'h-usual',
    scope: ['body', 'trim', 'glass'],
    method: 'rinseless',
    laundry: null,
    begunAt: null,
    done: [],
  },
  classes: [
    { name: 'dusty sedans', vehicleId: vehicles.council.id, soil: 'dust', level: 1, count: 36 },
    { name: 'dusty hatchbacks', vehicleId: vehicles.school.id, soil: 'dust', level: 1, count: 24 },
    { name: 'SUVs with film', vehicleId: vehicles.ferry.id, soil: 'road-film', level: 1, count: 15 },
  ],
});
