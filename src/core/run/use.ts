import type { Spent } from '../method/begun';
import { type Job, type Run, type RunUse, type TowelRole, mixPurposes, towelRoles } from '../model';
import { leftOf } from './left';
import { stretchNow } from './plan-run';
import { standingOf } from './standing';

/** What was left in the vessels, mL by mix, and how many towels were opened. */
export interface Counted {
  readonly leftMl: Readonly<Partial<Record<string, number>>>;
  readonly opened: Readonly<Partial<Record<TowelRole, number>>>;
}

/** What a run took by its plans: for what was ticked off, whatever came in between. */
function spentIn(job: Job, run: Run): { readonly spent: Spent; readonly leftMl: Counted['leftMl'] } {
  const now = stretchNow({ ...job, run });
  const { begun } = leftOf(now.job, now.plan, run, null);
  const left = Object.entries(begun.spent.madeMl).map(([content, ml]) => [content, Math.round(ml - (begun.spent.laidMl[content as keyof Spent['laidMl']] ?? 0))]);
  return { spent: begun.spent, leftMl: Object.fromEntries(left) };
}

/** What should be left, and opened, had it all gone as planned. */
export function expected(job: Job, run: Run): Counted {
  const { spent, leftMl } = spentIn(job, run);
  return { leftMl, opened: spent.opened };
}

/** What a run took, from what was counted after it; more left than was made counts as nothing used. */
export function useOf(job: Job, run: Run, { leftMl, opened }: Counted): RunUse {
  const { spent, leftMl: usual } = spentIn(job, run);
  const mixes = mixPurposes.flatMap((purpose): RunUse['mixes'][number][] => {
    const [madeMl, plannedMl] = purpose === 'solvent' ? [0, 0] : [spent.madeMl[purpose] ?? 0, spent.laidMl[purpose] ?? 0];
    return madeMl > 0 ? [{ purpose, plannedMl, usedMl: Math.max(0, madeMl - (leftMl[purpose] ?? usual[purpose] ?? 0)) }] : [];
  });
  const towels = towelRoles.flatMap((role): RunUse['towels'][number][] => {
    const [planned, count] = [spent.opened[role] ?? 0, opened[role] ?? spent.opened[role] ?? 0];
    return planned > 0 || count > 0 ? [{ role, planned, opened: count }] : [];
  });
  const { done, all } = standingOf(stretchNow({ ...job, run }).plan, run);
  return { doneShare: all > 0 ? done / all : 1, plannedMin: spent.plannedS / 60, mixes, towels };
}
