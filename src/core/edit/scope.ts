import {
  type Care,
  type Job,
  type Package,
  type ScopePart,
  type ToMind,
  scopeParts,
  surroundingsToMind,
} from '../model';

/** With a part more or less; the last one stays. What was sold under a name is that no longer. */
export function toggleScope(job: Job, part: ScopePart): Job {
  const wanted = scopeParts.filter((one) => job.scope.includes(one) !== (one === part));
  return wanted.length > 0 ? { ...job, scope: wanted, soldAs: null } : job;
}

/** The job as it is sold under that name. */
export const sellAs = (job: Job, { id, name, scope, care, priceMinor }: Package): Job => ({
  ...job,
  scope: scopeParts.filter((part) => scope.includes(part)),
  care,
  soldAs: { id, name, priceMinor },
});

/** Something to mind more or less. */
export const toggleAround = (job: Job, one: ToMind): Job => ({
  ...job,
  around: surroundingsToMind.filter((each) => job.around.includes(each) !== (each === one)),
});

/** Other care; what was sold under a name is that no longer. */
export const careFor = (job: Job, care: Partial<Care>): Job => ({
  ...job,
  care: { ...job.care, ...care },
  soldAs: null,
});
