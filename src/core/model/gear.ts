import type { Origin } from './product';

/** Moved by hand: flow, batteries and noise say nothing of them. */
export const brushKinds = ['wheel-brush', 'barrel-brush', 'tyre-brush', 'detail-brush'] as const;
export type BrushKind = (typeof brushKinds)[number];

/** Kit that a van may hold, powered or not; sprayers, foamers and buckets are vessels. */
export const gearKinds = [
  'heater',
  'cordless-wand',
  'mains-wand',
  'steamer',
  'blower',
  'air-gun',
  ...brushKinds,
] as const;
export type GearKind = (typeof gearKinds)[number];

export const isBrush = (kind: GearKind): kind is BrushKind => (brushKinds as readonly GearKind[]).includes(kind);

export interface Gear {
  readonly id: string;
  readonly name: string;
  readonly kind: GearKind;
  /** Water it passes, L/min; 0 for what passes none. */
  readonly flowLMin: number;
  /** Minutes of running on what its batteries hold; null runs on mains power. */
  readonly batteryMin: number | null;
  /** At the operator, dB(A). */
  readonly noiseDb: number;
  readonly origin: Origin;
}
