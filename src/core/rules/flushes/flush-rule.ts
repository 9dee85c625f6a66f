import type { Assumptions } from '../../assumptions';
import type { Gear, GearKind, SoilKind } from '../../model';
import type { Kit } from '../kit';

/** Where the water of a flush comes from: a sprayer, a supply bucket, a tap or boiler, a wash bay. */
export const flushSources = ['water', 'supply', 'line', 'bay'] as const;
export type FlushSource = (typeof flushSources)[number];

/** What a flush depends on besides the figures. */
export interface Flushing {
  readonly a: Assumptions;
  /** Of what is carried. */
  readonly carriedC: number;
  /** Of hot solution when a filling of it is nearly used up. */
  readonly hotC: number;
  readonly gear: Readonly<Partial<Record<GearKind, Gear>>>;
}

/** Loosening without touching. */
export interface FlushRule {
  readonly kits: readonly Kit[];
  /** Powered kit without which it is not offered. */
  readonly gear: GearKind | null;
  readonly source: FlushSource | null;
  /** A jet that would drive water past the seals of an open door. */
  readonly jet: boolean;
  /** Water laid on, µm (mL/m²). */
  filmUm(a: Assumptions): number;
  /** Share of a soil's load that goes with the water. */
  removes(kind: SoilKind, a: Assumptions): number;
  secondsPerM2(flushing: Flushing): number;
  /** Temperature of the water as it lands. */
  liquidC(flushing: Flushing): number;
}

/** Seconds for a square metre with a wand: what its flow needs for the film, but never a mere wave. */
export function wandSeconds(filmUm: number, gear: Gear | undefined, a: Assumptions): number {
  const mlPerS = ((gear?.flowLMin ?? 0) * 1000) / 60;
  return Math.max(a.rateWand, mlPerS > 0 ? filmUm / mlPerS : a.rateWand);
}
