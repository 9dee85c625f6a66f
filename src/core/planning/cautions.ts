import { type Job, coned } from '../model';
import type { Caution } from '../reasons';
import type { Kit } from '../rules';
import type { Realised } from './realise';

/** Ground that water freezes on, with a margin for what a thermometer at head height misses. */
const FREEZING_AIR_C = 3;
/** A panel that burns a bare hand held to it. */
const HOT_PANEL_C = 45;

/** What to be careful about, from what the plan really uses. */
export function cautionsOf(
  job: Job,
  hottestC: number,
  reachM: number,
  { choice, mix, runoffL, bottledMl }: Realised,
): readonly Caution[] {
  const uses = (...kits: readonly Kit[]): boolean => kits.some((kit) => choice.kitSet.kits.includes(kit));
  const applies: readonly [Caution, boolean][] = [
    ['chemicals', mix.productMl > 0],
    ['hot-liquid', uses('heater')],
    ['steam', uses('steamer')],
    ['compressed-air', uses('air-gun')],
    ['electricity', uses('heater', 'mains', 'steamer', 'cordless', 'air-gun')],
    ['solvent', bottledMl.solvent > 0],
    ['wheel-cleaner', bottledMl['wheel-cleaner'] + bottledMl.degreaser > 0],
    ['traffic', job.around.some((one) => coned.includes(one))],
    ['engine', choice.picks.has('engine-bay')],
    ['hot-exhaust', choice.picks.has('left-exhaust') || choice.picks.has('right-exhaust')],
    ['dressing', bottledMl['tyre-dressing'] + bottledMl['trim-dressing'] > 0 || job.care.tyres === 'after-drive'],
    ['freezing-ground', !job.site.indoors && job.site.airC <= FREEZING_AIR_C],
    ['hot-panels', hottestC >= HOT_PANEL_C],
    ['runoff', runoffL > 0 || mix.litres > 0],
    ['ladder', job.vehicle.dimensions.heightM > reachM],
    ['lifting', mix.litres > 10],
    ['brakes', true],
  ];
  return applies.flatMap(([caution, holds]) => (holds ? [caution] : []));
}
