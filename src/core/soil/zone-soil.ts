import type { Assumptions } from '../assumptions';
import type { SoilKind, SoilMap, SpotCounts, Zone, ZoneSoil } from '../model';
import { type GramsPerSquareMetre, gPerM2 } from '../units';
import { loadOfLevel } from './kinds';

/** A deposit with its load, ready to compute with. */
export interface Load {
  readonly kind: SoilKind;
  readonly loadGm2: GramsPerSquareMetre;
}

/** The soil of one zone as the computation sees it. */
export interface SoilState {
  readonly loads: readonly Load[];
  readonly totalGm2: GramsPerSquareMetre;
  readonly spots: SpotCounts;
  /** False when nobody has looked: taken as clean until somebody does. */
  readonly seen: boolean;
  /** Mud, or any soil caked to the top level: flushed before it is touched. */
  readonly lumps: boolean;
}

const CAKED = 5;

const isLump = ({ kind, level }: ZoneSoil['deposits'][number]): boolean =>
  level === CAKED || (kind === 'mud' && level > 0);

/** Total load of several deposits. */
export const totalLoad = (loads: readonly Load[]): GramsPerSquareMetre =>
  gPerM2(loads.reduce((sum, { loadGm2 }) => sum + loadGm2, 0));

/**
 * What lies on a zone. A zone without a mark, or marked with no deposit, is taken as clean, which
 * is the load of level 0 as dust.
 */
export function soilOn(zone: Zone, soil: SoilMap, a: Assumptions): SoilState {
  const marked = soil[zone.id];
  const deposits = marked?.deposits.length
    ? marked.deposits
    : [{ kind: 'dust', level: 0 } as const];
  const loads = deposits.map(({ kind, level }) => ({ kind, loadGm2: loadOfLevel(level, a) }));
  return {
    loads,
    totalGm2: totalLoad(loads),
    spots: marked?.spots ?? {},
    seen: marked !== undefined,
    lumps: deposits.some(isLump),
  };
}
