import {
  type Choices,
  type EntryItems,
  type EntryKind,
  type HabitSet,
  type Habits,
  type Job,
  type LibraryEntry,
  type LibraryItems,
  type LibraryKind,
  type MeasuringDevice,
  asPractised,
  calmShade,
  defaultHabits,
  noCare,
  somewhere,
  usualScope,
} from '../model';
import { celsius, defaultCurrency, metres, ml } from '../units';
import { defaultDimensions } from '../vehicle';

export const defaultChoices: Choices = { ...defaultHabits, method: 'auto', fixed: {}, passes: [], assumptions: {} };

const syringe: MeasuringDevice = { kind: 'syringe', stepMl: ml(1), capacityMl: ml(60) };

/** A new item of a kind with sensible values to start from. */
export const newItem: { readonly [K in LibraryKind]: (id: string) => LibraryItems[K] } = {
  vehicle: (id) => ({
    id,
    name: 'New vehicle',
    body: 'sedan',
    dimensions: defaultDimensions('sedan'),
    finish: 'clear-coat',
    colour: 'mid',
    cladding: false,
    protection: [],
  }),
  site: (id) => ({
    id,
    name: 'New site',
    waterL: 20,
    tap: false,
    power: false,
    runoff: 'forbidden',
    captureL: 0,
    indoors: false,
    minutes: 120,
    workers: 1,
    airC: celsius(20),
    ...calmShade,
    ...somewhere,
    panelC: null,
    liquidC: celsius(18),
  }),
  product: (id) => ({
    id,
    name: 'New product',
    uses: [
      {
        purpose: 'waterless',
        dilution: { label: '4', reading: 'water' },
        weakest: null,
        strongest: null,
        protectsDays: null,
        ...asPractised,
        origin: 'practice',
      },
    ],
    sizeMl: ml(500),
    priceMinor: null,
    maxPanelC: celsius(40),
    notOnSurfaces: [],
    notOnFinishes: [],
    filmFactor: 1,
    leavesLayer: false,
    notWith: [],
    safety: '',
    origin: 'practice',
  }),
  towel: (id) => ({
    id,
    name: 'New towels',
    role: 'wash',
    widthM: metres(0.4),
    heightM: metres(0.4),
    gsm: 350,
    pile: 'short',
    sides: 8,
    clean: 10,
    origin: 'practice',
  }),
  vessel: (id) => ({
    id,
    name: 'New vessel',
    kind: 'spray-bottle',
    capacityMl: ml(750),
    workingShare: 0.93,
    chargeMl: ml(30),
    origin: 'practice',
  }),
  gear: (id) => ({
    id,
    name: 'New gear',
    kind: 'cordless-wand',
    flowLMin: 3,
    batteryMin: 20,
    noiseDb: 72,
    origin: 'practice',
  }),
  habits: (id) => ({ ...defaultHabits, id, name: 'New habits' }),
  package: (id) => ({ id, name: 'New package', scope: usualScope, care: noCare, priceMinor: null }),
};

const offered = <K extends EntryKind>(library: readonly LibraryEntry[], kind: K): EntryItems[K][] =>
  library.filter((e) => e.kind === kind && !e.archived).map((e) => e.item as EntryItems[K]);

/** A set of habits without its name. */
export function habitsIn(set: HabitSet | undefined): Partial<Habits> {
  if (!set) return {};
  const { id: _id, name: _name, ...habits } = set;
  return habits;
}

/** A new job with what is in the library; nothing has been looked at yet. */
export function newJob(id: string, date: string, library: readonly LibraryEntry[]): Job {
  const vehicle = offered(library, 'vehicle')[0] ?? newItem.vehicle('vehicle');
  return {
    id,
    name: 'New job',
    client: '',
    clientId: null,
    date,
    hour: 9,
    note: '',
    currency: offered(library, 'business')[0]?.currency ?? defaultCurrency,
    vehicle,
    scope: usualScope,
    soldAs: null,
    care: noCare,
    around: [],
    site: offered(library, 'site')[0] ?? newItem.site('site'),
    products: offered(library, 'product'),
    vessels: offered(library, 'vessel'),
    towels: offered(library, 'towel'),
    gear: offered(library, 'gear'),
    device: syringe,
    soil: {},
    since: [],
    readings: {},
    marks: [],
    weather: null,
    consent: null,
    refused: null,
    arrivedAt: null,
    bills: [],
    run: null,
    pictures: [],
    proofs: [],
    signed: null,
    wishes: {},
    choices: { ...defaultChoices, ...habitsIn(offered(library, 'habits')[0]) },
  };
}
