import { defaultDimensions } from '@esmero/core';
import {
  type Gear,
  type HabitSet,
  type MeasuringDevice,
  type Package,
  type Product,
  type Site,
  type TowelBatch,
  type Vehicle,
  type Vessel,
  asPractised,
  calmShade,
  defaultHabits,
  noCare,
  somewhere,
  usualScope,
} from '@esmero/model';
import { degrees, celsius, metres, minorUnits, ml } from '@esmero/units';

/** Everything here is invented: a hillside harbour town, its cars, and two people with a van. */
const vehicle = (
  id: string,
  name: string,
  body: Vehicle['body'],
  finish: Vehicle['finish'],
  colour: Vehicle['colour'],
  cladding = false,
): Vehicle => ({ id, name, body, finish, colour, cladding, protection: [], dimensions: defaultDimensions(body) });

export const vehicles = {
  family: vehicle('v-family', 'Family estate, sea green', 'estate', 'clear-coat', 'mid'),
  council: vehicle('v-council', 'Council sedan, silver', 'sedan', 'coated', 'silver'),
  school: vehicle('v-school', 'Driving school hatchback, white', 'hatchback', 'clear-coat', 'white'),
  show: vehicle('v-show', 'Exhibition coupé, black', 'coupe', 'soft', 'black'),
  farm: vehicle('v-farm', 'Orchard pickup, red', 'pickup', 'clear-coat', 'mid', true),
  ferry: vehicle('v-ferry', 'Ferry crew SUV, dark blue', 'suv', 'clear-coat', 'dark', true),
  pilot: vehicle('v-pilot', 'Harbour pilot’s sedan, black', 'sedan', 'clear-coat', 'black'),
  courier: vehicle('v-courier', 'Courier’s motorcycle, red', 'motorcycle', 'clear-coat', 'mid'),
  baker: vehicle('v-baker', 'Baker’s van, matte black', 'van', 'matte', 'black', true),
} as const;

/** The town lies on a hillside above its harbour, looking south over the water. */
const town = {
  latitudeDeg: degrees(43.4),
  longitudeDeg: degrees(5.2),
  utcOffsetH: 1,
  headingDeg: degrees(200),
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
  ...somewhere,
  ...town,
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
    headingDeg: degrees(110),
    shadeHours: [6, 7, 8, 17, 18, 19, 20],
    noiseDb: 80,
  }),
  hall: place('s-hall', 'Indoor exhibition', {
    waterL: 15,
    power: true,
    indoors: true,
    airC: celsius(20),
  }),
  quay: place('s-quay', 'Ferry quay, no tap', {
    waterL: 60,
    runoff: 'allowed',
    workers: 1,
    minutes: 150,
    airC: celsius(8),
    liquidC: celsius(12),
  }),
  bayside: place('s-bay', 'By the self-serve wash', {
    waterL: 30,
    workers: 1,
    minutes: 150,
    airC: celsius(6),
    liquidC: celsius(14),
    bay: true,
    runoff: 'captured',
    captureL: 15,
  }),
  track: place('s-track', 'Orchard track', {
    waterL: 60,
    tap: true,
    runoff: 'allowed',
    shade: false,
    sunWm2: 200,
    windMs: 2,
    headingDeg: degrees(90),
    shadeHours: [6, 7, 17, 18, 19, 20],
    bay: false,
  }),
  lot: place('s-lot', 'Dealer’s lot', { waterL: 120, workers: 1, minutes: 600 }),
} as const;

const use = (
  purpose: Product['uses'][number]['purpose'],
  label: string,
  weakest: number | null,
  strongest: number | null,
  protectsDays: number | null = null,
): Product['uses'][number] => ({
  purpose,
  dilution: { label, reading: 'water' },
  weakest,
  strongest,
  protectsDays,
  ...asPractised,
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
    leavesLayer: false,
    notWith: [],
    safety: 'Keep from freezing. Rinse skin; eyes under running water.',
    origin: 'label',
  },
  amberSpray: {
    id: 'p-amber',
    name: 'Waterless concentrate, amber cap',
    uses: [use('waterless', '4', 5, 1, 30), use('foam', '20', 30, 10)],
    sizeMl: ml(750),
    priceMinor: minorUnits(1950),
    maxPanelC: celsius(40),
    notOnSurfaces: [],
    notOnFinishes: ['matte'],
    filmFactor: 1,
    leavesLayer: false,
    notWith: [],
    safety: 'Mild on skin; wear gloves for a day of it.',
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
    leavesLayer: false,
    notWith: [],
    safety: 'Flammable as a concentrate: keep from heat and flame.',
    origin: 'label',
  },
  tarLift: {
    id: 'p-tar',
    name: 'Tar and sap lifter, ready to use',
    uses: [use('solvent', '0', null, null)],
    sizeMl: ml(500),
    priceMinor: minorUnits(1200),
    maxPanelC: celsius(30),
    notOnSurfaces: ['bare-plastic', 'rubber'],
    notOnFinishes: ['matte', 'film-wrapped'],
    filmFactor: 1,
    leavesLayer: false,
    notWith: [],
    safety: 'Solvent: gloves, air, no flame; cloths in a lidded tin.',
    origin: 'label',
  },
  bugOff: {
    id: 'p-bugs',
    name: 'Bug remover, ready to use',
    uses: [use('bugs', '0', null, null)],
    sizeMl: ml(500),
    priceMinor: minorUnits(900),
    maxPanelC: celsius(32),
    notOnSurfaces: ['bright-metal'],
    notOnFinishes: [],
    filmFactor: 1,
    leavesLayer: false,
    notWith: [],
    safety: 'Alkaline: gloves and eye protection; not in the sun, never let it dry.',
    origin: 'label',
  },
} as const satisfies Record<string, Product>;

