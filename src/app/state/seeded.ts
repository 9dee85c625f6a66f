import type { Store } from '@esmero/store';

export const SEEDED = 'seeded';
/** Its value while the demo has no past yet. */
export const WITHOUT_PAST = 'without-past';

/**
 * The store with the demo in it, if this is a first visit. Everyone waits for it: a first
 * visit may well begin at the address of a demo job.
 */
export async function seeded(store: Store): Promise<Store> {
  // A newer Esmero has the data: nothing is to be put beside it.
  if (store.keeping === 'newer' || (await store.setting(SEEDED))) return store;
  const [{ demoOn }, { today }] = await Promise.all([import('@esmero/demo'), import('./today')]);
  const kept = await store.merge(demoOn(today()));
  if (kept.kind === 'kept') await store.keepSetting(SEEDED, WITHOUT_PAST);
  return store;
}
