import { DestroyRef, InjectionToken, type Signal, inject, signal } from '@angular/core';

/** Milliseconds since 1970; tests set it. */
export const NOW = new InjectionToken<() => number>('now', { factory: () => () => Date.now() });

const SECOND_MS = 1000;

/** The time of day, anew each second while its component is there. */
export function ticking(): Signal<number> {
  const now = inject(NOW);
  const time = signal(now());
  const timer = setInterval(() => time.set(now()), SECOND_MS / 2);
  inject(DestroyRef).onDestroy(() => clearInterval(timer));
  return time.asReadonly();
}
