import { type Job, type TowelRole, type VehicleMethod, type Working, partsOf } from '../model';
import { type Option, type PlanningContext, type StartState, contextOf, freshStart, kitSets, openTowels, zoneOptions } from '../rules';
import { type Prepared, type Problem, prepare } from './choose';
import type { Capacity } from './choose';
import { type Fitted, fit } from './fit';

/** A job with every treatment on every zone worked out, ready to be chosen from. */
export interface PlanningProblem {
  readonly context: PlanningContext;
  readonly problem: Problem;
  readonly prepared: Prepared;
}

export function planningProblem(job: Job, begun: StartState = freshStart): PlanningProblem {
  const context = contextOf(job, begun);
  const problem: Problem = {
    zones: zoneOptions(context),
    kitSets: kitSets(context),
    fixed: context.job.choices.fixed,
    allows: () => true,
  };
  return { context, problem, prepared: prepare(problem) };
}

const clean = (job: Job, role: TowelRole): number =>
  job.towels.filter((b) => b.role === role).reduce((sum, b) => sum + b.clean, 0);

/** What the batteries of the cordless wands hold together; a wand on mains runs for ever. */
const batteryOf = ({ gear }: Job): number =>
  gear
    .filter(({ kind }) => kind === 'cordless-wand')
    .reduce((sum, { batteryMin }) => sum + (batteryMin ?? Number.MAX_VALUE), 0);

/** What the site and the van allow, and open towels. A forbidden runoff is a gate and needs no budget. */
export const capacityOf = (job: Job, begun: StartState = freshStart): Capacity => ({
  litres: job.site.tap ? Number.MAX_VALUE : job.site.waterL,
  runoffL: job.site.runoff === 'captured' ? job.site.captureL : Number.MAX_VALUE,
  minutes: job.site.minutes,
  batteryMin: batteryOf(job),
  wash: clean(job, 'wash') + openTowels(begun, 'wash'),
  finish: clean(job, 'finish') + openTowels(begun, 'finish'),
  drying: clean(job, 'drying') + openTowels(begun, 'drying'),
  glass: clean(job, 'glass') + openTowels(begun, 'glass'),
  wheels: clean(job, 'wheels') + openTowels(begun, 'wheels'),
});

/** Treatments that each of the two pure methods is made of. */
export const isPure = {
  waterless: (treatment: Working): boolean => treatment === 'none/waterless' || treatment === 'none/foam',
  rinseless: (treatment: Working): boolean => {
    const { flush, contact } = partsOf(treatment);
    return flush === 'none' && (contact === 'rinseless' || contact === 'presoak-rinseless');
  },
} as const;

/** A vehicle's method follows from its zones. */
export function methodOf(options: readonly Option[]): VehicleMethod {
  if (options.length === 0) return 'decline';
  if (options.every(({ treatment }) => isPure.waterless(treatment))) return 'waterless';
  return options.every(({ treatment }) => isPure.rinseless(treatment)) ? 'rinseless' : 'hybrid';
}

/**
 * The best plan with every freedom for a job that differs from the one that was weighed in its
 * budgets at most. Tightening budgets is no exact search: where it gives up, the pure methods, which
 * are part of that freedom, are tried on their own.
 */
export function bestPlan({ context, problem, prepared }: PlanningProblem, job: Job): Fitted {
  const now: PlanningContext = { ...context, job: { ...job, choices: context.job.choices } };
  const free = fit(prepared, capacityOf(job, context.begun), now);
  if (free.ok || free.shortages.length === 0) return free;
  const pure = [isPure.waterless, isPure.rinseless]
    .map((allows) => fit(prepare({ ...problem, allows }), capacityOf(job, context.begun), now))
    .flatMap((fitted) => (fitted.ok ? [fitted] : []))
    .sort((p, q) => p.realised.choice.cost - q.realised.choice.cost);
  return pure[0] ?? free;
}
