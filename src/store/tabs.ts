/** What tabs of the same browser tell each other; `everything-changed` after an import. */
export type TabMessage =
  | { readonly kind: 'job-saved'; readonly id: string; readonly revision: number }
  | { readonly kind: 'library-changed' | 'settings-changed' | 'everything-changed' };

export interface Tabs {
  tell(message: TabMessage): void;
  onMessage(listener: (message: TabMessage) => void): void;
}

/** Silent where the browser has no channel between tabs: conflicts are then found on saving. */
export function tabs(): Tabs {
  if (typeof BroadcastChannel === 'undefined') return { tell: () => {}, onMessage: () => {} };
  const channel = new BroadcastChannel('esmero');
  return {
    tell: (message) => channel.postMessage(message),
    onMessage: (listener) =>
      channel.addEventListener('message', ({ data }: MessageEvent<TabMessage>) => listener(data)),
  };
}
