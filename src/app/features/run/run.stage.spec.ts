import { describe, expect, it, vi } from 'vitest';
import { planJob, runStatusOf, tasksOf, ticksOf } from '@esmero/core';
import type { Job } from '@esmero/model';
import { taskHeading } from '@esmero/messages';
import { RunStage } from './run.stage';
import { NOW } from '../../state/clock';
import { pressable } from '../../testing/pressable';
import { show } from '../../testing/show';

const START = 1_900_000_000_000;

const drawer = (): HTMLElement => document.querySelector<HTMLElement>('.p-drawer')!;

/** A run on the first demo job by a clock that is set by hand. */
async function begun(change?: (job: Job) => Job) {
  let time = START;
  const all = await show(RunStage, [{ provide: NOW, useValue: () => time }], change);
  await all.press('Begin');
  const title = (): string => all.element.querySelector('.title')!.textContent!.trim();
  const inDrawer = async (text: string): Promise<void> => {
    pressable(drawer(), text)!.click();
    await all.settle();
  };
  /** A towel falls; of two in the hand it is asked which. */
  const drop = async (which: string): Promise<void> => {
    all.element.querySelector<HTMLElement>('.out')!.click();
    await all.settle();
    [...document.querySelectorAll<HTMLElement>('[role=menuitem] a')]
      .find((item) => item.textContent?.includes(which))
      ?.click();
    await all.settle();
  };
  const write = async (field: string, value: string): Promise<void> => {
    const input = drawer().querySelector<HTMLInputElement>(field)!;
    input.value = value;
    input.dispatchEvent(new Event('blur'));
    await all.settle();
  };
  return { ...all, title, drop, inDrawer, write, pass: (seconds: number): void => void (time += seconds * 1000) };
}