const bottle = (
  id: string,
  name: string,
  uses: Product['uses'],
  [size, price]: readonly [number, number],
  rest: Partial<Product>,
): Product => ({
  id,
  name,
  uses,
  sizeMl: ml(size),
  priceMinor: minorUnits(price),
  maxPanelC: null,
  notOnSurfaces: [],
  notOnFinishes: [],
  filmFactor: 1,
  leavesLayer: false,
  notWith: [],
  safety: '',
  origin: 'label',
  ...rest,
});

/** In the library, and taken along where a job asks for it. */
export const careProducts = {
  shampoo: bottle('p-shampoo', 'Shampoo concentrate, plain', [use('shampoo', '400', 600, 200)], [1000, 1400], {
    maxPanelC: celsius(45),
    safety: 'Mild on skin; slippery underfoot when spilt.',
  }),
  wheel: bottle(
    'p-wheel',
    'Wheel cleaner, neutral',
    [{ ...use('wheel-cleaner', '0', null, null), dwellS: 90, rinseAfter: true }],
    [750, 1300],
    {
      maxPanelC: celsius(35),
      notOnSurfaces: ['bright-metal'],
      safety: 'Gloves and eye protection; cold wheels only, never let it dry, rinse off.',
    },
  ),
  degreaser: bottle('p-degrease', 'All-purpose cleaner', [use('degreaser', '10', 20, 4)], [1000, 1100], {
    maxPanelC: celsius(35),
    notOnFinishes: ['matte', 'film-wrapped'],
    safety: 'Alkaline: gloves and eye protection; off hot rubber and bare aluminium.',
  }),
  topper: bottle(
    'p-topper',
    'Spray topper, pale',
    [{ ...use('topper', '0', null, null, 42), inSun: false }],
    [500, 1600],
    {
      maxPanelC: celsius(35),
      notOnFinishes: ['matte'],
      leavesLayer: true,
      safety: 'Do not breathe the mist; slippery on the ground.',
    },
  ),
  dryingAid: bottle('p-dry', 'Drying aid, quick', [use('drying-aid', '4', 6, 2, 14)], [500, 1100], {
    maxPanelC: celsius(38),
    notOnFinishes: ['matte'],
    leavesLayer: true,
    safety: 'Mild on skin.',
  }),
  sealant: bottle('p-seal', 'Sealant, wipe on and off', [use('sealant', '0', null, null, 180)], [250, 2900], {
    maxPanelC: celsius(30),
    notOnFinishes: ['matte', 'film-wrapped'],
    leavesLayer: true,
    notWith: ['p-topper', 'p-dry'],
    safety: 'Solvent in it: air, gloves, no flame; cloths in a lidded tin.',
  }),
  trim: bottle('p-trim', 'Trim dressing, satin', [use('trim-dressing', '0', null, null, 60)], [250, 1500], {
    safety: 'Slippery: off glass, pedals and seats.',
  }),
  tyre: bottle(
    'p-tyre',
    'Tyre dressing, water-based',
    [{ ...use('tyre-dressing', '0', null, null, 21), inSun: true }],
    [500, 1000],
    { safety: 'Slippery: off tread, discs and the ground.' },
  ),
} as const satisfies Record<string, Product>;

const gearOf = (
  id: string,
  name: string,
  kind: Gear['kind'],
  flow: number,
  battery: number | null,
  noise: number,
): Gear => ({
  id,
  name,
  kind,
  flowLMin: flow,
  batteryMin: battery,
  noiseDb: noise,
  origin: 'own',
});

