import { DOCUMENT, DestroyRef, inject } from '@angular/core';

/** What small remotes send: presenters turn pages, shutters change the volume, headsets skip a track. */
const remoteKeys: ReadonlySet<string> = new Set(['PageDown', 'MediaTrackNext', 'MediaPlayPause', 'AudioVolumeUp']);

export const isFromRemote = (key: string): boolean => remoteKeys.has(key);

/** Calls for the button of a headset while its component is there. */
export function onHeadset(press: () => void): void {
  const session = inject(DOCUMENT).defaultView?.navigator.mediaSession;
  session?.setActionHandler('nexttrack', press);
  inject(DestroyRef).onDestroy(() => session?.setActionHandler('nexttrack', null));
}
