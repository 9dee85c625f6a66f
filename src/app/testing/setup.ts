import { vi } from 'vitest';

// Machines are shared: a slow one is no failure.
vi.setConfig({ testTimeout: 120_000 });

/** Stands in for what the test DOM lacks. */
vi.stubGlobal('matchMedia', (query: string): Partial<MediaQueryList> => ({
  matches: false,
  media: query,
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
}));

Element.prototype.scrollIntoView = (): void => undefined;

class StillObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
vi.stubGlobal('ResizeObserver', StillObserver);
