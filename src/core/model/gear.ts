import type { Origin } from './product';

/** Powered kit that a van may hold; sprayers, foamers and buckets are vessels. */
export const gearKinds = ['heater', 'cordless-wand', 'mains-wand', 'steamer', 'blower'] as const;
export type GearKind = (typeof gearKinds)[number];

export interface Gear {
  readonly id: string;
  readonly name: string;
  readonly kind: GearKind;
  /** Water it passes, L/min; 0 for a heater and a blower. */
  readonly flowLMin: number;
  /** Minutes of running on what its batteries hold; null runs on mains power. */
  readonly batteryMin: number | null;
  /** At the operator, dB(A). */
  readonly noiseDb: number;
  readonly origin: Origin;
}
