import { type Job, type VehicleMethod, type ZoneId, towelRoles } from '../model';
import { type Capacity, type Problem, chooseByPaint, prepare } from './choose';
import type { PlanningContext } from '../rules';
import { type Fitted, carrying, fit, searchedFit } from './fit';
import { type LeftBecause, type LeftOut, isTooMuch, leavingOut } from './parts';
import { type PlanningProblem, capacityOf, methodOf } from './problem';
import { waitingOf } from './waiting';

/** A plan with what it leaves out of the car, or why there is none; then also, where that was looked for, the parts that would have to wait for the rest to be done. */
export type Parted =
  | (Fitted & { readonly ok: true; readonly left: LeftOut })
  | (Fitted & { readonly ok: false; readonly waits?: readonly ZoneId[] });

/** What becomes of a problem with its parts left out, within the budgets of a job. */
export function fitted(all: PlanningProblem, job: Job, carried = carrying(contextFor(all, job))): Parted {
  const { context, prepared, left } = all;
  const found = fit(prepared, capacityOf(job, context.begun), contextFor(all, job), false, carried);
  return found.ok ? { ...found, left } : found;
}

/** Budgets of that job, choices of the one that was weighed. */
const contextFor = ({ context }: PlanningProblem, job: Job): PlanningContext => ({
  ...context,
  job: { ...job, choices: context.job.choices },
});

/**
 * The best plan with every freedom for a job that differs from the one that was weighed in its
 * budgets at most. Where none is found, a closer look is taken; and then the parts are left out that the budgets do not
 * reach.
 */
export function bestPlan(all: PlanningProblem, job: Job): Parted {
  const carried = carrying(contextFor(all, job));
  const free = fitted(all, job, carried);
  if (free.ok || free.shortages.length === 0) return free;
  const { context, prepared, left } = all;
  const searched = searchedFit(prepared, capacityOf(job, context.begun), carried, free);
  return searched.ok ? { ...searched, left } : withinBudgets(all, job, free);
}

/** The plan with the treatments of the one before it, wherever they may still be; undefined where that does not do all that may be done. */
export function asPlanned(all: PlanningProblem, job: Job): Parted | undefined {
  const { planned } = all.context.begun;
  const open = new Set(
    all.problem.zones.flatMap(({ zoneId, options }) =>
      options.some(({ treatment }) => treatment === planned.get(zoneId)) ? [zoneId] : [],
    ),
  );
  if (open.size === 0) return undefined;
  const { allows } = all.problem;
  const problem: Problem = {
    ...all.problem,
    allows: (treatment, zone) => (open.has(zone) ? treatment === planned.get(zone) : allows(treatment, zone)),
  };
  const found = fitted({ ...all, problem, prepared: prepare(problem) }, job);
  return found.ok ? found : undefined;
}

/** Fractions of towels, drops and seconds may come to so much more when they are carried out (judged, generously). */
const CARRIED_OUT = { times: 2, minutes: 20, litres: 10, towels: 6 } as const;

/** There is so much of everything that what the choice counts in fractions fits when it is carried out. */
function isPlenty(usage: Capacity, have: Capacity): boolean {
  const { times, minutes, litres, towels } = CARRIED_OUT;
  const room: Capacity = {
    ...have,
    minutes: have.minutes - minutes,
    litres: have.litres - litres,
    ...Object.fromEntries(towelRoles.map((role) => [role, have[role] - (usage[role] > 0 ? towels : 0)])),
  };
  return (Object.keys(have) as (keyof Capacity)[]).every(
    (budget) => usage[budget] * times <= room[budget] || usage[budget] === 0,
  );
}

/** What comes out: the method, and how many parts are left out. */
export interface Answer {
  readonly method: VehicleMethod;
  readonly left: number;
}

/** What the best plan comes to, carried out only where budgets are near. */
export function answerWithin(all: PlanningProblem, job: Job): Answer {
  const capacity = capacityOf(job, all.context.begun);
  const first = chooseByPaint(all.prepared, capacity);
  if (first.ok && isPlenty(first.choice.usage, capacity))
    return { method: methodOf([...first.choice.picks.values()]), left: all.left.size };
  const best = bestPlan(all, job);
  return best.ok
    ? { method: methodOf([...best.realised.choice.picks.values()]), left: best.left.size }
    : { method: 'decline', left: 0 };
}

/** The plan of what the budgets reach, the rest left out; the refusal where that is too much of the car. */
export function withinBudgets(all: PlanningProblem, job: Job, refused: Parted & { readonly ok: false }): Parted {
  const [shortage] = refused.shortages;
  if (!shortage || all.context.job.choices.parts === 'all') return refused;
  const waits = waitingOf(all, job, refused.shortages);
  const left: LeftOut = new Map([
    ...all.left,
    ...waits.map((id): [ZoneId, LeftBecause] => [id, { kind: 'budget', shortage }]),
  ]);
  if (waits.length === 0 || isTooMuch(left, all.context)) return { ...refused, waits };
  const problem = { ...all.problem, fixed: leavingOut(all.problem.fixed, left) };
  return fitted({ ...all, problem, prepared: prepare(problem), left }, job);
}
