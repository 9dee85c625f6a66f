import type { Assumptions } from '../../assumptions';
import type { SoilKind } from '../../model';
import type { Kit } from '../kit';

/** Loosening without touching. */
export interface FlushRule {
  readonly kits: readonly Kit[];
  /** Water laid on, µm (mL/m²). */
  filmUm(a: Assumptions): number;
  /** Share of a soil's load that goes with the water. */
  removes(kind: SoilKind, a: Assumptions): number;
  secondsPerM2(a: Assumptions): number;
  /** Temperature of the water, given that of what is carried. */
  liquidC(carriedC: number, a: Assumptions): number;
}
