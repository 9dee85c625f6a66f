import { describe, expect, it } from 'vitest';
import { addPicture, finish, nextVisitOf, putPunch, setChoices, startRun, tasksOf, ticksOf } from '@esmero/core';
import { dayText } from '@esmero/messages';
import { dayAfter } from '@esmero/units';
import { HandoverStage } from './handover.stage';
import { NOW } from '../../state/clock';
import { show } from '../../testing/show';

describe('the handover', () => {
  it('says what was done, what was there before, and when to come back', async () => {
    const { element, job, settle } = await show(HandoverStage);
    await settle();
    const text = element.textContent!;
    const before = job.job()!;
    for (const { note } of before.marks) expect(text).toContain(note);
    const visit = finish(nextVisitOf(before));
    expect(text).toContain(dayText(dayAfter(before.date, visit.suggested!.days)));
    expect(element.querySelectorAll('esm-lasts-chart rect.sure').length).toBe(2 * 7);
  });

  it('says before and after what this wash does not do', async () => {
    const { element, settle, job } = await show(HandoverStage);
    job.edit('glass and body', (one) => ({ ...one, scope: ['body', 'trim', 'glass'] }));
    await settle();
    expect(element.textContent).toContain(
      'Not asked for, so left as it is: wheels and tyres, door shuts and boot sill.',
    );
    expect(element.textContent).toContain('Marks in the paint stay as they are: scratch and swirls.');
    expect(element.textContent).toMatch(/Gaps and edges are wiped over, not rinsed.*Grille/);
  });

  it('claims no more than what was ticked off in a run that was broken off', async () => {
    const { element, settle, job } = await show(HandoverStage);
    expect(element.textContent).toContain('What is to be done');
    const plan = job.plan()!;
    const first = tasksOf(plan)[0]!.parts[0]!.zoneId;
    const ticks = tasksOf(plan)
      .filter(({ parts }) => parts.some(({ zoneId }) => zoneId === first))
      .flatMap((task) => ticksOf(plan, task, 1));
    const events = ticks.map((tick, i) => ({ ...tick, seq: i + 1 }));
    const zones = new Set(ticks.map(({ zone }) => zone));
    const whole = plan.zones.filter(
      ({ zone, option }) =>
        zones.has(zone.id) &&
        ticks.filter((tick) => tick.kind === 'wipe' && tick.zone === zone.id).length === option!.sections,
    ).length;
    job.edit('run', (one) => ({ ...one, run: { startedAt: 1, endedAt: 2, events, counts: [], punch: [] } }));
    await settle();
    expect(element.textContent).toContain('What was done');
    expect(element.textContent).toContain(`Left as it was: ${plan.zones.length - whole} panels`);
  });

  it('follows how the car is used, without touching the job', async () => {
    const { element, job, settle } = await show(HandoverStage);
    const before = job.job()!;
    const km = [...element.querySelectorAll('input')].find((field) =>
      field.value.startsWith(`${before.since[0]!.km} km`),
    )!;
    km.value = '2000';
    km.dispatchEvent(new Event('blur'));
    await settle();
    await settle();
    const visit = finish(nextVisitOf(before, { ...before.since[0]!, km: 2000 }));
    expect(element.textContent).toContain(
      visit.suggested ? dayText(dayAfter(before.date, visit.suggested.days)) : 'will want a flush',
    );
    expect(job.job()).toBe(before);
  });

  it('has nothing to hand over where there is no plan', async () => {
    const { element, settle } = await show(HandoverStage, [], (one) => ({ ...one, site: { ...one.site, minutes: 1 } }));
    await settle();
    expect(element.textContent).toContain('nothing to hand over');
  });

  it('is signed with a name, and signed again', async () => {
    const { element, settle, job, press } = await show(HandoverStage, [{ provide: NOW, useValue: () => 5000 }]);
    const name = element.querySelector<HTMLInputElement>('esm-signature-pad input')!;
    name.value = ' A. Ferry ';
    element.querySelector('esm-signature-pad form')!.dispatchEvent(new Event('submit'));
    await settle();
    const { signed } = job.job()!;
    expect(signed).toMatchObject({ by: 'A. Ferry', at: 5000 });
    // There is nothing to draw on here: the name alone signs.
    expect(signed!.path).toBe('M0 0');
    expect(element.querySelector('esm-signature-pad svg[role=img]')!.getAttribute('aria-label')).toBe(
      'Signed by A. Ferry',
    );
    await press('Sign again');
    expect(job.job()!.signed).toBeNull();
  });

  it('names what is still to be done, and until when products say that they protect', async () => {
    const { element, settle, job } = await show(HandoverStage);
    job.edit('later', (one) =>
      putPunch(startRun(setChoices(one, { method: 'waterless' }), 1), {
        id: 'a',
        text: 'Dress the tyres',
        zone: null,
        done: false,
      }),
    );
    await settle();
    expect(element.textContent).toContain('Still to be done');
    expect(element.textContent).toContain('Dress the tyres');
    expect(element.textContent).toContain('Waterless concentrate, amber cap, as waterless mix: 30 days');
  });

  it('lays pictures of before and after side by side, and says where one cannot be read or is not here', async () => {
    const { element, settle, job } = await show(HandoverStage);
    job.edit('pictures', (one) =>
      addPicture(one, { id: 'x', when: 'before', zone: 'bonnet', note: '', photo: 'gone' }),
    );
    await settle();
    expect(element.querySelector('esm-picture-pairs')!.textContent).toContain('kept on another machine');
    const field = element.querySelectorAll<HTMLInputElement>('esm-picture-pairs input')[1]!;
    Object.defineProperty(field, 'files', { value: [new File(['no picture'], 'a.txt')] });
    field.dispatchEvent(new Event('change'));
    await settle();
    expect(element.textContent).toContain('holds no picture that the browser can read');
    const off = [...element.querySelectorAll('esm-picture-pairs button')][0] as HTMLButtonElement;
    off.click();
    await settle();
    expect(job.job()!.pictures).toEqual([]);
  });
});
