import { DestroyRef, type Signal, effect, inject, signal, untracked } from '@angular/core';
import type { Job, Photo } from '@esmero/core';
import { type Store, dataUrlOf } from '@esmero/store';
import { STORE } from './ports';
import { scaledDown } from './photo';
import { faultText } from './shelf.effects';

/** A picture that was kept, by its key, or why it was not. */
export type KeptPicture = { readonly key: string } | { readonly problem: string };

/** Pictures beside the jobs: their addresses while the owner lives, and a way to keep another. */
export interface Pictures {
  /** Addresses by key. */
  readonly urls: Signal<Readonly<Record<string, string>>>;
  keep(file: Blob): Promise<KeptPicture>;
}

const freshKey = (): string => `p-${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 10)}`;

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
    async keep(file) {
      const small = await scaledDown(file).catch(() => null);
      if (!small) return { problem: 'This file holds no picture that the browser can read. Take a JPEG or PNG.' };
      const key = freshKey();
      const kept = await (await store).keepPhoto(key, small);
      return kept.kind === 'kept' ? { key } : { problem: faultText(kept) };
    },
  };
}

/** Letters of pictures that one file takes: together with the rest it is read again. */
const MOST_PICTURES = 150_000_000;

/** Pictures of jobs as text, those of the first jobs first, as many as fit. */
export async function photosOf(jobs: readonly Job[], store: Store): Promise<{ readonly photos: readonly Photo[]; readonly left: number }> {
  const keys = new Set(jobs.flatMap(({ marks, pictures }) => [...marks, ...pictures].flatMap(({ photo }) => photo ?? [])));
  const photos: Photo[] = [];
  let letters = 0;
  let left = 0;
  for (const key of keys) {
    const kept = await store.photo(key);
    if (!kept) continue;
    const picture = await dataUrlOf(kept);
    letters += picture.length;
    if (letters > MOST_PICTURES) left++;
    else photos.push({ key, picture });
  }
  return { photos, left };
}
