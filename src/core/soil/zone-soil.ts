import type { Assumptions } from '../assumptions';
import type { BugCover, Job, SpotCounts, Zone, ZoneSoil } from '../model';
import { type GramsPerSquareMetre, gPerM2 } from '../units';
import { forecastOn } from './forecast';
import { loadOfLevel, seenLoad } from './kinds';
import { type Load, totalLoad } from './load';

/** Where the soil of a zone is known from; nobody looked and nobody asked is taken as clean. */
export type SoilBasis = 'measured' | 'seen' | 'forecast' | 'unknown';

/** The soil of one zone as the computation sees it. */
export interface SoilState {
  readonly loads: readonly Load[];
  readonly totalGm2: GramsPerSquareMetre;
  readonly spots: SpotCounts;
  readonly bugs: BugCover | null;
  readonly basis: SoilBasis;
  /** The load is right within this factor, up or down. */
  readonly spread: number;
  /** Mud, or any soil caked to the top level: flushed before it is touched. */
  readonly lumps: boolean;
}

const CAKED = 5;

const isLump = ({ kind, level }: ZoneSoil['deposits'][number]): boolean =>
  level === CAKED || (kind === 'mud' && level > 0);

function seenOn({ deposits, spots, bugs, measured }: ZoneSoil, a: Assumptions): SoilState {
  const found = deposits.length > 0 ? deposits : [{ kind: 'dust', level: 0 } as const];
  const byEye = found.map(({ kind, level }) => ({ kind, loadGm2: seenLoad(level, a) }));
  // The eye told the kinds apart, the wipe test how much there is of all of them.
  const share = measured ? measured.loadGm2 / totalLoad(byEye) : 1;
  const loads = byEye.map(({ kind, loadGm2 }) => ({ kind, loadGm2: gPerM2(share * loadGm2) }));
  return {
    loads,
    totalGm2: totalLoad(loads),
    spots,
    bugs: bugs ?? null,
    basis: measured ? 'measured' : 'seen',
    spread: measured?.spread ?? a.spreadSeen,
    lumps: deposits.some(isLump),
  };
}

/** What a job says about soil. */
type Known = Pick<Job, 'soil' | 'since' | 'vehicle'>;

/**
 * What lies on a zone. What is seen overrides the forecast, zone by zone; a zone marked with no
 * deposit is clean, which is the load of level 0 as dust.
 */
export function soilOn(zone: Zone, { soil, since, vehicle }: Known, a: Assumptions): SoilState {
  const marked = soil[zone.id];
  if (marked) return seenOn(marked, a);
  const loads = forecastOn(zone, vehicle.body, since, a);
  const totalGm2 = totalLoad(loads);
  return {
    loads,
    totalGm2,
    spots: {},
    bugs: null,
    basis: since.length > 0 ? 'forecast' : 'unknown',
    spread: a.spreadForecast,
    lumps: totalGm2 >= loadOfLevel(CAKED, a),
  };
}
