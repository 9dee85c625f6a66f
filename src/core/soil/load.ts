import type { SoilKind } from '../model';
import { type GramsPerSquareMetre, gPerM2 } from '../units';

/** A deposit with its load, ready to compute with. */
export interface Load {
  readonly kind: SoilKind;
  readonly loadGm2: GramsPerSquareMetre;
}

/** Total load of several deposits. */
export const totalLoad = (loads: readonly Load[]): GramsPerSquareMetre =>
  gPerM2(loads.reduce((sum, { loadGm2 }) => sum + loadGm2, 0));
