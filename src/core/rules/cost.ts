import { mixPurposes } from '../model';
import type { PlanningContext } from './context';
import { type Laid, type Usage, towelsOf } from './option';

/** Cost of the product in what is laid on a zone, minor units. */
export function productCost(laidMl: Laid, { a, recipes }: PlanningContext): number {
  let minor = 0;
  for (const content of [...mixPurposes, 'water' as const])
    minor += laidMl[content] * a.wasteFactor * (recipes[content]?.minorPerMl ?? 0);
  return minor;
}

/** J of section 5 of the model: marring by area, time, water, product cost and towels, weighted. */
export function weightedCost(
  area: number,
  index: number,
  usage: Usage,
  minor: number,
  { a, totalAreaM2, job }: PlanningContext,
): number {
  const weight = a.weightMarring * (job.choices.approach === 'permissive' ? a.marringPermissive : 1);
  return (weight * area * index) / totalAreaM2 + usageCost(usage, minor, a);
}

/** The part of J that has nothing to do with marring; a station has no other. */
export const usageCost = (usage: Usage, minor: number, a: PlanningContext['a']): number =>
  a.weightMinute * usage.minutes +
  a.weightLitre * usage.litres +
  (a.weightCost * minor) / 100 +
  a.weightTowel * towelsOf(usage);
