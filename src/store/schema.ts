import type { Degrees, Job, LibraryEntry, Movement, Product, Run, RunUse, TowelBatch } from '@esmero/core';
import { type StoredBrief, briefOf } from './brief';
import type { DBSchema, IDBPDatabase, IDBPTransaction, StoreNames } from 'idb';

/** A job as it is kept: each save raises the revision, so that two tabs can tell. */
export interface StoredJob {
  readonly id: string;
  readonly job: Job;
  readonly revision: number;
  /** Milliseconds since 1970. */
  readonly changedAt: number;
  readonly archived: boolean;
}

export type StoredEntry = LibraryEntry & { readonly id: string };

export interface EsmeroDb extends DBSchema {
  jobs: { key: string; value: StoredJob; indexes: { changed: number } };
  /** The same in brief, written with every job: lists read thousands of them. */
  briefs: { key: string; value: StoredBrief };
  library: { key: string; value: StoredEntry };
  settings: { key: string; value: unknown };
  /** Scaled-down pictures of marks, by their key. */
  photos: { key: string; value: Blob };
  /** What moved on the shelf; nothing is ever taken out. */
  movements: { key: string; value: Movement; indexes: { at: number } };
}

/** As sites, products and choices were before they knew more; these do not follow later changes. */
const somewhere = {
  bay: false,
  noiseDb: null,
  latitudeDeg: 45 as Degrees,
  longitudeDeg: 0 as Degrees,
  utcOffsetH: 0,
  headingDeg: 180 as Degrees,
  shadeHours: [],
};
const noLayers = { leavesLayer: false, notWith: [] };
const habits = {
  strength: 'product',
  spray: 'common',
  dwell: 'common',
  order: 'top-down',
  drying: 'panel',
  wiping: 'flat',
  sun: 'weaker-mix',
  cold: 'plenty',
  topping: 'welcome',
  brush: 'never',
  droppings: 'treat',
} as const;
/** Before, a heater came with mains power. */
const heater = {
  id: 'heater',
  name: 'Water heater',
  kind: 'heater',
  flowLMin: 0,
  batteryMin: null,
  noiseDb: 50,
  origin: 'practice',
} as const;

const withPlaceAndHabits = (job: Job): Job => ({
  ...{ hour: 9, gear: [heater], since: [], readings: {}, marks: [], weather: null, consent: null, wishes: {} },
  ...job,
  site: { ...somewhere, ...job.site },
  products: job.products.map((product) => ({ ...noLayers, ...product })),
  choices: { ...habits, ...job.choices },
});

const ground = { slope: 0, steps: true };
const withFold = (towel: TowelBatch): TowelBatch => ({
  ...{ pile: towel.role === 'drying' ? 'plush' : 'short', sides: 8 },
  ...towel,
});

const withClaims = (product: Product): Product => ({
  ...{ safety: '' },
  ...product,
  uses: product.uses.map((use) => ({ ...{ protectsDays: null }, ...use })),
});

/** What counts did not have at first. */
const notNoted = { paces: [], soil: null, waterL: null, runoffL: null };

/** As runs were: one count, which another replaced, and sections for what had none. */
type OldRun = Omit<Run, 'counts' | 'punch'> & { readonly used?: Omit<RunUse, 'at' | 'because' | 'method' | keyof typeof notNoted> | null };

function withCounts({ used, ...run }: OldRun): Run {
  const { startedAt, endedAt } = run;
  const events = run.events.map((event) => (event.kind === 'again' ? { kind: event.kind, zone: event.zone, at: event.at } : event));
  return { ...{ punch: [], counts: used ? [{ at: endedAt ?? startedAt, because: '', method: null, ...notNoted, ...used }] : [] }, ...run, events };
}

const withPaces = (run: Run): Run => ({
  ...run,
  events: run.events.map((event) => ('section' in event ? { ...{ by: null }, ...event } : event)),
  counts: run.counts.map((count) => ({ ...notNoted, ...count })),
});

type Upgrade = (
  db: IDBPDatabase<EsmeroDb>,
  tx: IDBPTransaction<EsmeroDb, StoreNames<EsmeroDb>[], 'versionchange'>,
) => void | Promise<void>;

/** As sites were before they knew of air and sun. An upgrade does not follow later changes of defaults. */
const calmShade = { humidity: 0.6, windMs: 0.5, shade: true, sunWm2: 0 };

