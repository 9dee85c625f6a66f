export { idbStore, memoryStore, openStore } from './open';
export { DB_NAME } from './idb-tables';
export type { TabMessage, Tabs } from './tabs';
export type { StoredBrief } from './brief';
export { blobOf, dataUrlOf } from './photo';
export { everything, everyJob, keptEntry } from './everything';
export { entryId } from './store';
export type { Change, Imported, KeepFault, Keeping, Kept, Saved, SavedEntry, Store } from './store';
export type { StoredEntry, StoredJob } from './stored';
