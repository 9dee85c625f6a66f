import { DestroyRef, type Signal, effect, inject, signal, untracked } from '@angular/core';
import { storeText } from '@esmero/frame';
import { freshId } from '@esmero/records';
import { STORE } from './ports';
import { scaledDown } from './photo';
import { faultText } from './collection.effects';

/** A picture that was kept, by its key, or why it was not. */
type KeptPicture = { readonly key: string } | { readonly problem: string };

/** Pictures beside the jobs: their addresses while the owner lives, and a way to keep another. */
export interface Pictures {
  /** Addresses by key. */
  readonly urls: Signal<Readonly<Record<string, string>>>;
  /** One that was kept; null where it is kept elsewhere. */
  kept(key: string): Promise<Blob | null>;
  keep(file: Blob): Promise<KeptPicture>;
}

/** @param keys the pictures that are shown */
export function picturesOf(keys: Signal<readonly string[]>): Pictures {
  const store = inject(STORE);
  const urls = signal<Readonly<Record<string, string>>>({});
  const forget = (): void => Object.values(untracked(urls)).forEach((url) => URL.revokeObjectURL(url));
  const fetch = async (wanted: readonly string[]): Promise<void> => {
    const kept = await store;
    const found = await Promise.all(
      wanted.map(async (key): Promise<[string, string][]> => {
        const picture = await kept.photo(key);
        return picture ? [[key, URL.createObjectURL(picture)]] : [];
      }),
    );
    forget();
    urls.set(Object.fromEntries(found.flat()));
  };
  effect(() => void fetch(keys()));
  inject(DestroyRef).onDestroy(forget);
  return {
    urls: urls.asReadonly(),
    kept: async (key) => (await (await store).photo(key)) ?? null,
    async keep(file) {
      const small = await scaledDown(file).catch(() => null);
      if (!small) return { problem: storeText.noPicture };
      const key = freshId('p');
      const kept = await (await store).keepPhoto(key, small);
      return kept.kind === 'kept' ? { key } : { problem: faultText(kept) };
    },
  };
}
