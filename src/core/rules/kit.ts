import type { Assumptions } from '../assumptions';
import type { Bottled, MixPurpose } from '../model';

/** Stations that are set up once for a job if any zone needs them. */
export const kits = [
  'waterless',
  'foam',
  'presoak',
  'wash',
  'shampoo',
  'flush',
  'heater',
  'cordless',
  'mains',
  'bay',
  'steamer',
  'air-gun',
] as const;
export type Kit = (typeof kits)[number];

/** What a station brings to the car: a mix of product, plain water to spray or to draw from, or nothing in a vessel. */
export const kitMix: Readonly<Record<Kit, Exclude<MixPurpose, Bottled | 'glass'> | 'water' | 'supply' | null>> = {
  waterless: 'waterless',
  foam: 'foam',
  presoak: 'presoak',
  wash: 'wash',
  shampoo: 'shampoo',
  flush: 'water',
  heater: null,
  cordless: 'supply',
  mains: null,
  bay: null,
  steamer: null,
  'air-gun': null,
};

/** Minutes to set a station up, once. */
export function setupMinutes(kit: Kit, a: Assumptions): number {
  switch (kit) {
    case 'waterless':
      return a.setupSpray;
    case 'wash':
    case 'shampoo':
      return a.setupBucket;
    case 'foam':
    case 'presoak':
    case 'flush':
      return a.setupPump;
    case 'heater':
      return a.setupHeater;
    case 'cordless':
      return a.setupCordless;
    case 'mains':
      return a.setupMains;
    case 'bay':
      return a.setupBay;
    case 'steamer':
      return a.setupSteamer;
    case 'air-gun':
      return a.setupAir;
  }
}

/** Something is washed from a bucket. */
export const usesBuckets = (set: readonly Kit[]): boolean => set.includes('wash') || set.includes('shampoo');

/** Minutes to pack up, once; dirty water is taken away first. */
export const packingMinutes = (set: readonly Kit[], a: Assumptions): number =>
  a.packing + (usesBuckets(set) ? a.emptying : 0);
