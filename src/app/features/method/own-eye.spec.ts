import { TestBed } from '@angular/core/testing';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions } from '@esmero/core';
import type { PracticeSession } from '@esmero/model';
import { EyeDesk } from '../../state/eye-desk';
import { show } from '../../testing/show';
import { OwnEyeComponent } from './own-eye.component';

/** Somebody who gives half of what is there, every time. */
const session: PracticeSession = {
  id: 'practice-1',
  name: 'Ada',
  drill: 'panels',
  tries: Array.from({ length: 40 }, (_unused, i) => ({
    card: 'dust/2',
    truth: 4 * (1 + (i % 3)),
    answer: 2 * (1 + (i % 3)),
    isRight: false,
    at: i,
  })),
};

describe('one’s own eye', () => {
  it('is offered to a plan, used when asked, and ignored again', async () => {
    const { element, press, settle, job } = await show(OwnEyeComponent);
    const eye = TestBed.inject(EyeDesk);
    eye.pick('Ada');
    await settle();
    expect(element.textContent?.trim()).toBe('');
    eye.keep(session);
    await settle();
    expect(element.textContent).toContain('your eye reads low');
    expect(job.job()!.choices.assumptions.eyeFactor).toBeUndefined();
    await press('Plan with my eye');
    const { eyeFactor, spreadSeen } = job.job()!.choices.assumptions;
    expect(eyeFactor).toBeGreaterThan(1.4);
    expect(spreadSeen).toBeLessThan(defaultAssumptions.spreadSeen);
    expect(element.textContent).toContain('corrected for how you judge soil');
    await press('Ignore my eye');
    expect(job.job()!.choices.assumptions.eyeFactor).toBeUndefined();
  });
});
