import { describe, expect, it } from 'vitest';
import type { Job } from '@esmero/model';
import { show } from '../../testing/show';
import { RefusalComponent } from './refusal.component';

describe('a refusal', () => {
  it('has a note for the client, and goes ahead on a word that is recorded', async () => {
    const { press, element, job, settle } = await show(RefusalComponent);
    expect(element.textContent?.trim()).toBe('');
    const towels = (one: Job) => one.towels.map((batch) => ({ ...batch, clean: 30 }));
    // All of it or none.
    job.edit('grit', (one) => ({
      ...one,
      choices: { ...one.choices, parts: 'all' },
      towels: towels(one),
      soil: { ...one.soil, roof: { deposits: [{ kind: 'grit', level: 4 }], spots: {} } },
    }));
    await settle();
    expect(job.plan()!.method).toBe('decline');
    expect(element.textContent).toContain('full rinse wash');
    await press('Decline it');
    expect(job.job()!.refused!.why).toContain('full rinse wash');
    expect(element.textContent).toContain('is in the log');
    await press('Take that back');
    expect(job.job()!.refused).toBeNull();
    await press('Client insists');
    await press('Go ahead');
    expect(element.querySelector('.fault')?.textContent).toContain('Who agrees');
    element.querySelector<HTMLInputElement>('#consent-by')!.value = 'The owner';
    await press('Go ahead');
    expect(job.job()!.consent).toMatchObject({ by: 'The owner', on: job.job()!.date });
    expect(job.plan()!.method).not.toBe('decline');
    await press('Take that back');
    expect(job.job()!.consent).toBeNull();
  });
});
