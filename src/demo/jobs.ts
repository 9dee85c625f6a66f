import {
  type Job,
  type Package,
  type SoilKind,
  type SoilLevel,
  type SoilMap,
  type ZoneId,
  type ZoneSoil,
  cleanlinessOf,
  noCare,
  usualScope,
} from '@esmero/model';
import { defaultChoices as choices, zonesIn } from '@esmero/core';
import { celsius } from '@esmero/units';
import { clients } from './clients';
import {
  brushes,
  careProducts,
  device,
  foamer,
  gear,
  packages,
  products,
  sites,
  spareBuckets,
  spareGear,
  towels,
  vehicles,
  vessels,
} from './library';

type Mark = readonly [kind: SoilKind, level: SoilLevel];

/** Soil by part of the car, as a first walk round would see it; single zones on top. */
interface Seen {
  readonly top: Mark;
  readonly upper: Mark;
  readonly lower: Mark;
  readonly wheels: Mark;
  readonly also?: Readonly<Partial<Record<ZoneId, ZoneSoil>>>;
  /** Not looked at: these keep to the forecast. */
  readonly missed?: readonly ZoneId[];
}

const zoneSoil = ([kind, level]: Mark): ZoneSoil => ({ deposits: [{ kind, level }], spots: {} });

function walkRound(
  { vehicle, scope = usualScope }: Pick<Job, 'vehicle'> & Partial<Pick<Job, 'scope'>>,
  seen: Seen,
): SoilMap {
  const marks = zonesIn({ vehicle, scope }).map(({ id, view, cleanliness }): [ZoneId, ZoneSoil] => {
    if (cleanliness >= cleanlinessOf.faces) return [id, zoneSoil(seen.wheels)];
    if (cleanliness >= cleanlinessOf.lowers) return [id, zoneSoil(seen.lower)];
    return [id, zoneSoil(view === 'top' ? seen.top : seen.upper)];
  });
  const looked = marks.filter(([id]) => !seen.missed?.includes(id));
  return { ...Object.fromEntries(looked), ...seen.also };
}

/** Seals have kept the worst out. */
const shutsWith = (mark: Mark): Partial<SoilMap> =>
  Object.fromEntries(
    (['boot-sill', 'left-front-shut', 'left-rear-shut', 'right-front-shut', 'right-rear-shut'] as const).map((id) => [
      id,
      zoneSoil(mark),
    ]),
  );

const base = {
  currency: 'EUR',
  scope: usualScope,
  soldAs: null,
  care: noCare,
  around: [],
  note: '',
  hour: 10,
  gear: [...Object.values(gear), ...Object.values(brushes)],
  since: [],
  readings: {},
  marks: [],
  pictures: [],
  proofs: [],
  signed: null,
  arrivedAt: null,
  bills: [],
  weather: null,
  consent: null,
  refused: null,
  run: null,
  wishes: {},
  products: Object.values(products),
  vessels: Object.values(vessels),
  towels: Object.values(towels),
  device,
  choices,
};

const sold = ({ id, name, scope, care, priceMinor }: Package): Pick<Job, 'scope' | 'soldAs' | 'care'> => ({
  scope,
  care,
  soldAs: { id, name, priceMinor },
});

const job = (rest: Omit<Job, 'soil' | 'clientId' | keyof typeof base> & Partial<Job>, seen: Seen): Job => ({
  ...base,
  clientId: clients.find(({ name }) => name === rest.client)?.id ?? null,
  ...rest,
  soil: walkRound(rest, seen),
});

/** The bucket kit without sprayers. */
const ownBuckets = [vessels.sprayA, vessels.bucketA, vessels.bucketB, spareBuckets.bucketC, spareBuckets.bucketD];

const tenTowels = [
  { ...towels.wash, clean: 4 },
  { ...towels.finish, clean: 2 },
  { ...towels.drying, clean: 1 },
  { ...towels.glass, clean: 1 },
  { ...towels.wheels, clean: 2 },
];