describe('the run', () => {
  it('has the visit on the clock from the arrival on, with the cautions before it begins', async () => {
    const { element, job, press, settle } = await show(RunStage);
    const plan = job.plan()!;
    expect(element.querySelectorAll('.warn')).toHaveLength(plan.cautions.length);
    const stages = (): readonly (string | null)[] =>
      [...element.querySelectorAll('esm-visit li')].map((one) => one.getAttribute('data-state'));
    expect(stages()).toEqual(['open', 'open', 'open', 'open']);
    expect(element.textContent).toContain(`The visit, ${Math.round(plan.slot.value)} min by the plan`);
    await press('I am at the car');
    await settle();
    expect(job.job()!.arrivedAt).not.toBeNull();
    expect(stages()).toEqual(['now', 'open', 'open', 'open']);
    expect(element.textContent).toMatch(/Here for 0:0\d; \d+ min to go/);
    expect(pressable(element, 'I am at the car')).toBeUndefined();
    expect(job.job()!.run).toBeNull();
  });

  it('shows what is set up until the first panel is done', async () => {
    const { element, press, job } = await begun();
    const setUp = (): string => element.querySelector('.set-up')?.textContent ?? '';
    for (const { vessel } of job.plan()!.mix.mixes) expect(setUp()).toContain(vessel.name);
    expect(setUp()).toMatch(/Set up: \d+:\d\d planned/);
    await press('Done');
    expect(element.querySelector('.set-up')).toBeNull();
  });

  it('goes through the plan pass by pass, keeps the times, and takes the last one back', async () => {
    const { element, press, pass, title, job, view } = await begun();
    const plan = planJob(job.job()!);
    const tasks = tasksOf(plan);
    const [first, second] = tasks;
    expect(title()).toBe(taskHeading(first!));
    expect([...view.lit()]).toEqual(first!.parts.map(({ zoneId }) => zoneId));
    pass(30);
    await press('Done');
    expect(job.job()!.run!.events).toEqual(
      ticksOf(plan, first!, START + 30_000).map((tick, i) => ({ ...tick, seq: i + 1 })),
    );
    expect(title()).toBe(taskHeading(second!));
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
    expect(runStatusOf(planJob(job.job()!), job.job()!.run!).done).toBe(length);
    expect(element.textContent).toContain('Second look');
    pass(1800);
    await press('The run is over');
    expect(job.job()!.run!.endedAt).toBe(START + 1_800_000);
    expect(element.textContent).toContain('Finished in 30:00');
    await press('Go on');
    expect(job.job()!.run!.endedAt).toBeNull();
  });

  it('reads the side in the hand with the side meter, and turns it at a press', async () => {
    const { element, press, inDrawer, settle, job } = await begun();
    while (!element.querySelector('.out')) await press('Done');
    const ticks = job.job()!.run!.events.length;
    await press('Something else');
    await inDrawer('Is this side full?');
    await settle();
    const meter = (): HTMLElement => [...document.querySelectorAll<HTMLElement>('.p-dialog')].at(-1)!;
    expect(meter().textContent).toContain('Clean sides left');
    // Keys and remotes tick nothing off while a picture is taken.
    document.dispatchEvent(new KeyboardEvent('keydown', { key: '1' }));
    expect(job.job()!.run!.events).toHaveLength(ticks);
    vi.spyOn(Math, 'random').mockReturnValue(0.95);
    pressable(meter(), 'Simulated camera')!.click();
    await settle();
    await settle();
    vi.restoreAllMocks();
    pressable(meter(), 'Turn it')!.click();
    await settle();
    expect(job.job()!.run!.events.at(-1)).toMatchObject({ kind: 'side-full', worker: 0 });
    expect(element.querySelector('[role=status]')!.textContent).toContain('Planned again');
  });

  it('gives each of two people a card of their own', async () => {
    const { element } = await begun((one) => ({ ...one, site: { ...one.site, workers: 2 } }));
    expect([...element.querySelectorAll('.who')].map((who) => who.textContent)).toEqual([
      'First person',
      'Second person',
    ]);
  });

  it('plans the rest again when a person comes, a towel falls or panels are hot, and keeps what is done', async () => {
    const { element, press, job, drop, inDrawer, write } = await begun((one) => ({
      ...one,
      towels: one.towels.map((batch) => ({ ...batch, clean: 9 })),
    }));
    while (!element.querySelector('.out')) await press('Done');
    const ticks = job.job()!.run!.events.length;
    await drop('');
    expect(job.job()!.run!.events.at(-1)).toMatchObject({ kind: 'towel-out', worker: 0 });
    expect(element.querySelector('[role=status]')!.textContent).toContain('is out. Planned again');
    expect(job.plan()!.begun.events).toBe(ticks + 1);
    await press('Something else');
    await inDrawer('A second person came');
    expect(element.querySelectorAll('.hand')).toHaveLength(2);
    await press('Something else');
    expect(drawer().textContent).toContain('The second person left');
    await write('#panels-now', '33');
    expect(job.job()!.run!.events.at(-1)).toMatchObject({ kind: 'panels', panelC: 33 });
    expect(job.job()!.site.panelC).not.toBe(33);
    await press('Take back');
    await press('Take back');
    expect(element.querySelectorAll('.hand')).toHaveLength(1);
    expect(runStatusOf(job.plan()!, job.job()!.run!).done).toBe(ticks);
  });

  it('goes on when there are too few towels, and says how many to find', async () => {
    const { element, press, settle, job, drop } = await begun();
    while (!element.querySelector('.out')) await press('Done');
    const isShort = (): boolean => job.plan()!.verdicts.some(({ code }) => code === 'towels-to-find');
    for (let i = 0; i < 30 && !isShort(); i++) {
      const inHand = [...element.querySelectorAll<HTMLElement>('.side')].some((one) =>
        one.textContent!.includes('wash towel'),
      );
      if (inHand) await drop('wash towel');
      else await press('Done');
      await settle();
    }
    expect(job.plan()!.method).not.toBe('decline');
    expect(element.querySelector('.note.warn')!.textContent).toMatch(/^Find .*more .*wash towel/);
  });

  it('says what stands in the way when the water is gone, and goes on when that is taken back', async () => {
    const { element, press, job, write } = await begun();
    await press('Done');
    await press('Something else');
    await write('[id^=left-]', '0');
    await press('Something else');
    await write('#tank-now', '0');
    expect(element.textContent).toContain('There is no plan for the rest');
    await press('Take back');
    expect(job.plan()!.method).not.toBe('decline');
  });

  it('takes what vessels and tank still hold, in the units that are shown, and nothing out of bounds', async () => {
    const { job, press, write } = await begun();
    await press('Done');
    const ticks = job.job()!.run!.events;
    await press('Something else');
    await write('#panels-now', '500');
    expect(drawer().querySelector('.fault')!.textContent).toContain('from −40 to 110 °C');
    expect(job.job()!.run!.events).toEqual(ticks);
    await write('[id^=left-]', '120');
    expect(job.job()!.run!.events.at(-1)).toMatchObject({ kind: 'mix-left', ml: 120 });
    await press('Something else');
    await write('#tank-now', '3');
    expect(job.job()!.run!.events.at(-1)).toMatchObject({ kind: 'water-left', litres: 3 });
  });

  it('keeps a list for later, with the zone that was pressed', async () => {
    const { settle, job, view, press } = await begun();
    view.choose('bonnet');
    await press('Something else');
    const element = drawer();
    const field = element.querySelector<HTMLInputElement>('esm-punch form input')!;
    field.value = 'Streak by the badge';
    element.querySelector('esm-punch form')!.dispatchEvent(new Event('submit'));
    await settle();
    expect(job.job()!.run!.punch).toMatchObject([{ text: 'Streak by the badge', zone: 'bonnet', done: false }]);
    element.querySelector<HTMLInputElement>('esm-punch input[type=checkbox]')!.click();
    await settle();
    expect(job.job()!.run!.punch[0]!.done).toBe(true);
  });

  it('is ticked off by a finger drawn across, not by one that scrolls', async () => {
    const { element, settle, job } = await begun();
    const card = element.querySelector('.hand')!;
    const draw = async (x: number, y: number): Promise<void> => {
      const at = (clientX: number, clientY: number) => [{ clientX, clientY }] as unknown as Touch[];
      card.dispatchEvent(Object.assign(new Event('touchstart'), { touches: at(20, 20) }));
      card.dispatchEvent(Object.assign(new Event('touchend'), { changedTouches: at(20 + x, 20 + y) }));
      await settle();
    };
    await draw(10, 300);
    await draw(40, 0);
    expect(job.job()!.run!.events).toHaveLength(0);
    await draw(-150, 20);
    expect(runStatusOf(planJob(job.job()!), job.job()!.run!).done).toBe(1);
  });

  it('counts the window of a wet section down, and warns when it may have dried', async () => {
    const { element, press, pass, settle, job } = await begun((one) => ({
      ...one,
      choices: { ...one.choices, method: 'waterless' },
    }));
    const plan = planJob(job.job()!);
    for (let i = 0; i < 20 && !runStatusOf(plan, job.job()!.run!).hands[0]!.clocks; i++) await press('Done');
    const zone = plan.zones.find(
      ({ zone: { id } }) => id === runStatusOf(plan, job.job()!.run!).hands[0]!.now!.parts[0]!.zoneId,
    )!;
    expect(element.querySelector('.hand')!.textContent).toMatch(/dwells|ready to be washed/);
    pass(zone.option!.drying.windowS + 1);
    await settle();
    await vi.waitFor(() => expect(element.querySelector('.hand')!.textContent).toContain('wet it again'), 20_000);
    expect(element.querySelector('.hand')!.classList).toContain('dry');
  });
});
