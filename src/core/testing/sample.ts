import type { Body, Finish, Job, Site, SoilKind, SoilLevel, SoilMap, Vehicle } from '../model';
import { zoneIds } from '../model';
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
};

const towel = (role: Job['towels'][number]['role'], clean: number, big = false) => ({
  id: `t-${role}`,
  name: role,
  role,
  widthM: metres(big ? 0.6 : 0.4),
  heightM: metres(big ? 0.9 : 0.4),
  gsm: big ? 900 : 400,
  clean,
  origin: 'own' as const,
});

const vessel = (
  id: string,
  kind: Job['vessels'][number]['kind'],
  capacity: number,
  charge: number,
) => ({
  id,
  name: id,
  kind,
  capacityMl: ml(capacity),
  workingShare: 0.75,
  chargeMl: ml(charge),
  origin: 'own' as const,
});

const product = (id: string, uses: Job['products'][number]['uses']): Job['products'][number] => ({
  id,
  name: id,
  uses,
  sizeMl: ml(1000),
  priceMinor: minorUnits(2000),
  maxPanelC: celsius(45),
  notOnSurfaces: [],
  notOnFinishes: [],
  filmFactor: 1,
  origin: 'label',
});

const use = (purpose: 'waterless' | 'presoak' | 'wash' | 'glass', label: string) => ({
  purpose,
  dilution: { label, reading: 'water' as const },
  weakest: null,
  strongest: null,
  origin: 'label' as const,
});

/** The same soil on every zone. */
export const soilAll = (kind: SoilKind, level: SoilLevel): SoilMap =>
  Object.fromEntries(zoneIds.map((id) => [id, { deposits: [{ kind, level }], spots: {} }]));

export const sampleJob = (rest: Partial<Job> = {}): Job => ({
  id: 'j',
  name: 'Test job',
  client: '',
  date: '2031-05-05',
  note: '',
  currency: 'EUR',
  vehicle: sampleVehicle(),
  site: sampleSite,
  products: [
    product('rinseless', [use('wash', '256'), use('presoak', '50')]),
    product('waterless', [use('waterless', '4')]),
    product('glass', [use('glass', '9')]),
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
  towels: [
    towel('wash', 20),
    towel('finish', 20),
    towel('drying', 3, true),
    towel('glass', 4),
    towel('wheels', 10),
  ],
  device: { kind: 'cup', stepMl: ml(1), capacityMl: ml(60) },
  soil: soilAll('dust', 1),
  choices: {
    school: 'balanced',
    method: 'auto',
    wheels: 'auto',
    glass: 'first',
    bucket: 'one-guarded',
    soakedTowel: 'demote',
    soakedSides: 4,
    fixed: {},
    assumptions: {},
  },
  ...rest,
});
