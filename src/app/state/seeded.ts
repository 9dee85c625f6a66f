import type { Store } from '@esmero/store';

const SEEDED = 'seeded';

/**
 * The store with the demo on the shelf, if this is a first visit. Everyone waits for it: a first
 * visit may well begin at the address of a demo job.
 */
export async function seeded(store: Store): Promise<Store> {
  if (await store.setting(SEEDED)) return store;
  const { demo } = await import('@esmero/demo');
  const kept = await store.merge(demo);
  if (kept.kind === 'kept') await store.keepSetting(SEEDED, true);
  return store;
}
