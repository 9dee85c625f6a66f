import { type Job, type Package, type ScopePart, scopeParts } from '../model';

/** With a part more or less; the last one stays. What was sold under a name is that no longer. */
export function toggleScope(job: Job, part: ScopePart): Job {
  const wanted = scopeParts.filter((one) => job.scope.includes(one) !== (one === part));
  return wanted.length > 0 ? { ...job, scope: wanted, soldAs: null } : job;
}

/** The job as it is sold under that name. */
export const sellAs = (job: Job, { id, name, scope, priceMinor }: Package): Job => ({ ...job, scope: scopeParts.filter((part) => scope.includes(part)), soldAs: { id, name, priceMinor } });
