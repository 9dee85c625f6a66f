import { type TowelRole, type Van, towelRoles } from '@esmero/model';
import { type Migration, jobMigrations } from '@esmero/migrations';
import type { VanDocument } from './documents/day';
import { isPlain } from './nested';

/** A van out of its document: towels that are not named are none. */
export function vanFrom(van: VanDocument): Van {
  const clean = (role: TowelRole): number => van.towels.find((one) => one.role === role)?.clean ?? 0;
  return {
    ...van,
    towels: Object.fromEntries(towelRoles.map((role) => [role, clean(role)])) as Record<TowelRole, number>,
  };
}

export const vanDocument = (van: Van): VanDocument => ({
  ...van,
  towels: towelRoles.map((role) => ({ role, clean: van.towels[role] })),
});

/** Files that hold whole jobs in a list are of the version of those: each step takes every job in it one version on. */
export const stepsForJobsIn = (list: string): readonly Migration[] =>
  jobMigrations.map(
    (step): Migration =>
      (content) =>
        isPlain(content) && Array.isArray(content[list])
          ? {
              ...content,
              [list]: content[list].map((one: unknown) => (isPlain(one) ? { ...one, job: step(one['job']) } : one)),
            }
          : content,
  );
