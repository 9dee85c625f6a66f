import { DOCUMENT, DestroyRef, inject } from '@angular/core';

/** Keeps the screen on while its component is there, where the browser lets it. */
export function staysAwake(): void {
  const document = inject(DOCUMENT);
  const wake = document.defaultView?.navigator.wakeLock;
  if (!wake) return;
  let held: WakeLockSentinel | null = null;
  const hold = (): void => {
    if (document.visibilityState !== 'visible') return;
    wake.request('screen').then(
      (lock) => (held = lock),
      // Refused on low battery: the run goes on all the same.
      () => undefined,
    );
  };
  hold();
  document.addEventListener('visibilitychange', hold);
  inject(DestroyRef).onDestroy(() => {
    document.removeEventListener('visibilitychange', hold);
    void held?.release();
  });
}
