import type { Collection, LibraryEntry } from '@esmero/model';
import { type Day, dayAfter, daysBetween } from '@esmero/units';
import { placed } from './dates';
import { business, clients } from './clients';
import { harbourSetUp, harbourVan } from './day';
import { helperOn } from './eye';
import { dealerSetUp } from './lot';
import { jobs } from './jobs';
import { movements } from './stock';
import {
  brushes,
  careProducts,
  foamer,
  gear,
  habits,
  packages,
  products,
  sites,
  spareBuckets,
  spareGear,
  towels,
  vehicles,
  vessels,
} from './library';

const library = [
  ...Object.values(vehicles).map((item) => ({ kind: 'vehicle', item })),
  ...Object.values(sites).map((item) => ({ kind: 'site', item })),
  ...[...Object.values(products), ...Object.values(careProducts)].map((item) => ({ kind: 'product', item })),
  ...Object.values(towels).map((item) => ({ kind: 'towel', item })),
  ...[...Object.values(vessels), ...Object.values(spareBuckets), foamer].map((item) => ({ kind: 'vessel', item })),
  ...[...Object.values(gear), ...Object.values(brushes), ...Object.values(spareGear)].map((item) => ({
    kind: 'gear',
    item,
  })),
  ...Object.values(habits).map((item) => ({ kind: 'habits', item })),
  ...Object.values(packages).map((item) => ({ kind: 'package', item })),
] as const;

/** The invented harbour town as a collection: what a first visit finds in the app. */
export { harbourDay } from './day';
export { dealerLot } from './lot';
export const demo: Collection = {
  jobs,
  movements,
  photos: [],
  library: library.map((entry) => ({ ...entry, archived: false }) as LibraryEntry),
};

const DAY_MS = 86_400_000;

/**
 * The demo as it is on the day of the first start: work for today and the next days, stock that was bought weeks ago and
 * used last week, some of it about to go off.
 */
export function demoOn(today: Day): Collection {
  const last = movements.at(-1)!.at;
  const days = daysBetween(new Date(last).toISOString().slice(0, 10), today) - 1;
  const moved = movements.map((one) => ({
    ...one,
    at: one.at + days * DAY_MS,
    expiresOn: one.expiresOn && dayAfter(one.expiresOn, days),
  }));
  const { sessions, calibrations } = helperOn(today);
  const plans = [
    { kind: 'van', item: harbourVan },
    { kind: 'day', item: harbourSetUp(today) },
    { kind: 'lot', item: dealerSetUp(dayAfter(today, 3)) },
    ...clients.map((item) => ({ kind: 'client' as const, item })),
    { kind: 'business', item: business },
    ...sessions.map((item) => ({ kind: 'practice' as const, item })),
    ...calibrations.map((item) => ({ kind: 'calibration' as const, item })),
  ] as const;
  const library = [...demo.library, ...plans.map((one): LibraryEntry => ({ ...one, archived: false }))];
  return { ...demo, library, jobs: jobs.map((job) => placed(job, today)), movements: moved };
}

export { pastRuns } from './past';
export { jobs as demoJobs };
export { sites as demoSites };
