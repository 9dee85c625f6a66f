import { mixPurposes } from '../model';
import type { Problem } from './choose';
import type { KitSet } from './kit-set';
import { type Laid, type Option, type Usage, towelsOf } from './option';
import type { Scene } from './scene';

/** Cost of the product in what is laid on a zone, minor units. */
export function productCost(laidMl: Laid, { a, recipes }: Scene): number {
  let minor = 0;
  for (const purpose of mixPurposes)
    minor += laidMl[purpose] * a.wasteFactor * (recipes[purpose]?.minorPerMl ?? 0);
  return minor;
}

/** J of section 5 of the model: marring by area, time, water, product cost and towels, weighted. */
export function weigh(area: number, index: number, usage: Usage, minor: number, { a, totalAreaM2 }: Scene): number {
  return (a.weightMarring * area * index) / totalAreaM2 + weighUsage(usage, minor, a);
}

/** The part of J that has nothing to do with marring; a station has no other. */
export const weighUsage = (usage: Usage, minor: number, a: Scene['a']): number =>
  a.weightMinute * usage.minutes +
  a.weightLitre * usage.litres +
  (a.weightCost * minor) / 100 +
  a.weightTowel * towelsOf(usage);

/** The same options and stations under the weights of another scene. */
export function reweighed(problem: Problem, scene: Scene): Problem {
  const areas = new Map(scene.zones.map(({ zone }) => [zone.id, zone.areaM2]));
  const again = (option: Option, area: number): Option => ({
    ...option,
    cost: weigh(area, option.marring.index, option.usage, productCost(option.laidMl, scene), scene),
  });
  const set = (one: KitSet): KitSet => ({ ...one, cost: weighUsage(one.usage, one.minor, scene.a) });
  return {
    ...problem,
    zones: problem.zones.map((zone) => ({
      ...zone,
      options: zone.options.map((option) => again(option, areas.get(zone.zoneId)!)),
    })),
    kitSets: problem.kitSets.map((result) => (result.ok ? { ok: true, set: set(result.set) } : result)),
  };
}
