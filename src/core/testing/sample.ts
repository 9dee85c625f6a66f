import type {
  Body,
  Finish,
  Gear,
  GearKind,
  Job,
  MixPurpose,
  Product,
  ProductUse,
  Site,
  SoilKind,
  SoilLevel,
  SoilMap,
  TowelBatch,
  Vehicle,
} from '../model';
import { asPractised, brushKinds, noCare, somewhere, usualScope, zoneIds } from '../model';
import { defaultChoices } from '../edit';
import { celsius, metres, minorUnits, ml } from '../units';
import { defaultDimensions } from '../vehicle';

/** Plain records for the core's own tests. */
export const sampleVehicle = (body: Body = 'sedan', finish: Finish = 'clear-coat'): Vehicle => ({
  id: 'v',
  name: 'Test car',
  body,
  dimensions: defaultDimensions(body),
  finish,
  colour: 'mid',
  cladding: false,
  protection: [],
});

export const sampleSite: Site = {
  id: 's',
  name: 'Test yard',
  waterL: 100,
  tap: false,
  power: true,
  runoff: 'allowed',
  captureL: 0,
  indoors: false,
  minutes: 240,
  workers: 1,
  airC: celsius(20),
  humidity: 0.6,
  windMs: 0.5,
  shade: true,
  sunWm2: 0,
  panelC: null,
  liquidC: celsius(18),
  ...somewhere,
};

const towel = (role: TowelBatch['role'], clean: number, big = false): TowelBatch => ({
  id: `t-${role}`,
  name: role,
  role,
  widthM: metres(big ? 0.6 : 0.4),
  heightM: metres(big ? 0.9 : 0.4),
  gsm: big ? 900 : 400,
  pile: big ? 'plush' : 'short',
  sides: 8,
  clean,
  origin: 'own',
});

const vessel = (id: string, kind: Job['vessels'][number]['kind'], capacity: number, charge: number) => ({
  id,
  name: id,
  kind,
  capacityMl: ml(capacity),
  workingShare: 0.75,
  chargeMl: ml(charge),
  origin: 'own' as const,
});

export const sampleProduct = (id: string, uses: Product['uses'], rest: Partial<Product> = {}): Product => ({
  id,
  name: id,
  uses,
  sizeMl: ml(1000),
  priceMinor: minorUnits(2000),
  maxPanelC: celsius(45),
  notOnSurfaces: [],
  notOnFinishes: [],
  filmFactor: 1,
  leavesLayer: false,
  notWith: [],
  safety: '',
  origin: 'label',
  ...rest,
});

/** A use as its label has it, in parts of water. */
export const sampleUse = (purpose: MixPurpose, label: string, rest: Partial<ProductUse> = {}): ProductUse => ({
  purpose,
  dilution: { label, reading: 'water' },
  weakest: null,
  strongest: null,
  protectsDays: null,
  ...asPractised,
  origin: 'label',
  ...rest,
});

/** A piece of powered kit on mains, but for the cordless wand. */
export const sampleGear = (kind: GearKind, rest: Partial<Gear> = {}): Gear => ({
  id: `g-${kind}`,
  name: kind,
  kind,
  flowLMin: kind === 'mains-wand' ? 7 : kind === 'cordless-wand' || kind === 'steamer' ? 3 : 0,
  batteryMin: kind === 'cordless-wand' ? 20 : null,
  noiseDb: 70,
  origin: 'own',
  ...rest,
});

/** The same soil on every zone. */
export const soilAll = (kind: SoilKind, level: SoilLevel): SoilMap =>
  Object.fromEntries(zoneIds.map((id) => [id, { deposits: [{ kind, level }], spots: {} }]));

export const sampleJob = (rest: Partial<Job> = {}): Job => ({
  id: 'j',
  name: 'Test job',
  client: '',
  clientId: null,
  date: '2031-05-05',
  hour: 10,
  note: '',
  currency: 'EUR',
  vehicle: sampleVehicle(),
  scope: usualScope,
  soldAs: null,
  care: noCare,
  around: [],
  site: sampleSite,
  products: [
    sampleProduct('rinseless', [sampleUse('wash', '256'), sampleUse('presoak', '50')]),
    sampleProduct('waterless', [sampleUse('waterless', '4')]),
    sampleProduct('glass', [sampleUse('glass', '9')]),
    sampleProduct('solvent', [sampleUse('solvent', '0')]),
  ],
  vessels: [
    vessel('spray-a', 'spray-bottle', 750, 20),
    vessel('spray-b', 'spray-bottle', 500, 20),
    vessel('pump-a', 'pump-sprayer', 2000, 80),
    vessel('pump-b', 'pump-sprayer', 8000, 100),
    vessel('bucket-a', 'bucket', 12000, 4000),
    vessel('bucket-b', 'bucket', 12000, 4000),
    vessel('bucket-c', 'bucket', 12000, 4000),
  ],
  towels: [towel('wash', 20), towel('finish', 20), towel('drying', 3, true), towel('glass', 4), towel('wheels', 10)],
  device: { kind: 'cup', stepMl: ml(1), capacityMl: ml(60) },
  gear: [sampleGear('heater'), ...brushKinds.map((kind) => sampleGear(kind))],
  soil: soilAll('dust', 1),
  since: [],
  readings: {},
  marks: [],
  weather: null,
  consent: null,
  refused: null,
  run: null,
  pictures: [],
  proofs: [],
  signed: null,
  arrivedAt: null,
  bills: [],
  wishes: {},
  choices: defaultChoices,
  ...rest,
});