/** upgrades[n] takes the database from version n to n + 1; steps are only ever added. */
export const upgrades: readonly Upgrade[] = [
  (db) => {
    db.createObjectStore('jobs', { keyPath: 'id' });
    db.createObjectStore('library', { keyPath: 'id' });
  },
  // Settings got a store of their own, and jobs could be archived and listed by their last change.
  async (db, tx) => {
    db.createObjectStore('settings');
    const jobs = tx.objectStore('jobs');
    jobs.createIndex('changed', 'changedAt');
    for (const stored of await jobs.getAll())
      await jobs.put({ ...stored, changedAt: stored.changedAt ?? 0, archived: stored.archived ?? false });
  },
  // Sites learned of air and sun; those from before stood in calm shade.
  async (_db, tx) => {
    const [jobs, library] = [tx.objectStore('jobs'), tx.objectStore('library')];
    for (const stored of await jobs.getAll())
      await jobs.put({ ...stored, job: { ...stored.job, site: { ...calmShade, ...stored.job.site } } });
    for (const entry of await library.getAll())
      if (entry.kind === 'site') await library.put({ ...entry, item: { ...calmShade, ...entry.item } });
  },
  // Jobs learned of place, hour, history, powered kit, marks and habits; pictures got a store.
  async (db, tx) => {
    db.createObjectStore('photos');
    const [jobs, library] = [tx.objectStore('jobs'), tx.objectStore('library')];
    for (const stored of await jobs.getAll()) await jobs.put({ ...stored, job: withPlaceAndHabits(stored.job) });
    for (const entry of await library.getAll()) {
      if (entry.kind === 'site') await library.put({ ...entry, item: { ...somewhere, ...entry.item } });
      if (entry.kind === 'product') await library.put({ ...entry, item: { ...noLayers, ...entry.item } });
    }
    // A new database gets its shelf from elsewhere.
    if ((await library.count()) > 0) await library.put({ id: 'gear/heater', kind: 'gear', archived: false, item: heater });
  },
  // Sites learned of slopes and steps, towels of pile and fold.
  async (_db, tx) => {
    const [jobs, library] = [tx.objectStore('jobs'), tx.objectStore('library')];
    for (const stored of await jobs.getAll()) {
      const { site, towels } = stored.job;
      await jobs.put({ ...stored, job: { ...stored.job, site: { ...ground, ...site }, towels: towels.map(withFold) } });
    }
    for (const entry of await library.getAll()) {
      if (entry.kind === 'site') await library.put({ ...entry, item: { ...ground, ...entry.item } });
      if (entry.kind === 'towel') await library.put({ ...entry, item: withFold(entry.item) });
    }
  },
  // Jobs learned what happened beside the car.
  async (_db, tx) => {
    const jobs = tx.objectStore('jobs');
    for (const stored of await jobs.getAll()) await jobs.put({ ...stored, job: { ...{ run: null }, ...stored.job } });
  },
  // The shelf began to count; jobs learned of pictures and signatures, runs of every count, products of claims.
  async (db, tx) => {
    db.createObjectStore('movements', { keyPath: 'id' }).createIndex('at', 'at');
    const [jobs, library] = [tx.objectStore('jobs'), tx.objectStore('library')];
    for (const stored of await jobs.getAll()) {
      const { products, run } = stored.job;
      const job = { ...{ pictures: [], signed: null }, ...stored.job, products: products.map(withClaims), run: run && withCounts(run) };
      await jobs.put({ ...stored, job });
    }
    for (const entry of await library.getAll())
      if (entry.kind === 'product') await library.put({ ...entry, item: withClaims(entry.item) });
  },
  // Runs learned who ticked something off, and how long each act took; jobs that a car was sent away.
  async (_db, tx) => {
    const jobs = tx.objectStore('jobs');
    for (const stored of await jobs.getAll()) {
      const { run } = stored.job;
      await jobs.put({ ...stored, job: { ...{ refused: null }, ...stored.job, run: run && withPaces(run) } });
    }
  },
  // Lists no longer read whole jobs.
  async (db, tx) => {
    const briefs = db.createObjectStore('briefs', { keyPath: 'id' });
    for (const stored of await tx.objectStore('jobs').getAll()) await briefs.put(briefOf(stored));
  },
];
