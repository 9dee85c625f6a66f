import type { Job } from '../model';
import type { Caution } from '../reasons';
import type { Realised } from './realise';

/** Ground that water freezes on, with a margin for what a thermometer at head height misses. */
const FREEZING_AIR_C = 3;
/** A panel that burns a bare hand held to it. */
const HOT_PANEL_C = 45;
/** A roof above it is out of reach from the ground. */
const LADDER_M = 1.75;

/** What to be careful about, from what the plan really uses. */
export function cautionsOf(job: Job, hottestC: number, { choice, mix, runoffL }: Realised): readonly Caution[] {
  const applies: readonly [Caution, boolean][] = [
    ['chemicals', mix.productMl > 0],
    ['hot-liquid', choice.kitSet.kits.includes('heater')],
    ['freezing-ground', !job.site.indoors && job.site.airC <= FREEZING_AIR_C],
    ['hot-panels', hottestC >= HOT_PANEL_C],
    ['runoff', runoffL > 0 || mix.litres > 0],
    ['ladder', job.vehicle.dimensions.heightM > LADDER_M],
    ['lifting', mix.litres > 10],
    ['brakes', true],
  ];
  return applies.flatMap(([caution, holds]) => (holds ? [caution] : []));
}
