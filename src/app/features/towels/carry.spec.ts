import { describe, expect, it } from 'vitest';
import type { Type } from '@angular/core';
import { packingListOf, finish, planJob, setChoices } from '@esmero/core';
import type { Job } from '@esmero/model';
import { CarryComponent } from './carry.component';
import { show } from '../../testing/show';

/** Plenty of everything, washed from two buckets. */
const bucketed = (one: Job): Job =>
  setChoices(
    { ...one, site: { ...one.site, waterL: 60, minutes: 300 }, towels: one.towels.map((towel) => ({ ...towel, clean: 20 })) },
    { method: 'rinseless', bucket: 'two-buckets' },
  );

const shown = async <T>(part: Type<T>) => {
  const all = await show(part, [], bucketed);
  return { ...all, desk: all.job, job: all.job.job()! };
};

describe('what to carry', () => {
  it('is laid beside the plan', async () => {
    const { element, press, settle, job } = await shown(CarryComponent);
    await press('How many');
    await settle();
    const answer = finish(packingListOf(job, planJob(job)));
    const rows = [...element.querySelectorAll('tbody tr')].map((row) => row.textContent!);
    expect(rows).toHaveLength(answer.towels.length + answer.mixes.length + 2);
    answer.towels.forEach(({ carry }, i) => expect(rows[i]).toContain(String(carry)));
    expect(element.querySelector('thead')!.textContent).toContain('90 %');
  });
});
