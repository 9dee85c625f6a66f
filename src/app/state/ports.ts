import { InjectionToken } from '@angular/core';
import type { Store, Tabs } from '@esmero/store';
import type { Latest } from '@esmero/worker';
import type { Job } from '@esmero/core';

/** The world outside the state: tests put stand-ins here. */
export const STORE = new InjectionToken<Promise<Store>>('store');
export const TABS = new InjectionToken<Tabs>('tabs');

export interface Planning {
  plan(job: Job): Promise<Latest>;
}
export const PLANNING = new InjectionToken<Planning>('planning');

/** Milliseconds between two saves while changes keep coming. */
export const SAVE_AFTER = new InjectionToken<number>('save-after', { factory: () => 150 });
