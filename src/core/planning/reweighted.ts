import { type KitSet, type Option, type PlanningContext, productCost, usageCost, weightedCost } from '../rules';
import type { Problem } from './choose';

/** The same options and stations under the weights of another context. */
export function reweighted(problem: Problem, context: PlanningContext): Problem {
  const areas = new Map(context.zones.map(({ zone }) => [zone.id, zone.areaM2]));
  const again = (option: Option, area: number): Option => ({
    ...option,
    cost: weightedCost(area, option.marring.index, option.usage, productCost(option.laidMl, context), context),
  });
  const set = (one: KitSet): KitSet => ({
    ...one,
    cost: usageCost(one.usage, one.minor, context.a) + context.a.weightWaste * one.wasteL,
  });
  return {
    ...problem,
    zones: problem.zones.map((zone) => ({
      ...zone,
      options: zone.options.map((option) => again(option, areas.get(zone.zoneId)!)),
    })),
    kitSets: problem.kitSets.map((result) => (result.ok ? { ok: true, set: set(result.set) } : result)),
  };
}