export const jobs: readonly Job[] = [
  job(
    {
      id: 'demo-deck',
      name: 'Family estate on the parking deck',
      client: 'Household on Lantern Steps',
      date: '2031-07-14',
      vehicle: vehicles.family,
      site: sites.deck,
      towels: tenTowels,
      choices: { ...choices, bucket: 'many-towels', soakedSides: 8 },
      note: 'Nothing may reach the drain. Belongings in the boot.',
      since: [{ days: 9, surroundings: 'coast', shelter: 'deck', km: 140, road: 'dry' }],
      marks: [
        {
          id: 'm-1',
          zone: 'left-front-door-lower',
          kind: 'scratch',
          note: 'A hand’s breadth below the handle.',
          photo: null,
        },
        { id: 'm-2', zone: 'roof', kind: 'swirls', note: 'Seen in raking light only.', photo: null },
      ],
    },
    {
      top: ['dust', 1],
      upper: ['dust', 2],
      lower: ['road-film', 2],
      wheels: ['brake-dust', 2],
      also: { bonnet: { deposits: [{ kind: 'dust', level: 1 }], spots: {}, bugs: 'few' } },
    },
  ),
  job(
    {
      id: 'demo-courtyard',
      name: 'Council sedan in the courtyard',
      client: 'Town council',
      date: '2031-07-15',
      vehicle: vehicles.council,
      site: sites.courtyard,
    },
    { top: ['pollen', 1], upper: ['dust', 1], lower: ['dust', 1], wheels: ['dust', 1] },
  ),
  job(
    {
      id: 'demo-yard',
      name: 'Driving school, weekly wash',
      client: 'Driving school at the Upper Gate',
      date: '2031-07-16',
      vehicle: vehicles.school,
      ...sold(packages.wash),
      site: sites.yard,
      choices: { ...choices, approach: 'cautious', glass: 'last', bucket: 'two-buckets' },
    },
    {
      top: ['road-film', 2],
      upper: ['road-film', 2],
      lower: ['road-film', 2],
      wheels: ['brake-dust', 2],
    },
  ),
  job(
    {
      id: 'demo-hall',
      name: 'Coupé before the opening',
      client: 'Exhibition on the quay',
      date: '2031-09-02',
      vehicle: vehicles.show,
      ...sold(packages.shine),
      site: sites.hall,
      vessels: [...Object.values(vessels), foamer],
      choices: { ...choices, approach: 'cautious', glass: 'last' },
    },
    { top: ['dust', 1], upper: ['dust', 1], lower: ['dust', 1], wheels: ['dust', 1] },
  ),
  job(
    {
      id: 'demo-track',
      name: 'Pickup from the orchard',
      client: 'Orchard above the town',
      date: '2031-10-08',
      vehicle: vehicles.farm,
      site: sites.track,
    },
    {
      top: ['dust', 2],
      upper: ['dust', 2],
      lower: ['mud', 3],
      wheels: ['mud', 3],
      also: { bonnet: { deposits: [{ kind: 'dust', level: 2 }], spots: { droppings: 2, sap: 1 } } },
    },
  ),
  job(
    {
      id: 'demo-frost',
      name: 'Salted SUV on a frosty morning',
      client: 'Ferry crew',
      date: '2032-01-19',
      vehicle: vehicles.ferry,
      site: {
        ...sites.yard,
        airC: celsius(-9),
        panelC: celsius(-9),
        liquidC: celsius(6),
        shade: true,
        sunWm2: 0,
        humidity: 0.8,
      },
      since: [
        { days: 5, surroundings: 'coast', shelter: 'street', km: 60, road: 'wet' },
        { days: 4, surroundings: 'coast', shelter: 'street', km: 90, road: 'salted' },
      ],
    },
    {
      top: ['salt', 1],
      upper: ['salt', 2],
      lower: ['salt', 3],
      wheels: ['salt', 3],
      missed: ['roof', 'left-mirror', 'right-mirror', 'badges'],
    },
  ),
  job(
    {
      id: 'demo-noon',
      name: 'Coupé in the noon sun',
      client: 'Exhibition on the quay',
      date: '2031-09-03',
      vehicle: vehicles.show,
      hour: 13,
      site: { ...sites.track, airC: celsius(31), sunWm2: 850, humidity: 0.4 },
    },
    { top: ['dust', 1], upper: ['dust', 1], lower: ['dust', 1], wheels: ['dust', 1] },
  ),
  job(
    {
      id: 'demo-cinders',
      name: 'Cinders and salt, everything rinsed off',
      client: 'Harbour pilot',
      date: '2032-01-21',
      vehicle: vehicles.pilot,
      site: sites.quay,
      gear: [gear.wand],
      vessels: [...ownBuckets, foamer],
      products: [...Object.values(products), careProducts.shampoo, careProducts.tyre],
      wishes: { chemistry: 'rinsed-off' },
      choices: { ...choices, bucket: 'two-buckets' },
      care: { ...noCare, tyres: 'after-drive' },
      note: 'The owner wants nothing left on the paint that is not rinsed off.',
    },
    { top: ['salt', 1], upper: ['salt', 2], lower: ['grit', 2], wheels: ['salt', 3], also: shutsWith(['dust', 2]) },
  ),
  job(
    {
      id: 'demo-bugs',
      name: 'Front full of bugs, noon',
      client: 'Driving school at the Upper Gate',
      date: '2031-08-04',
      vehicle: vehicles.school,
      hour: 13,
      site: { ...sites.track, airC: celsius(33), sunWm2: 800 },
      choices: { ...choices, brush: 'lubricated' },
    },
    {
      top: ['dust', 1],
      upper: ['dust', 1],
      lower: ['dust', 1],
      wheels: ['dust', 1],
      also: Object.fromEntries(
        (['grille', 'front-bumper-upper', 'front-bumper-lower'] as const).map((id) => [
          id,
          { deposits: [{ kind: 'dust', level: 1 }], spots: {}, bugs: 'covered' },
        ]),
      ),
    },
  ),
  job(
    {
      id: 'demo-bay',
      name: 'Filthy winter car, wash bay next door',
      client: 'Ferry crew',
      date: '2032-02-10',
      vehicle: vehicles.ferry,
      site: sites.bayside,
      vessels: [...ownBuckets, foamer],
      scope: [...usualScope, 'mats'],
      products: [
        products.amberSpray,
        products.clearGlass,
        products.tarLift,
        careProducts.topper,
        careProducts.wheel,
        careProducts.degreaser,
      ],
      care: { ...noCare, paint: { use: 'topper', on: 'body' } },
      choices: { ...choices, topping: 'welcome' },
    },
    {
      top: ['salt', 2],
      upper: ['salt', 3],
      lower: ['salt', 3],
      wheels: ['brake-dust', 4],
      also: {
        ...shutsWith(['road-film', 2]),
        'left-rear-door-lower': { deposits: [{ kind: 'salt', level: 3 }], spots: { tar: 3 } },
        mats: { deposits: [{ kind: 'mud', level: 3 }], spots: {} },
      },
    },
  ),
  job(
    {
      id: 'demo-topper',
      name: 'Dusty estate before the fair',
      client: 'Household on Lantern Steps',
      date: '2031-07-18',
      vehicle: vehicles.family,
      site: sites.courtyard,
      products: [...Object.values(products), careProducts.topper, careProducts.trim, careProducts.tyre],
      scope: [...usualScope, 'barrels', 'details', 'glass-inside'],
      care: { paint: { use: 'topper', on: 'uppers' }, trim: true, tyres: 'after-drive' },
      around: ['traffic-right'],
    },
    { top: ['dust', 1], upper: ['dust', 1], lower: ['dust', 1], wheels: ['dust', 1] },
  ),
  job(
    {
      id: 'demo-courier',
      name: 'Courier’s motorcycle after the rain',
      client: 'Lantern couriers',
      date: '2031-07-22',
      vehicle: vehicles.courier,
      site: { ...sites.courtyard, minutes: 60 },
      products: [...Object.values(products), careProducts.degreaser],
      choices: { ...choices, brush: 'lubricated' },
      note: 'Let it stand a quarter of an hour: the exhaust is hot.',
    },
    { top: ['road-film', 1], upper: ['road-film', 2], lower: ['road-film', 2], wheels: ['road-film', 3] },
  ),
  job(
    {
      id: 'demo-seams',
      name: 'Seams and boot sill, papers in the boot',
      client: 'Town council',
      date: '2031-07-21',
      vehicle: vehicles.council,
      scope: ['trim', 'shuts', 'boot-sill', 'engine'],
      around: ['boot-belongings', 'electronics', 'people'],
      site: { ...sites.hall, workers: 1 },
      gear: [spareGear.steamer],
      vessels: [vessels.sprayA, foamer],
      products: [products.amberSpray, products.clearGlass, careProducts.degreaser],
      choices: { ...choices, steamWith: 'product' },
      note: 'Files in the boot. Nothing may drip.',
    },
    {
      top: ['dust', 1],
      upper: ['dust', 1],
      lower: ['dust', 1],
      wheels: ['dust', 1],
      also: { ...shutsWith(['grit', 3]), 'engine-bay': zoneSoil(['dust', 2]) },
    },
  ),
  job(
    {
      id: 'demo-dust-off',
      name: 'Back from the body shop, dust in every seam',
      client: 'Harbour pilots',
      date: '2031-07-24',
      vehicle: vehicles.pilot,
      ...sold(packages.bodyshop),
      site: { ...sites.hall, workers: 1 },
      gear: [spareGear.airGun, brushes.detail],
      note: 'Grinding dust: blow it out first, wipe nothing dry.',
    },
    { top: ['dust', 2], upper: ['dust', 2], lower: ['dust', 2], wheels: ['dust', 1], also: shutsWith(['dust', 3]) },
  ),
  job(
    {
      id: 'demo-refusal',
      name: 'Gritty van, nothing may run off',
      client: 'Bakery by the steps',
      date: '2032-01-20',
      vehicle: vehicles.baker,
      site: { ...sites.deck, airC: celsius(8), workers: 2 },
      choices: { ...choices, parts: 'all' },
      note: 'All of it or none, says the baker.',
    },
    { top: ['dust', 2], upper: ['road-film', 3], lower: ['grit', 4], wheels: ['grit', 4] },
  ),
];
