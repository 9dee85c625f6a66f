/** Records as they are kept and exchanged now, and how copies of one are told apart and put together. */
export { collectionVersion, jobVersion } from './versions';
export { jobDocument, jobFrom } from './job-document';
export type { JobDocument } from './job-document';
export { merged, same } from './merge';
export { advanced, compared, together } from './vector';
export { held, unstamped } from './holdings';
export type { Holdings, KeptEntry, KeptJob, Stamp } from './holdings';
export { freshId } from './fresh-id';
