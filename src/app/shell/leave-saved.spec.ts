import { TestBed } from '@angular/core/testing';
import { type Observable, firstValueFrom } from 'rxjs';
import { ConfirmationService } from 'primeng/api';
import { describe, expect, it, vi } from 'vitest';
import { type Saved, memoryStore } from '@esmero/store';
import { deskWith } from '../testing/desk';
import { JobDesk } from '../state/job-desk';
import { leaveSaved } from './leave-saved';

const leaving = (): Promise<boolean> =>
  firstValueFrom(
    TestBed.runInInjectionContext(() =>
      leaveSaved(null, null as never, null as never, null as never),
    ) as Observable<boolean>,
  );

async function desk(outcome?: Saved) {
  const inner = await memoryStore('for-good');
  let refuse = false;
  const ready = await deskWith({
    ...inner,
    saveJob: async (job, base) => (refuse && outcome ? outcome : inner.saveJob(job, base)),
  });
  refuse = true;
  const confirm = vi.spyOn(TestBed.inject(ConfirmationService), 'confirm');
  TestBed.inject(JobDesk).edit('Renamed', (job) => ({ ...job, name: 'Renamed' }));
  return { ...ready, confirm };
}

describe('leaving a job', () => {
  it('waits for it to be saved, and asks nobody', async () => {
    const { confirm } = await desk();
    expect(await leaving()).toBe(true);
    expect(TestBed.inject(JobDesk).saving().kind).toBe('clean');
    expect(confirm).not.toHaveBeenCalled();
  });

  it.each([true, false])('asks where it could not be saved, and goes by the answer: %s', async (leave) => {
    const { confirm, settle } = await desk({ kind: 'full' });
    await settle();
    confirm.mockImplementation((question) => {
      expect(question.message).toContain('storage is full');
      expect(question.message).toContain('a draft stays');
      if (leave) question.accept!();
      else question.reject!();
      return TestBed.inject(ConfirmationService);
    });
    expect(await leaving()).toBe(leave);
  });
});
