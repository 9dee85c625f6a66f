import type { Job, TowelBatch, TowelRole } from '../model';

/** Towels that have been on wheels stay with the wheels. */
export const mayBecome = (from: TowelRole, to: TowelRole): boolean => from !== to && from !== 'wheels';

const make = ({ widthM, heightM, gsm, pile, sides, name }: TowelBatch): string =>
  [widthM, heightM, gsm, pile, sides, name].join('/');

const freeId = (wish: string, towels: readonly TowelBatch[]): string =>
  towels.some(({ id }) => id === wish) ? freeId(`${wish}-again`, towels) : wish;

/**
 * One clean towel of a batch set aside for another role: it joins towels of its make that have that
 * role already. The job itself where the batch has none left, or its towels may not become that.
 */
export function setAside(job: Job, batchId: string, role: TowelRole): Job {
  const batch = job.towels.find(({ id }) => id === batchId);
  if (!batch || batch.clean < 1 || !mayBecome(batch.role, role)) return job;
  const taken = job.towels.map((one) => (one === batch ? { ...one, clean: one.clean - 1 } : one));
  const home = job.towels.find((one) => one.role === role && make(one) === make(batch));
  if (home)
    return { ...job, towels: taken.map((one) => (one.id === home.id ? { ...one, clean: one.clean + 1 } : one)) };
  return { ...job, towels: [...taken, { ...batch, id: freeId(`${batch.id}-${role}`, job.towels), role, clean: 1 }] };
}
