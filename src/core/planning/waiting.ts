import type { Job, ZoneId } from '../model';
import type { ZoneOptions } from '../rules';
import { type PlanningProblem, capacityOf } from './problem';
import { type Shortage, prepare } from './choose';
import { fit } from './fit';

/** What a zone takes at least of the budgets that are short, in shares of what there is. */
const shareOfShortage = ({ options }: ZoneOptions, shortages: readonly Shortage[]): number =>
  shortages.reduce((sum, { budget, have }) => sum + Math.min(...options.map(({ usage }) => usage[budget])) / Math.max(1e-9, have), 0);

/** Zones that are asked for, those first that take most of what is short for each square metre. */
function byShortage({ context, problem }: PlanningProblem, shortages: readonly Shortage[]): readonly ZoneId[] {
  const areas = new Map(context.zones.map(({ zone }) => [zone.id, zone.areaM2]));
  return problem.zones
    .filter(({ zoneId, options }) => problem.fixed[zoneId] !== 'leave' && options.length > 0)
    .map((zone) => ({ id: zone.zoneId, perM2: shareOfShortage(zone, shortages) / areas.get(zone.zoneId)! }))
    .sort((p, q) => q.perM2 - p.perM2)
    .map(({ id }) => id);
}

/** So many zones fewer are tried below the first count that does not do. */
const LOOK_FURTHER = 4;

/**
 * Zones that would have to wait for the rest to be done with what there is: the hungriest first, no
 * more than it takes; none where that does not help. Not the smallest set there could be: finding
 * that takes seconds, this a few plans.
 */
export function waitingOf(all: PlanningProblem, job: Job, shortages: readonly Shortage[]): readonly ZoneId[] {
  const { context, problem } = all;
  const order = byShortage(all, shortages);
  const without = (count: number): boolean => {
    const left = Object.fromEntries(order.slice(0, count).map((id) => [id, 'leave'] as const));
    return fit(prepare({ ...problem, fixed: { ...problem.fixed, ...left } }), capacityOf(job, context.begun), context, true).ok;
  };
  let [few, many] = [0, order.length - 1];
  if (many < 1 || !without(many)) return [];
  while (many - few > 1) {
    const middle = Math.floor((few + many) / 2);
    if (without(middle)) many = middle;
    else few = middle;
  }
  // Whole towels are not shared out evenly: a little fewer may do where one more does not.
  for (let less = 2; less <= LOOK_FURTHER && many - less > 0; less++) if (without(many - less)) [many, less] = [many - less, 1];
  return order.slice(0, many);
}
