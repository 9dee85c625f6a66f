import type { Type } from '@angular/core';
import { setChoices } from '@esmero/core';
import type { Job } from '@esmero/model';
import { show } from './show';

/** Plenty of everything, washed from two buckets. */
const bucketed = (one: Job): Job =>
  setChoices(
    {
      ...one,
      site: { ...one.site, waterL: 60, minutes: 300 },
      towels: one.towels.map((towel) => ({ ...towel, clean: 20 })),
    },
    { method: 'rinseless', bucket: 'two-buckets' },
  );

/** A part of the application with such a job. */
export async function showWithTwoBuckets<T>(part: Type<T>) {
  const all = await show(part, [], bucketed);
  return { ...all, desk: all.job, job: all.job.job()! };
}
