import { describe, expect, it } from 'vitest';
import { dayAfter, finish, nextVisitOf, tasksOf } from '@esmero/core';
import { HandoverStage } from '../features/handover/handover.stage';
import { show } from '../testing/show';

describe('the handover', () => {
  it('says what was done, what was there before, and when to come back', async () => {
    const { element, job, settle } = await show(HandoverStage);
    await settle();
    const text = element.textContent!;
    const before = job.job()!;
    for (const { note } of before.marks) expect(text).toContain(note);
    const visit = finish(nextVisitOf(before));
    expect(text).toContain(dayAfter(before.date, visit.suggested!.days));
    expect(element.querySelectorAll('esm-lasts-chart rect.sure').length).toBe(2 * 7);
  });

  it('claims no more than what was ticked off in a run that was broken off', async () => {
    const { element, settle, job } = await show(HandoverStage);
    expect(element.textContent).toContain('What is to be done');
    const first = tasksOf(job.plan()!)[0]!.zoneId;
    const events = tasksOf(job.plan()!)
      .filter(({ zoneId }) => zoneId === first)
      .map(({ act, zoneId, section, of }) => ({ kind: act, zone: zoneId, section, of, at: 1 }));
    job.edit('run', (one) => ({ ...one, run: { startedAt: 1, endedAt: 2, events, counts: [], punch: [] } }));
    await settle();
    expect(element.textContent).toContain('What was done');
    expect(element.textContent).toContain(`Left as it was: ${job.plan()!.zones.length - 1} parts`);
  });

  it('follows how the car is used, without touching the job', async () => {
    const { element, job, settle } = await show(HandoverStage);
    const before = job.job()!;
    const km = [...element.querySelectorAll('input')].find((field) => field.value === String(before.since[0]!.km))!;
    km.value = '2000';
    km.dispatchEvent(new Event('change'));
    await settle();
    await settle();
    const visit = finish(nextVisitOf(before, { ...before.since[0]!, km: 2000 }));
    expect(element.textContent).toContain(visit.suggested ? dayAfter(before.date, visit.suggested.days) : 'will want a flush');
    expect(job.job()).toBe(before);
  });

  it('has nothing to hand over where there is no plan', async () => {
    const { element, settle } = await show(HandoverStage, [], (one) => ({ ...one, site: { ...one.site, minutes: 1 } }));
    await settle();
    expect(element.textContent).toContain('nothing to hand over');
  });
});
