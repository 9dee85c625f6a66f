import { idbStore } from './idb-store';
import { memoryStore } from './memory-store';
import type { Store } from './store';

export { idbStore, DB_NAME } from './idb-store';
export { memoryStore } from './memory-store';
export { tabs } from './tabs';
export type { TabMessage, Tabs } from './tabs';
export { briefOf } from './brief';
export type { StoredBrief } from './brief';
export { dataUrlOf } from './photo';
export { entryId } from './store';
export type { KeepFault, Kept, Saved, Store } from './store';
export type { StoredJob } from './schema';

/** The browser's storage, or a stand-in that says that it keeps nothing. */
export async function openStore(): Promise<Store> {
  try {
    return await idbStore();
  } catch {
    return memoryStore();
  }
}
