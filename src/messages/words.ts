import type { Guarding, Mix, BucketName, SystemRun, Content, Kit, SideUse, ZonePlan } from '@esmero/core';
import type {
  Body,
  Bottled,
  BucketSystem,
  BugCover,
  CleanlinessClass,
  Colour,
  DeviceKind,
  Finish,
  FlankPart,
  HiddenCentrePart,
  HiddenFlankPart,
  BikeCentrePart,
  BikeFlankPart,
  ToMind,
  Contact,
  GearKind,
  MarkKind,
  Road,
  Shelter,
  Surroundings,
  Flush,
  LabelReading,
  EntryKind,
  Origin,
  Pile,
  RunoffRule,
  Approach,
  ScopePart,
  SoilKind,
  SoilLevel,
  SpotKind,
  Surface,
  TowelRole,
  TreatmentId,
  VehicleMethod,
  VesselKind,
  View,
  ZoneId,
  CentrePart,
} from '@esmero/model';
import { partsOf } from '@esmero/model';
import { worded } from './english';

const flank: Readonly<Record<FlankPart | BikeFlankPart | HiddenFlankPart, string>> = worded({
  tank: 'side of the tank',
  fairing: 'fairing',
  'tail-panel': 'tail panel',
  mudguard: 'mudguard',
  engine: 'engine',
  exhaust: 'exhaust',
  chain: 'chain and swing arm',
  'front-barrel': 'front barrel',
  'rear-barrel': 'rear barrel',
  'front-handle': 'front handle cup',
  'rear-handle': 'rear handle cup',
  'front-wing-upper': 'front wing, upper',
  'front-wing-lower': 'front wing, lower',
  'front-door-upper': 'front door, upper',
  'front-door-lower': 'front door, lower',
  'rear-door-upper': 'rear door, upper',
  'rear-door-lower': 'rear door, lower',
  'rear-wing-upper': 'rear wing, upper',
  'rear-wing-lower': 'rear wing, lower',
  sill: 'sill',
  'front-glass': 'front side glass',
  'rear-glass': 'rear side glass',
  mirror: 'mirror',
  'front-shut': 'front door shut',
  'rear-shut': 'rear door shut',
  'front-wheel': 'front wheel face',
  'front-tyre': 'front tyre',
  'front-arch': 'front arch',
  'rear-wheel': 'rear wheel face',
  'rear-tyre': 'rear tyre',
  'rear-arch': 'rear arch',
});

const centre: Readonly<Record<CentrePart | BikeCentrePart | HiddenCentrePart, string>> = worded({
  instruments: 'Instruments',
  'tank-top': 'Top of the tank',
  seat: 'Seat',
  screen: 'Screen',
  headlamp: 'Headlamp',
  'tail-light': 'Tail light and plate',
  'fuel-flap': 'Fuel flap',
  'exhaust-tips': 'Exhaust tips',
  'glass-inside': 'Glass inside',
  'engine-bay': 'Engine bay',
  mats: 'Floor mats',
  roof: 'Roof',
  windscreen: 'Windscreen',
  'rear-window': 'Rear window',
  bonnet: 'Bonnet',
  'boot-lid': 'Boot lid',
  grille: 'Grille',
  'front-bumper-upper': 'Front bumper, upper',
  'front-bumper-lower': 'Front bumper, lower',
  'rear-face': 'Tailgate',
  badges: 'Badges and plate recess',
  'rear-bumper-upper': 'Rear bumper, upper',
  'rear-bumper-lower': 'Rear bumper, lower',
  'boot-sill': 'Boot sill',
});

const isSide = (id: ZoneId): boolean => /^(left|right)-/.test(id);

export function zoneName(id: ZoneId): string {
  if (!isSide(id)) return centre[id as CentrePart | BikeCentrePart | HiddenCentrePart];
  const side = id.startsWith('left-') ? 'Left' : 'Right';
  return `${side} ${flank[id.replace(/^(left|right)-/, '') as FlankPart | BikeFlankPart | HiddenFlankPart]}`;
}

