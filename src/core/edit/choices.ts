import type { AssumptionKey } from '../assumptions';
import type { Choices, Job, TreatmentId, ZoneId } from '../model';

export const setChoices = (job: Job, choices: Partial<Choices>): Job => ({
  ...job,
  choices: { ...job.choices, ...choices },
});

const without = <K extends string, V>(record: Readonly<Partial<Record<K, V>>>, keys: readonly K[]) =>
  Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key as K)));

/** Fixes the treatment of zones by hand; null hands them back to the plan. */
export function fixTreatment(job: Job, ids: readonly ZoneId[], treatment: TreatmentId | null): Job {
  const free = without(job.choices.fixed, ids);
  const fixed = treatment === null ? [] : ids.map((id) => [id, treatment]);
  return setChoices(job, { fixed: { ...free, ...Object.fromEntries(fixed) } });
}

/** Sets a figure of one's own for this job; null goes back to the default. */
export function setAssumption(job: Job, key: AssumptionKey, value: number | null): Job {
  const rest = without(job.choices.assumptions, [key]);
  return setChoices(job, { assumptions: value === null ? rest : { ...rest, [key]: value } });
}
