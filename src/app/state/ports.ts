import { InjectionToken } from '@angular/core';
import type { Store, Tabs } from '@esmero/store';
import type { Planning } from '@esmero/worker';

/** The world outside the state: tests put stand-ins here. */
export const STORE = new InjectionToken<Promise<Store>>('store');
export const TABS = new InjectionToken<Tabs>('tabs');

export const PLANNING = new InjectionToken<Planning>('planning');

/** Milliseconds between two saves while changes keep coming. */
export const SAVE_AFTER = new InjectionToken<number>('save-after', { factory: () => 150 });