/** "Roof, Bonnet and 3 more" */
export function zoneList(ids: readonly ZoneId[], most = 4): string {
  const named = ids.slice(0, most).map(zoneName);
  const more = ids.length - named.length;
  if (more > 0) return `${named.join('; ')} and ${more} more`;
  return named.length > 1 ? `${named.slice(0, -1).join('; ')} and ${named.at(-1)}` : (named[0] ?? '');
}

export const viewName: Readonly<Record<View, string>> = {
  left: 'left side',
  right: 'right side',
  top: 'top',
  front: 'front',
  rear: 'rear',
};

export const className: Readonly<Record<CleanlinessClass, string>> = worded({
  0: 'glass',
  1: 'upper paint',
  2: 'lower paint',
  3: 'shuts',
  4: 'wheel faces',
  5: 'tyres and arches',
});

export const soilName: Readonly<Record<SoilKind, string>> = {
  dust: 'dust',
  pollen: 'pollen',
  'road-film': 'road film',
  fallout: 'industrial fallout',
  salt: 'road salt',
  grit: 'sand or grit',
  mud: 'mud',
  'brake-dust': 'brake dust',
};

/** Two letters on the car for a kind of soil. */
export const soilMark: Readonly<Record<SoilKind, string>> = {
  dust: 'du',
  pollen: 'po',
  'road-film': 'fi',
  fallout: 'fa',
  salt: 'sa',
  grit: 'gr',
  mud: 'mu',
  'brake-dust': 'br',
};

export const levelName: Readonly<Record<SoilLevel, string>> = worded({
  0: 'clean',
  1: 'dust you can write in',
  2: 'light film',
  3: 'road film, colour dulled',
  4: 'visible grit',
  5: 'caked',
});

/** One word for a level, under its swatch. */
export const levelBrief: Readonly<Record<SoilLevel, string>> = {
  0: 'clean',
  1: 'dust',
  2: 'film',
  3: 'dull',
  4: 'gritty',
  5: 'caked',
};

/** How much of a panel is under bug splatter. */
export const bugsName: Readonly<Record<BugCover, string>> = {
  few: 'a few bugs',
  many: 'many bugs',
  covered: 'covered with bugs',
};

export const spotName: Readonly<Record<SpotKind, string>> = {
  droppings: 'bird droppings',
  sap: 'sap spots',
  tar: 'tar spots',
};

/** One of them. */
export const oneSpot: Readonly<Record<SpotKind, string>> = { droppings: 'dropping', sap: 'sap spot', tar: 'tar spot' };

export const bodyName: Readonly<Record<Body, string>> = worded({
  motorcycle: 'Motorcycle',
  sedan: 'Sedan',
  hatchback: 'Hatchback',
  estate: 'Estate',
  coupe: 'Coupé',
  suv: 'SUV',
  pickup: 'Pickup',
  van: 'Van',
  minivan: 'Minivan',
  city: 'City car',
});

export const finishName: Readonly<Record<Finish, string>> = {
  soft: 'Soft paint',
  matte: 'Matte',
  'clear-coat': 'Ordinary clear coat',
  coated: 'Coated',
  'film-wrapped': 'PPF or vinyl wrap',
};

export const colourName: Readonly<Record<Colour, string>> = worded({
  white: 'White',
  silver: 'Silver',
  mid: 'Mid colour',
  dark: 'Dark',
  black: 'Black',
});

export const surfaceName: Readonly<Record<Surface, string>> = {
  paint: 'paint',
  glass: 'glass',
  'bright-metal': 'chrome',
  'bare-plastic': 'unpainted trim',
  'wheel-finish': 'wheel finish',
  rubber: 'rubber',
};

