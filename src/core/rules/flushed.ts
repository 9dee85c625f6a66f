import { type Flush, type Working, partsOf } from '../model';
import { type Load, totalLoad } from '../soil';
import { runoffOf } from '../surface';
import { type GramsPerSquareMetre, gPerM2 } from '../units';
import type { PlanningContext, SoiledZone } from './context';
import { type FlushRule, flushRules } from './flushes';

/** A zone after a flush: what is left on it, and what the flush took. */
export interface Flushed {
  readonly flush: FlushRule;
  readonly filmUm: number;
  readonly loads: readonly Load[];
  readonly loadGm2: GramsPerSquareMetre;
  /** Temperature of the water as it lands, and of the panel right after. */
  readonly liquidC: number;
  readonly panelC: number;
  readonly seconds: number;
  readonly runoffMl: number;
}

function flushed({ zone, soil, panel }: SoiledZone, kind: Flush, context: PlanningContext): Flushed {
  const { a } = context;
  const flush = flushRules[kind];
  const filmUm = flush.filmUm(a);
  const wet = filmUm > 0;
  const loads = wet
    ? soil.loads.map(({ kind: of, loadGm2 }) => ({ kind: of, loadGm2: gPerM2(loadGm2 * (1 - flush.removes(of, a))) }))
    : soil.loads;
  const liquidC = flush.liquidC(context);
  return {
    flush,
    filmUm,
    loads,
    loadGm2: totalLoad(loads),
    liquidC,
    panelC: wet ? panel.landedC(filmUm, liquidC) : panel.panelC,
    seconds: flush.secondsPerM2(context) * zone.areaM2,
    // A wash bay has a drain of its own.
    runoffMl: flush.source === 'bay' ? 0 : runoffOf(filmUm, panel.holdUpUm, zone.areaM2, a),
  };
}

/** The zone after the flush of each of these treatments; each flush is worked out once. */
export function flushedFor(soiled: SoiledZone, context: PlanningContext): (treatment: Working) => Flushed {
  const known = new Map<Flush, Flushed>();
  return (treatment) => {
    const { flush } = partsOf(treatment);
    const found = known.get(flush) ?? flushed(soiled, flush, context);
    known.set(flush, found);
    return found;
  };
}
