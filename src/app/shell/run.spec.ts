import { describe, expect, it } from 'vitest';
import { type Job, planJob, standingOf, tasksOf } from '@esmero/core';
import { taskText } from '@esmero/messages';
import { RunStage } from '../features/run/run.stage';
import { NOW } from '../state/clock';
import { show } from '../testing/show';

const START = 1_900_000_000_000;

/** A run on the first demo job by a clock that is set by hand. */
async function begun(change?: (job: Job) => Job) {
  let time = START;
  const all = await show(RunStage, [{ provide: NOW, useValue: () => time }], change);
  await all.press('Begin');
  const title = (): string => all.element.querySelector('.title')!.textContent!.trim();
  return { ...all, title, pass: (seconds: number): void => void (time += seconds * 1000) };
}

describe('the run', () => {
  it('asks for vessels, towels and cautions before it begins', async () => {
    const { element, job } = await show(RunStage);
    const plan = job.plan()!;
    const text = element.textContent!;
    for (const { vessel } of plan.mix.mixes) expect(text).toContain(vessel.name);
    expect(element.querySelectorAll('.warn')).toHaveLength(plan.cautions.length);
    expect(job.job()!.run).toBeNull();
  });

  it('goes through the plan task by task, keeps the times, and takes the last one back', async () => {
    const { element, press, pass, title, job, view } = await begun();
    const tasks = tasksOf(planJob(job.job()!));
    const [first, second] = tasks;
    expect(title()).toContain(taskText(first!).split(',')[0]);
    expect([...view.lit()]).toEqual([first!.zoneId]);
    pass(30);
    await press('Done');
    expect(job.job()!.run!.events).toEqual([{ kind: first!.act, zone: first!.zoneId, section: first!.section, of: first!.of, at: START + 30_000 }]);
    expect(title()).toContain(taskText(second!).split(',')[0]);
    expect(element.querySelector('h2')!.textContent).toContain(`1 of ${tasks.length}`);
    await press('Take back');
    expect(job.job()!.run!.events).toEqual([]);
  });

  it('ticks off by key, to a second look and an end that is kept', async () => {
    const { element, press, pass, settle, job } = await begun();
    const { length } = tasksOf(planJob(job.job()!));
    for (let i = 0; i < length; i++) {
      document.dispatchEvent(new KeyboardEvent('keydown', { key: '1' }));
      await settle();
    }
    expect(standingOf(planJob(job.job()!), job.job()!.run!).done).toBe(length);
    expect(element.textContent).toContain('Second look');
    pass(1800);
    await press('The run is over');
    expect(job.job()!.run!.endedAt).toBe(START + 1_800_000);
    expect(element.textContent).toContain('Over after 30:00');
    await press('Go on');
    expect(job.job()!.run!.endedAt).toBeNull();
  });

  it('gives each of two people a card of their own', async () => {
    const { element } = await begun((one) => ({ ...one, site: { ...one.site, workers: 2 } }));
    expect([...element.querySelectorAll('.who')].map((who) => who.textContent)).toEqual(['First person', 'Second person']);
  });

  it('plans the rest again when a person comes, a towel falls or panels are hot, and keeps what is done', async () => {
    const { element, press, settle, job } = await begun((one) => ({ ...one, towels: one.towels.map((batch) => ({ ...batch, clean: 9 })) }));
    for (let i = 0; i < 4; i++) await press('Done');
    const clean = (): number => job.job()!.towels.find(({ role }) => role === 'wash')!.clean;
    const before = clean();
    await press('One of the wash towels');
    expect(clean()).toBe(before - 1);
    await press('A second person came');
    expect(element.querySelectorAll('.card')).toHaveLength(2);
    const field = element.querySelector<HTMLInputElement>('esm-changed input')!;
    field.value = '33';
    field.dispatchEvent(new Event('change'));
    await settle();
    expect(job.job()!.site.panelC).toBe(33);
    expect(job.job()!.run!.events).toHaveLength(4);
  });

  it('counts the window of a wet section down, and warns when it may have dried', async () => {
    const { element, press, pass, settle, job } = await begun((one) => ({ ...one, choices: { ...one.choices, method: 'waterless' } }));
    const plan = planJob(job.job()!);
    while (!element.querySelector('.title')!.textContent!.includes('Wash')) await press('Done');
    const zone = plan.zones.find(({ zone: { id } }) => id === standingOf(plan, job.job()!.run!).hands[0]!.now!.zoneId)!;
    expect(element.querySelector('.card')!.textContent).toContain('dwells');
    pass(zone.option!.drying.windowS + 1);
    await new Promise((resolve) => setTimeout(resolve, 700));
    await settle();
    expect(element.querySelector('.card')!.textContent).toContain('wet it again');
    expect(element.querySelector('.card')!.classList).toContain('dry');
  });
});
