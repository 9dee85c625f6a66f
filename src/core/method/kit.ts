import type { Assumptions } from '../assumptions';
import type { MixPurpose } from '../model';

/** Stations that are set up once for a job if any zone needs them. */
export const kits = ['waterless', 'presoak', 'wash', 'flush', 'heater'] as const;
export type Kit = (typeof kits)[number];

/** What a station brings to the car: a mix of product, plain water in a sprayer, or heat. */
export const kitMix: Readonly<Record<Kit, MixPurpose | 'water' | null>> = {
  waterless: 'waterless',
  presoak: 'presoak',
  wash: 'wash',
  flush: 'water',
  heater: null,
};

/** Minutes to set a station up, once. */
export function setupMinutes(kit: Kit, a: Assumptions): number {
  switch (kit) {
    case 'waterless':
      return a.setupSpray;
    case 'wash':
      return a.setupBucket;
    case 'presoak':
    case 'flush':
      return a.setupPump;
    case 'heater':
      return a.setupHeater;
  }
}
