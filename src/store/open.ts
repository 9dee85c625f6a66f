import { idbTables } from './idb-tables';
import { memoryTables } from './memory-tables';
import type { Keeping, Store } from './store';
import { storeOn } from './store-on';

/** The browser's storage under a name of its own; for tests. */
export const idbStore = async (name?: string): Promise<Store> => storeOn(await idbTables(name), 'for-good');

/** A store that keeps nothing beyond the tab, and why. */
export const memoryStore = (keeping: Keeping = 'nowhere'): Promise<Store> => storeOn(memoryTables(), keeping);

/** The browser's storage, or a stand-in that says why it keeps nothing. */
export async function openStore(): Promise<Store> {
  try {
    return await idbStore();
  } catch (error) {
    return memoryStore(error instanceof DOMException && error.name === 'VersionError' ? 'newer' : 'nowhere');
  }
}
