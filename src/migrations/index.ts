/** Records as older versions had them, and the steps from there to the present. */
export { collectionMigrations, listNames, migrateItem, movementsInOrder } from './collection-versions';
export { heaterBefore4 } from './items-before';
export { jobMigrations } from './job-versions';
export { readDocument } from './read-document';
export { migrate } from './steps';
export type { Migration } from './steps';