export const methodName: Readonly<Record<VehicleMethod, string>> = {
  waterless: 'Waterless',
  rinseless: 'Rinseless',
  shampoo: 'Shampoo wash',
  hybrid: 'Hybrid',
  decline: 'Not today',
};

const contactName: Readonly<Record<Contact, string>> = {
  waterless: 'waterless wipe',
  foam: 'lifting foam and wipe',
  rinseless: 'rinseless wash',
  'presoak-rinseless': 'pre-soak and rinseless wash',
  shampoo: 'shampoo mitt and rinse',
  'foam-shampoo': 'foam, rinse, shampoo mitt and rinse',
};

const flushName: Readonly<Record<Flush, string>> = {
  none: '',
  pump: 'pre-rinse with a sprayer, then ',
  'hot-pump': 'hot pre-rinse, then ',
  cordless: 'pre-rinse with the cordless washer, then ',
  mains: 'pre-rinse with the pressure washer, then ',
  bay: 'pre-rinse in the wash bay, then ',
  steam: 'steam on the seams, then ',
  air: 'blow the seams out, then ',
  mist: 'cool with a mist, then ',
};

export function treatmentName(treatment: TreatmentId): string {
  if (treatment === 'leave') return 'Left out';
  const { flush, contact } = partsOf(treatment);
  const name = `${flushName[flush]}${contactName[contact]}`;
  return name[0]!.toUpperCase() + name.slice(1);
}

/** What is planned on a panel: nothing where nobody asked for it. */
export const plannedName = ({ treatment, inScope }: Pick<ZonePlan, 'treatment' | 'inScope'>): string =>
  inScope ? treatmentName(treatment) : 'Not asked for';

const contactBrief: Readonly<Record<Contact, string>> = {
  waterless: 'waterless',
  foam: 'foam',
  rinseless: 'rinseless',
  'presoak-rinseless': 'pre-soak, rinseless',
  shampoo: 'shampoo',
  'foam-shampoo': 'foam, shampoo',
};
const flushBrief: Readonly<Record<Flush, string>> = {
  none: '',
  pump: 'pre-rinse, ',
  'hot-pump': 'hot pre-rinse, ',
  cordless: 'pre-rinse, ',
  mains: 'pre-rinse, ',
  bay: 'pre-rinse, ',
  steam: 'steam, ',
  mist: 'mist, ',
  air: 'air, ',
};

/** The same in a word or two, for a card. */
export function treatmentBrief(treatment: TreatmentId): string {
  if (treatment === 'leave') return 'left out';
  const { flush, contact } = partsOf(treatment);
  return `${flushBrief[flush]}${contactBrief[contact]}`;
}

export const kitName: Readonly<Record<Kit | 'glass' | Guarding, string>> = {
  waterless: 'waterless spray',
  foam: 'pump foamer',
  presoak: 'pre-soak sprayer',
  wash: 'wash bucket',
  shampoo: 'shampoo bucket',
  flush: 'rinse sprayer',
  heater: 'water heater',
  cordless: 'cordless washer',
  mains: 'pressure washer',
  bay: 'wash bay',
  steamer: 'steamer',
  'air-gun': 'compressed air',
  glass: 'glass spray',
  covers: 'covers over what must stay dry',
  cones: 'cones',
};

export const contentName: Readonly<Record<Content | Bottled, string>> = worded({
  waterless: 'Waterless mix',
  foam: 'Lifting foam',
  bugs: 'Bug remover',
  solvent: 'Tar and sap lifter',
  shampoo: 'Shampoo',
  'wheel-cleaner': 'Wheel cleaner',
  degreaser: 'Degreaser',
  topper: 'Topper',
  'drying-aid': 'Drying aid',
  sealant: 'Sealant',
  'trim-dressing': 'Trim dressing',
  'tyre-dressing': 'Tyre dressing',
  supply: 'Plain water, for the washer',
  presoak: 'Pre-soak',
  wash: 'Rinseless wash',
  glass: 'Glass mix',
  water: 'Plain water, for rinsing and misting',
  rinse: 'Plain water, to rinse the mitt',
});

