import type { Collection, LibraryEntry } from '@esmero/core';
import { jobs } from './jobs';
import { movements } from './shelf';
import { foamer, gear, habits, products, sites, spareGear, towels, vehicles, vessels } from './library';

const shelf = [
  ...Object.values(vehicles).map((item) => ({ kind: 'vehicle', item })),
  ...Object.values(sites).map((item) => ({ kind: 'site', item })),
  ...Object.values(products).map((item) => ({ kind: 'product', item })),
  ...Object.values(towels).map((item) => ({ kind: 'towel', item })),
  ...[...Object.values(vessels), foamer].map((item) => ({ kind: 'vessel', item })),
  ...[...Object.values(gear), ...Object.values(spareGear)].map((item) => ({ kind: 'gear', item })),
  ...Object.values(habits).map((item) => ({ kind: 'habits', item })),
] as const;

/** The invented harbour town as a collection: what a first visit finds in the app. */
export const demo: Collection = {
  jobs,
  movements,
  photos: [],
  library: shelf.map((entry) => ({ ...entry, archived: false }) as LibraryEntry),
};

export { jobs as demoJobs };
