import { type Run, type RunUse, type TowelRole, mixPurposes, towelRoles } from '../model';
import type { Mix } from '../mix';
import type { Plan } from '../plan/plan';
import { standingOf } from './standing';

/** What was left in the vessels, mL by mix, and how many towels were opened. */
export interface Counted {
  readonly leftMl: Readonly<Partial<Record<string, number>>>;
  readonly opened: Readonly<Partial<Record<TowelRole, number>>>;
}

const made = ({ fills }: Mix): number => fills.reduce((sum, { totalMl }) => sum + totalMl, 0);

/** What should be left, and opened, had it all gone as planned. */
export const expected = ({ mix, towels }: Plan): Counted => ({
  leftMl: Object.fromEntries(mix.mixes.map((one) => [one.content, Math.round(one.leftoverMl)])),
  opened: Object.fromEntries(towelRoles.map((role) => [role, towels.filter((towel) => towel.role === role).length])),
});

/** What a run took, from what was counted after it; more left than was made counts as nothing used. */
export function useOf(plan: Plan, run: Run, { leftMl, opened }: Counted): RunUse {
  const planned = expected(plan);
  const mixes = plan.mix.mixes.flatMap((mix): RunUse['mixes'][number][] => {
    const purpose = mixPurposes.find((one) => one === mix.content);
    if (!purpose) return [];
    return [{ purpose, plannedMl: mix.demandMl, usedMl: Math.max(0, made(mix) - (leftMl[purpose] ?? mix.leftoverMl)) }];
  });
  const towels = towelRoles.flatMap((role): RunUse['towels'][number][] => {
    const [of, count] = [planned.opened[role] ?? 0, opened[role] ?? planned.opened[role] ?? 0];
    return of > 0 || count > 0 ? [{ role, planned: of, opened: count }] : [];
  });
  const { done, all } = standingOf(plan, run);
  return { doneShare: all > 0 ? done / all : 1, plannedMin: plan.totals.minutes.value, mixes, towels };
}