/** What a vessel holds; a sprayer may rinse with product. */
export const mixTitle = ({ content, productName }: Pick<Mix, 'content' | 'productName'>): string =>
  content === 'water' && productName !== null ? 'Weak rinseless mix, for rinsing' : contentName[content];

export const vesselKindName: Readonly<Record<VesselKind, string>> = {
  'spray-bottle': 'spray bottle',
  'pump-sprayer': 'pump sprayer',
  'foam-sprayer': 'pump foamer',
  bucket: 'bucket',
};

export const deviceName: Readonly<Record<DeviceKind, string>> = {
  cup: 'measuring cup',
  syringe: 'syringe',
  cap: 'measured cap',
  pump: 'dispenser pump',
};

export const roleName: Readonly<Record<TowelRole, string>> = {
  wash: 'wash towels',
  finish: 'buffing towels',
  drying: 'drying towels',
  glass: 'glass towels',
  wheels: 'wheel towels',
};

/** One of the towels of a role, as it is said beside the car. */
export const oneTowel: Readonly<Record<TowelRole, string>> = {
  wash: 'wash towel',
  finish: 'buffing towel',
  drying: 'drying towel',
  glass: 'glass towel',
  wheels: 'wheel towel',
};

export const sideUseName: Readonly<Record<SideUse, string>> = {
  wash: 'lifts the dirt',
  finish: 'finishes dry',
  drying: 'dries',
  protect: 'spreads and buffs',
};

export const approachName: Readonly<Record<Approach, string>> = {
  cautious: 'Cautious',
  balanced: 'Balanced',
  permissive: 'Permissive',
};

export const bucketName: Readonly<Record<BucketSystem, string>> = {
  'many-towels': 'One bucket, many towels: used ones never go back in',
  'one-guarded': 'One bucket with a grit guard, mitt rinsed in it',
  'two-buckets': 'Two buckets, wash and rinse',
  'three-buckets': 'Three buckets, two rinse stages',
};

export const waterName: Readonly<Record<BucketName, string>> = {
  wash: 'Wash',
  rinse: 'Rinse',
  'second-rinse': 'Second rinse',
};

/** A way of working with buckets, in few words. */
export const wayName = ({ system, guards }: Pick<SystemRun, 'system' | 'guards'>): string => {
  switch (system) {
    case 'many-towels':
      return 'Many towels';
    case 'one-guarded':
      return 'One, with guard';
    case 'two-buckets':
      return guards ? 'Two, with guards' : 'Two, no guards';
    case 'three-buckets':
      return guards ? 'Three, with guards' : 'Three, no guards';
  }
};

export const runoffName: Readonly<Record<RunoffRule, string>> = {
  forbidden: 'Nothing may run off',
  captured: 'Caught on a mat',
  allowed: 'Allowed',
};

/** What is to be minded round the car, as it is told, and what is done about it. */
export const toMindName: Readonly<Record<ToMind, string>> = worded({
  'boot-belongings': 'Things in the boot',
  'open-roof': 'Roof or window open',
  'soft-top': 'Soft top',
  'child-seat': 'Child seat',
  electronics: 'Electronics inside',
  people: 'People passing',
  'traffic-left': 'Traffic on its left',
  'traffic-right': 'Traffic on its right',
});

const roadText = (side: 'left' | 'right'): string =>
  `Cones and a bright vest. Glass and panels on the ${side} are done in one go; face the traffic, and lay nothing on its side.`;

export const toMindText: Readonly<Record<ToMind, string>> = worded({
  'boot-belongings': 'Cover what lies in the boot, or have it taken out. Nothing wet is laid on the boot sill.',
  'open-roof': 'Close roof and windows, or cover the opening, before the first drop.',
  'soft-top': 'The soft top is fabric: it is left out, and kept dry of product.',
  'child-seat': 'Cover the child seat; rear door shuts get no wet towel.',
  electronics: 'Cover screens and plugs; door shuts get no wet towel.',
  people: 'Cones out, hose and cables out of the way; warn people before you rinse.',
  'traffic-left': roadText('left'),
  'traffic-right': roadText('right'),
});

