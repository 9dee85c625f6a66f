import { describe, expect, it } from 'vitest';
import { bucketSpread, compareBuckets, finish, planJob } from '@esmero/core';
import { grams } from '@esmero/messages';
import { BucketsComponent } from './buckets.component';
import { showWithTwoBuckets } from '../../testing/two-buckets';

describe('the buckets', () => {
  it('show each dip as the core has it, and light its zone', async () => {
    const { element, press, job, view } = await showWithTwoBuckets(BucketsComponent);
    const own = compareBuckets(job, planJob(job)).find(({ system, guards }) => system === 'two-buckets' && guards)!;
    expect(element.querySelectorAll('esm-bucket-section .wall')).toHaveLength(2);
    await press('One on');
    expect(element.querySelector('.said')!.textContent).toContain(`Dip 2 of ${own.run.dips.length}`);
    expect(element.querySelector('.said')!.textContent).toContain(grams(own.run.dips[1]!.carriedG));
    expect([...view.lit()]).toEqual([own.run.dips[1]!.zoneId]);
    await press('One back');
    expect(element.querySelector('.said')!.textContent).toContain('Dip 1 of');
  });

  it('say how sure that is when asked', async () => {
    const { element, press, settle, job } = await showWithTwoBuckets(BucketsComponent);
    await press('How sure');
    await settle();
    const spread = finish(bucketSpread(job, planJob(job)));
    const lines = [...element.querySelectorAll('li')].map((li) => li.textContent!.trim());
    expect(lines).toHaveLength(spread.length);
    spread.forEach(({ carriedG: { median } }, i) => expect(lines[i]).toContain(median > 0 ? grams(median) : 'nothing'));
  });
});
