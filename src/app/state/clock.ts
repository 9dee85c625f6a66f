import { DestroyRef, InjectionToken, type Signal, inject, signal } from '@angular/core';

/** A clock that was set further back than this has nothing to do with what was noted before it. */
const FAR_MS = 24 * 3_600_000;

/**
 * A clock that never goes back while the page is open: where the device’s clock is set back, it goes on from where it
 * was.
 * @param device the device’s clock, milliseconds since 1970
 */
export function steady(device: () => number): Clock {
  let [last, ahead] = [-Infinity, 0];
  return {
    now() {
      const time = device() + ahead;
      if (time < last) ahead += last - time;
      last = Math.max(last, time);
      return last;
    },
    notBefore(noted) {
      if (noted > last && noted - this.now() < FAR_MS) last = Math.max(last, noted);
    },
  };
}

/** Time as the page has it. */
export interface Clock {
  /** Milliseconds since 1970. */
  now(): number;
  /** Goes on from what was noted last, where that lies a little ahead: the clock was set back since. */
  notBefore(noted: number): void;
}

/** Tests set it. */
export const CLOCK = new InjectionToken<Clock>('clock', { factory: () => steady(() => Date.now()) });

/** Milliseconds since 1970; tests set it. */
export const NOW = new InjectionToken<() => number>('now', {
  factory: () => {
    const clock = inject(CLOCK);
    return () => clock.now();
  },
});

const SECOND_MS = 1000;

/** The time of day, anew each second while its component is there. */
export function ticking(): Signal<number> {
  const now = inject(NOW);
  const time = signal(now());
  const timer = setInterval(() => time.set(now()), SECOND_MS / 2);
  inject(DestroyRef).onDestroy(() => clearInterval(timer));
  return time.asReadonly();
}
