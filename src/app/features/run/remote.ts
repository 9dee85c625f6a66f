import { DOCUMENT, DestroyRef, inject } from '@angular/core';

/** What small remotes send: shutters change the volume, headsets skip a track; presenters turn pages. */
const remoteKeys: ReadonlySet<string> = new Set(['MediaTrackNext', 'MediaPlayPause', 'AudioVolumeUp']);
const pageKeys: ReadonlySet<string> = new Set(['PageDown', 'ArrowRight']);

/** @param scrolls whether a key for pages moves the page, so that it means that */
export const isFromRemote = (key: string, scrolls: boolean): boolean =>
  remoteKeys.has(key) || (!scrolls && pageKeys.has(key));

/** Calls for the button of a headset while its component is there. */
export function onHeadset(press: () => void): void {
  const session = inject(DOCUMENT).defaultView?.navigator.mediaSession;
  session?.setActionHandler('nexttrack', press);
  inject(DestroyRef).onDestroy(() => session?.setActionHandler('nexttrack', null));
}
