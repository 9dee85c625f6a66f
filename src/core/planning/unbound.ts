import { type Budget, budgets } from '../reasons';
import { chooseByPaint } from './choose';
import type { Plan } from './plan';
import type { PlanningProblem } from './problem';

const boundless = Object.fromEntries(budgets.map((budget) => [budget, Number.MAX_VALUE])) as Record<Budget, number>;

/** No budget stands in the way of a plan: with more of any the same is done. */
export function isUnbound({ prepared }: PlanningProblem, { zones }: Plan): boolean {
  const free = chooseByPaint(prepared, boundless);
  return (
    free.ok &&
    zones.every(({ zone, option }) => {
      const pick = free.choice.picks.get(zone.id);
      return pick?.treatment === option?.treatment && pick?.rinse === option?.rinse;
    })
  );
}
