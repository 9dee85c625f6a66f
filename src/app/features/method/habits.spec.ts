import { habitKeys } from '@esmero/model';
import { describe, expect, it } from 'vitest';
import { show } from '../../testing/show';
import { HabitsComponent } from './habits.component';

describe('habits', () => {
  it('are taken over as a set, and made a wish of the client', async () => {
    const { press, element, job } = await show(HabitsComponent);
    await press('Gentle');
    expect(job.job()!.choices).toMatchObject({ approach: 'cautious', wiping: 'rolled' });
    expect(element.querySelectorAll('tbody tr')).toHaveLength(habitKeys.length);
    await press('House habit');
    expect(job.job()!.wishes).toEqual({ approach: 'cautious' });
    await press('Wished');
    expect(job.job()!.wishes).toEqual({});
  });
});
