export { idbStore, memoryStore, openStore } from './open';
export type { TabMessage, Tabs } from './tabs';
export type { StoredBrief } from './brief';
export { blobOf, dataUrlOf } from './photo';
export { everything, everyJob, keptEntry } from './everything';
export { entryId } from './store';
export type { Change, KeepFault, Keeping, Kept, Saved, Store } from './store';
export type { StoredEntry, StoredJob } from './stored';
