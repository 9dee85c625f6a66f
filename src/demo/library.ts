import {
  type MeasuringDevice,
  type Product,
  type Site,
  type TowelBatch,
  type Vehicle,
  type Vessel,
  calmShade,
  celsius,
  defaultDimensions,
  metres,
  minorUnits,
  ml,
} from '@esmero/core';

/** Everything here is invented: a hillside harbour town, its cars, and two people with a van. */
const vehicle = (
  id: string,
  name: string,
  body: Vehicle['body'],
  finish: Vehicle['finish'],
  colour: Vehicle['colour'],
  cladding = false,
): Vehicle => ({ id, name, body, finish, colour, cladding, dimensions: defaultDimensions(body) });

export const vehicles = {
  family: vehicle('v-family', 'Family estate, sea green', 'estate', 'clear-coat', 'mid'),
  council: vehicle('v-council', 'Council sedan, silver', 'sedan', 'coated', 'silver'),
  school: vehicle('v-school', 'Driving school hatchback, white', 'hatchback', 'clear-coat', 'white'),
  show: vehicle('v-show', 'Exhibition coupé, black', 'coupe', 'soft', 'black'),
  farm: vehicle('v-farm', 'Orchard pickup, red', 'pickup', 'clear-coat', 'mid', true),
  ferry: vehicle('v-ferry', 'Ferry crew SUV, dark blue', 'suv', 'clear-coat', 'dark', true),
  baker: vehicle('v-baker', 'Baker’s van, matte black', 'van', 'matte', 'black', true),
} as const;

const place = (id: string, name: string, rest: Partial<Site>): Site => ({
  id,
  name,
  waterL: 25,
  tap: false,
  power: false,
  runoff: 'forbidden',
  captureL: 0,
  indoors: false,
  minutes: 120,
  workers: 2,
  airC: celsius(24),
  ...calmShade,
  panelC: null,
  liquidC: celsius(20),
  ...rest,
});

export const sites = {
  deck: place('s-deck', 'Harbour parking deck', { waterL: 12, workers: 1, minutes: 90 }),
  courtyard: place('s-courtyard', 'Library courtyard', {
    waterL: 8,
    workers: 1,
    minutes: 75,
    airC: celsius(27),
    panelC: celsius(31),
  }),
  yard: place('s-yard', 'Driving school yard', {
    waterL: 40,
    power: true,
    runoff: 'captured',
    captureL: 30,
    shade: false,
    sunWm2: 250,
    windMs: 1,
  }),
  hall: place('s-hall', 'Indoor exhibition', {
    waterL: 15,
    power: true,
    indoors: true,
    airC: celsius(20),
  }),
  track: place('s-track', 'Orchard track', {
    waterL: 60,
    tap: true,
    runoff: 'allowed',
    shade: false,
    sunWm2: 200,
    windMs: 2,
  }),
} as const;

const use = (
  purpose: Product['uses'][number]['purpose'],
  label: string,
  weakest: number | null,
  strongest: number | null,
): Product['uses'][number] => ({
  purpose,
  dilution: { label, reading: 'water' },
  weakest,
  strongest,
  origin: 'label',
});

export const products = {
  blueLabel: {
    id: 'p-blue',
    name: 'Rinseless concentrate, blue label',
    uses: [use('wash', '256', 512, 128), use('presoak', '50', 64, 32)],
    sizeMl: ml(1000),
    priceMinor: minorUnits(2600),
    maxPanelC: celsius(45),
    notOnSurfaces: [],
    notOnFinishes: [],
    filmFactor: 1,
    origin: 'label',
  },
  amberSpray: {
    id: 'p-amber',
    name: 'Waterless concentrate, amber cap',
    uses: [use('waterless', '4', 5, 1)],
    sizeMl: ml(750),
    priceMinor: minorUnits(1950),
    maxPanelC: celsius(40),
    notOnSurfaces: [],
    notOnFinishes: ['matte'],
    filmFactor: 1,
    origin: 'label',
  },
  clearGlass: {
    id: 'p-glass',
    name: 'Glass concentrate, clear',
    uses: [use('glass', '9', 12, 6)],
    sizeMl: ml(500),
    priceMinor: minorUnits(900),
    maxPanelC: celsius(40),
    notOnSurfaces: [],
    notOnFinishes: [],
    filmFactor: 1,
    origin: 'label',
  },
} as const satisfies Record<string, Product>;

const towel = (
  id: string,
  name: string,
  role: TowelBatch['role'],
  [width, height, gsm]: readonly [number, number, number],
  clean: number,
): TowelBatch => ({
  id,
  name,
  role,
  widthM: metres(width),
  heightM: metres(height),
  gsm,
  clean,
  origin: 'own',
});

export const towels = {
  wash: towel('t-wash', 'Wash towels, grey edge', 'wash', [0.4, 0.4, 350], 14),
  finish: towel('t-finish', 'Finishing towels, cream', 'finish', [0.4, 0.4, 500], 14),
  drying: towel('t-drying', 'Drying towels, long pile', 'drying', [0.6, 0.9, 900], 2),
  glass: towel('t-glass', 'Glass towels, waffle', 'glass', [0.4, 0.4, 300], 4),
  wheels: towel('t-wheels', 'Wheel towels, black', 'wheels', [0.4, 0.4, 350], 6),
} as const;

const vessel = (
  id: string,
  name: string,
  kind: Vessel['kind'],
  capacity: number,
  workingShare: number,
  charge: number,
): Vessel => ({
  id,
  name,
  kind,
  capacityMl: ml(capacity),
  workingShare,
  chargeMl: ml(charge),
  origin: 'own',
});

export const vessels = {
  sprayA: vessel('k-spray-a', 'Spray bottle A', 'spray-bottle', 750, 0.93, 30),
  sprayB: vessel('k-spray-b', 'Spray bottle B', 'spray-bottle', 500, 0.93, 30),
  pumpA: vessel('k-pump-a', 'Pump sprayer, 2 L', 'pump-sprayer', 2000, 0.75, 80),
  pumpB: vessel('k-pump-b', 'Pump sprayer, 8 L', 'pump-sprayer', 8000, 0.75, 200),
  bucketA: vessel('k-bucket-a', 'Wash bucket, 12 L', 'bucket', 12000, 0.8, 4000),
  bucketB: vessel('k-bucket-b', 'Rinse bucket, 12 L', 'bucket', 12000, 0.8, 4000),
} as const;

export const device: MeasuringDevice = { kind: 'syringe', stepMl: ml(1), capacityMl: ml(60) };