export const gear = {
  heater: gearOf('g-heater', 'Immersion heater', 'heater', 0, null, 50),
  wand: gearOf('g-wand', 'Cordless washer, two packs', 'cordless-wand', 3.2, 24, 74),
} as const;

/** Each for its own part of the car, so that none that was on a tyre comes near paint. */
export const brushes = {
  wheel: gearOf('g-wheel-brush', 'Soft wheel brush, blue', 'wheel-brush', 0, null, 0),
  barrel: gearOf('g-barrel-brush', 'Barrel brush, long', 'barrel-brush', 0, null, 0),
  tyre: gearOf('g-tyre-brush', 'Tyre brush, short', 'tyre-brush', 0, null, 0),
  detail: gearOf('g-detail-brush', 'Detail brush, soft', 'detail-brush', 0, null, 0),
} as const;

/** In the library, but seldom in the van. */
export const spareGear = {
  steamer: gearOf('g-steam', 'Small steamer', 'steamer', 0.06, null, 66),
  blower: gearOf('g-blower', 'Small blower, one pack', 'blower', 0, 12, 78),
  mains: gearOf('g-mains', 'Pressure washer on mains', 'mains-wand', 7, null, 86),
  airGun: gearOf('g-air', 'Small compressor, air gun', 'air-gun', 0, null, 79),
} as const;

export const habits = {
  usual: { ...defaultHabits, id: 'h-usual', name: 'How we usually do it' },
  gentle: {
    ...defaultHabits,
    id: 'h-gentle',
    name: 'Gentle: many towels, long dwell',
    approach: 'cautious',
    spray: 'liberal',
    dwell: 'long',
    wiping: 'rolled',
    bucket: 'many-towels',
    soakedTowel: 'retire',
    sun: 'shade-only',
  },
  quick: {
    ...defaultHabits,
    id: 'h-quick',
    name: 'Quick: thin film, short dwell',
    approach: 'permissive',
    spray: 'thin',
    dwell: 'short',
    brush: 'lubricated',
    drying: 'body',
  },
} as const satisfies Record<string, HabitSet>;

const towel = (
  id: string,
  name: string,
  role: TowelBatch['role'],
  [width, height, gsm]: readonly [number, number, number],
  clean: number,
  pile: TowelBatch['pile'] = 'short',
): TowelBatch => ({
  id,
  name,
  role,
  widthM: metres(width),
  heightM: metres(height),
  gsm,
  pile,
  sides: role === 'drying' ? 4 : 8,
  clean,
  origin: 'own',
});

export const towels = {
  wash: towel('t-wash', 'Wash towels, grey edge', 'wash', [0.4, 0.4, 350], 14),
  finish: towel('t-finish', 'Buffing towels, cream', 'finish', [0.4, 0.4, 500], 14, 'plush'),
  drying: towel('t-drying', 'Drying towels, long pile', 'drying', [0.6, 0.9, 900], 2, 'plush'),
  glass: towel('t-glass', 'Glass towels, waffle', 'glass', [0.4, 0.4, 300], 4, 'waffle'),
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

/** For the washer to draw from, and for a second rinse. */
export const spareBuckets = {
  bucketC: vessel('k-bucket-c', 'Supply bucket, 20 L', 'bucket', 20000, 0.8, 1000),
  bucketD: vessel('k-bucket-d', 'Spare bucket, 12 L', 'bucket', 12000, 0.8, 4000),
} as const;

/** In the library, and taken along where it is wanted. */
export const foamer = vessel('k-foam', 'Pump foamer, 1.5 L', 'foam-sprayer', 1500, 0.66, 60);

export const device: MeasuringDevice = { kind: 'syringe', stepMl: ml(1), capacityMl: ml(60) };

/** Scopes that are sold under a name. */
export const packages = {
  wash: { id: 'k-wash', name: 'Maintenance wash', scope: usualScope, care: noCare, priceMinor: minorUnits(5900) },
  shine: {
    id: 'k-shine',
    name: 'Show-floor touch-up',
    scope: ['body', 'trim', 'glass'],
    care: noCare,
    priceMinor: minorUnits(3500),
  },
  season: {
    id: 'k-season',
    name: 'Season wash with sealant',
    scope: usualScope,
    care: { paint: { use: 'sealant', on: 'body' }, trim: true, tyres: 'after-drive' },
    priceMinor: minorUnits(12900),
  },
  bodyshop: {
    id: 'k-bodyshop',
    name: 'Body-shop dust-off',
    scope: ['body', 'trim', 'glass', 'shuts', 'boot-sill', 'details'],
    care: noCare,
    priceMinor: minorUnits(4500),
  },
} as const satisfies Readonly<Record<string, Package>>;
