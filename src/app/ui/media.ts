import { DOCUMENT, DestroyRef, type Signal, inject, signal } from '@angular/core';

/** A media query as a signal, for as long as its owner lives. */
export function mediaSignal(query: string): Signal<boolean> {
  const list = inject(DOCUMENT).defaultView?.matchMedia?.(query);
  const matches = signal(list?.matches ?? false);
  const follow = (event: MediaQueryListEvent): void => matches.set(event.matches);
  list?.addEventListener('change', follow);
  inject(DestroyRef).onDestroy(() => list?.removeEventListener('change', follow));
  return matches.asReadonly();
}
