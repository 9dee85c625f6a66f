import type { Collection, LibraryEntry } from '@esmero/core';
import { jobs } from './jobs';
import { products, sites, towels, vehicles, vessels } from './library';

const shelf = [
  ...Object.values(vehicles).map((item) => ({ kind: 'vehicle', item })),
  ...Object.values(sites).map((item) => ({ kind: 'site', item })),
  ...Object.values(products).map((item) => ({ kind: 'product', item })),
  ...Object.values(towels).map((item) => ({ kind: 'towel', item })),
  ...Object.values(vessels).map((item) => ({ kind: 'vessel', item })),
] as const;

/** The invented harbour town as a collection: what a first visit finds in the app. */
export const demo: Collection = {
  jobs,
  library: shelf.map((entry) => ({ ...entry, archived: false }) as LibraryEntry),
};

export { jobs as demoJobs };
