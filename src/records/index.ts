/** Records as they are kept and exchanged: their versions, the steps between them, and how copies of one are told apart and put together. */
export { collectionMigrations, collectionVersion, listNames, migrateItem, movementsInOrder } from './collection-versions';
export { heaterBefore4 } from './items-before';
export { jobMigrations, jobVersion } from './job-versions';
export { migrate } from './steps';
export type { Migration } from './steps';
export { jobDocument, jobFrom, readDocument } from './job-document';
export type { JobDocument } from './job-document';
export { merged, same } from './merge';
export type { Merged } from './merge';
export { advanced, compared, together } from './vector';
export type { Follows, VersionVector } from './vector';
export { held, unstamped } from './holdings';
export type { Holdings, KeptEntry, KeptJob, Stamp } from './holdings';
export { freshId } from './fresh-id';
