import { describe, expect, it } from 'vitest';
import { packingListOf, finish, planJob } from '@esmero/core';
import { CarryComponent } from './carry.component';
import { showWithTwoBuckets } from '../../testing/two-buckets';

describe('what to carry', () => {
  it('is laid beside the plan', async () => {
    const { element, press, settle, job } = await showWithTwoBuckets(CarryComponent);
    await press('How many');
    await settle();
    const answer = finish(packingListOf(job, planJob(job)));
    const rows = [...element.querySelectorAll('tbody tr')].map((row) => row.textContent!);
    expect(rows).toHaveLength(answer.towels.length + answer.mixes.length + 2);
    answer.towels.forEach(({ carry }, i) => expect(rows[i]).toContain(String(carry)));
    expect(element.querySelector('thead')!.textContent).toContain('90 %');
  });
});
