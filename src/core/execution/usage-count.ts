import {
  type Job,
  type Pace,
  type RunUse,
  type TowelRole,
  type VehicleMethod,
  isBottled,
  mixPurposes,
  towelRoles,
} from '../model';
import type { Spent, StartState } from '../rules';
import { seenBesideForecast } from '../soil';
import { stretchNow } from './plan-run';
import { remainingOf } from './remaining';
import { runStatusOf } from './status';
import { visitPaces } from './visit';

/** What was left in the vessels and mixed besides what the plan has, mL by mix, and how many towels were opened. */
export interface Counted {
  readonly leftMl: Readonly<Partial<Record<string, number>>>;
  readonly moreMl?: Readonly<Partial<Record<string, number>>>;
  readonly opened: Readonly<Partial<Record<TowelRole, number>>>;
}

/** What a run took by its plans: for what was ticked off, whatever came in between. */
export interface UsageAccount {
  readonly spent: Spent;
  readonly vessels: StartState['vessels'];
  /** What should be left, and opened, had it all gone as planned. */
  readonly expected: Counted;
  readonly doneShare: number;
  readonly method: VehicleMethod;
  readonly soil: RunUse['soil'];
  /** Of the time before and after the work. */
  readonly visit: readonly Pace[];
}

/** What a run should have used by its plans; null for a job that has none. */
export function usageAccount(job: Job): UsageAccount | null {
  const { run } = job;
  if (!run) return null;
  const now = stretchNow(job);
  const { spent, vessels } = remainingOf(now.job, now.plan, run, null).begun;
  const left = Object.entries(spent.madeMl).map(([content, ml]) => [
    content,
    Math.round(ml - (spent.laidMl[content as keyof Spent['laidMl']] ?? 0)),
  ]);
  const standing = runStatusOf(now.plan, run);
  const { done, all } = standing;
  const visit = visitPaces(now.plan, job, standing);
  return {
    spent,
    vessels,
    expected: { leftMl: Object.fromEntries(left), opened: spent.opened },
    doneShare: all > 0 ? done / all : 1,
    method: now.plan.method,
    soil: seenBesideForecast(job),
    visit,
  };
}

/** What a run took, from what was counted after it; more left than was made counts as nothing used. */
export function useOf(
  { spent, expected, doneShare, method, soil, visit }: UsageAccount,
  { leftMl, moreMl = {}, opened }: Counted,
  at: number,
  because = '',
): RunUse {
  const mixes = mixPurposes.flatMap((purpose): RunUse['mixes'][number][] => {
    const [madeMl, plannedMl] = isBottled(purpose) ? [0, 0] : [spent.madeMl[purpose] ?? 0, spent.laidMl[purpose] ?? 0];
    const left = leftMl[purpose] ?? expected.leftMl[purpose] ?? 0;
    return madeMl > 0 ? [{ purpose, plannedMl, usedMl: Math.max(0, madeMl + (moreMl[purpose] ?? 0) - left) }] : [];
  });
  const towels = towelRoles.flatMap((role): RunUse['towels'][number][] => {
    const [planned, count] = [spent.opened[role] ?? 0, opened[role] ?? spent.opened[role] ?? 0];
    return planned > 0 || count > 0 ? [{ role, planned, opened: count }] : [];
  });
  return {
    at,
    because,
    method,
    doneShare,
    plannedMin: spent.plannedS / 60,
    handMin: spent.handS / 60,
    waterL: spent.litres,
    runoffL: spent.runoffMl / 1000,
    paces: [...spent.paces, ...visit],
    soil,
    mixes,
    towels,
  };
}
