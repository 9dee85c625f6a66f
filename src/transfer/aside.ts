import type { Kept, Store } from '@esmero/store';

/** A file of a backup that could not be read, as it was. */
export interface KeptAside {
  readonly path: string;
  readonly text: string;
}

const SETTING = 'aside';
/** So many letters of them are kept; backups hold the rest. */
const MOST_LETTERS = 20_000_000;

export const keptAside = async (store: Store): Promise<readonly KeptAside[]> =>
  ((await store.setting(SETTING)) as readonly KeptAside[] | null | undefined) ?? [];

/** Keeps what could not be read beside what was kept before, the latest first, as far as there is room. */
export async function keepAside(store: Store, fresh: readonly KeptAside[]): Promise<Kept> {
  const known = (await keptAside(store)).filter(({ path }) => !fresh.some((one) => one.path === path));
  let letters = 0;
  const all = [...fresh, ...known].filter(({ text }) => (letters += text.length) <= MOST_LETTERS);
  return store.keepSetting(SETTING, all);
}