/** What of a car is washed. */
export const scopeName: Readonly<Record<ScopePart, string>> = worded({
  body: 'bodywork',
  glass: 'glass outside',
  wheels: 'wheels and tyres',
  shuts: 'door shuts',
  'boot-sill': 'boot sill',
  trim: 'trim with badges',
  barrels: 'wheel barrels',
  details: 'fuel flap, handle cups and exhaust tips',
  'glass-inside': 'glass inside',
  engine: 'engine bay',
  mats: 'floor mats',
});

export const readingName: Readonly<Record<LabelReading, string>> = worded({
  water: '1 part to N parts of water',
  whole: '1 part in N parts of mix',
  percent: 'N per cent of the mix',
  mLPerLitreOfWater: 'N mL per litre of water',
  flOzPerGallon: 'N fl oz per US gallon of water',
  mLPerGallon: 'N mL per US gallon of water',
});

export const originName: Readonly<Record<Origin, string>> = {
  label: 'from the label',
  practice: 'common practice',
  computed: 'computed',
  own: 'your own figure',
  judged: 'our judgement',
};

export const libraryName: Readonly<Record<EntryKind, { one: string; many: string }>> = {
  vehicle: { one: 'vehicle', many: 'Vehicles' },
  site: { one: 'site', many: 'Sites' },
  product: { one: 'product', many: 'Products' },
  towel: { one: 'towel batch', many: 'Towels' },
  vessel: { one: 'vessel', many: 'Vessels' },
  gear: { one: 'piece of gear', many: 'Gear' },
  habits: { one: 'set of habits', many: 'Habits' },
  package: { one: 'package', many: 'Packages' },
  van: { one: 'van', many: 'Vans' },
  day: { one: 'day', many: 'Days' },
  lot: { one: 'lot', many: 'Lots' },
  client: { one: 'client', many: 'Clients' },
  business: { one: 'business', many: 'Prices' },
  blocked: { one: 'blocked time', many: 'Blocked times' },
  calibration: { one: 'calibration', many: 'Calibrations' },
  practice: { one: 'practice session', many: 'Practice' },
};

export const pileName: Readonly<Record<Pile, string>> = {
  short: 'Short',
  plush: 'Plush',
  waffle: 'Waffle',
};

export const gearName: Readonly<Record<GearKind, string>> = worded({
  heater: 'water heater',
  'cordless-wand': 'cordless washer',
  'mains-wand': 'pressure washer on mains',
  steamer: 'steamer',
  blower: 'blower',
  'air-gun': 'air gun',
  'wheel-brush': 'wheel brush',
  'barrel-brush': 'barrel brush',
  'tyre-brush': 'tyre brush',
  'detail-brush': 'detail brush',
});

export const surroundingsName: Readonly<Record<Surroundings, string>> = {
  coast: 'coast',
  town: 'town',
  industrial: 'industry or building site',
  country: 'unpaved country',
};

export const shelterName: Readonly<Record<Shelter, string>> = {
  garage: 'closed garage',
  deck: 'deck or carport',
  street: 'street',
};

export const roadName: Readonly<Record<Road, string>> = {
  dry: 'dry asphalt',
  wet: 'wet asphalt',
  salted: 'salted winter road',
  unpaved: 'unpaved',
};

export const markName: Readonly<Record<MarkKind, string>> = {
  scratch: 'scratch',
  swirls: 'swirls',
  chip: 'chip',
  dent: 'dent',
  'water-spots': 'water spots',
  etching: 'etching',
  stain: 'stained trim',
  residue: 'polish residue',
  other: 'something else',
};
