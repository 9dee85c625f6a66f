import type { Job, VehicleMethod } from '../model';
import { type Parted, bestPlan } from './best-plan';
import { methodOf, planningProblem } from './problem';
import { totalsOf } from './totals';

/** A plan in a few numbers. */
export interface Outcome {
  readonly method: VehicleMethod;
  readonly minutes: number;
  /** Of the minutes, waiting for a dwell. */
  readonly waiting: number;
  readonly litres: number;
  readonly towels: number;
  readonly index: number;
}

const nothing: Outcome = { method: 'decline', minutes: 0, waiting: 0, litres: 0, towels: 0, index: 0 };

/** What comes of a job when it is planned as well as can be, and how. */
export function outcomeOf(job: Job): Outcome & { readonly fitted: Parted } {
  const all = planningProblem(job);
  const fitted = bestPlan(all, job);
  if (!fitted.ok) return { ...nothing, fitted };
  const { choice, timeline } = fitted.realised;
  const { minutes, litres, towels, index } = totalsOf(fitted.realised, all.context);
  return {
    fitted,
    method: methodOf([...choice.picks.values()]),
    minutes: minutes.value,
    waiting: timeline.waitingS / 60,
    litres: litres.value,
    towels: towels.value,
    index: index.value,
  };
}
