import { describe, expect, it } from 'vitest';
import { planJob } from '@esmero/core';
import { demoJobs } from '@esmero/demo';
import { LearnedComponent } from './learned.component';
import { keep, slowRuns } from '../../testing/runs';
import { show } from '../../testing/show';

describe('what was learned', () => {
  it('is offered to the plan, used when asked, and left out again', async () => {
    const { element, press, settle, job } = await show(LearnedComponent);
    const before = job.job()!;
    await keep(slowRuns);
    await settle();
    expect(element.textContent).toContain('Minutes: ');
    const minutes = (): number => planJob(job.job()!).totals.minutes.value;
    const planned = minutes();
    await press('Plan with');
    expect(minutes()).toBeGreaterThan(planned);
    expect(element.textContent).toContain('This plan uses your log');
    await press('Ignore my log');
    expect(job.job()).toEqual(before);
  });

  it('is not offered where nothing was counted', async () => {
    const { element, settle } = await show(LearnedComponent);
    await keep([demoJobs[1]!]);
    await settle();
    expect(element.textContent!.trim()).toBe('');
  });
});
