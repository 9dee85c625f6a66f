import { describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { Store as State } from '@ngrx/store';
import { amountAt, endRun, learn, noteEvents, noteUse, planJob, ratiosOf, usageAccount, startRun, stockItem, tasksOf, ticksOf, useOf } from '@esmero/core';
import { type Job, type Place, usedIn } from '@esmero/model';
import { demoJobs } from '@esmero/demo';
import { learnedSentence } from '@esmero/messages';
import { LogPage } from '../features/log/log.page';
import { LearnedComponent } from '../features/method/learned.component';
import { RunStage } from '../features/run/run.stage';
import { STORE } from '../state/ports';
import { shelfActions } from '../state/shelf';
import { ShelfDesk } from '../state/shelf-desk';
import { show } from '../testing/show';

const START = 1_900_000_000_000;

/** A demo job that was run, and took so many times the planned minutes. */
function over(job: Job, times: number, day: number): Job {
  const plan = planJob(job);
  const begun = startRun(job, START + day);
  const done = tasksOf(plan).reduce((so, task) => noteEvents(so, ticksOf(plan, task, START + day)), begun);
  const ended = endRun(done, START + day + plan.totals.minutes.value * times * 60_000);
  const reckoning = usageAccount(ended)!;
  return { ...noteUse(ended, useOf(reckoning, reckoning.expected, START + day)), id: `over-${day}` };
}
const runs = [over(demoJobs[0]!, 1.5, 1), over(demoJobs[1]!, 1.5, 2), over(demoJobs[4]!, 1.5, 3)];
/** Lays runs into the store and fetches what is there. */
async function kept(jobs: readonly Job[]): Promise<void> {
  await (await TestBed.inject(STORE)).merge({ library: [], movements: [], photos: [], jobs });
  TestBed.inject(State).dispatch(shelfActions.load());
}

describe('the log', () => {
  it('says what to do while it is empty', async () => {
    const { element, settle } = await show(LogPage);
    await kept([demoJobs[0]!]);
    await settle();
    expect(element.textContent).toContain('No run is over yet');
  });

  it('lists runs that are over, the last one first, is searched, and says what they teach', async () => {
    const { element, settle } = await show(LogPage);
    await kept([...runs, demoJobs[2]!]);
    await settle();
    const names = (): string[] => [...element.querySelectorAll('tbody th a')].map((a) => a.textContent!);
    expect(names()).toEqual([...runs].reverse().map(({ name }) => name));
    const field = element.querySelector<HTMLInputElement>('input[type=search]')!;
    field.value = `orchard ${runs[2]!.vehicle.name.split(' ')[0]}`;
    field.dispatchEvent(new Event('input'));
    await settle();
    expect(names()).toEqual([runs[2]!.name]);
    const lines = [...element.querySelectorAll('li')].map((li) => li.textContent!.trim());
    expect(lines.sort()).toEqual(learn(runs).map(learnedSentence).sort());
  });
});

describe('finding in the log', () => {
  const rows = (element: HTMLElement): number => element.querySelectorAll('.runs tbody th').length;

  it('goes by method and by how a run ended, and lets go again', async () => {
    const { element, settle, press } = await show(LogPage);
    const broken: Job = { ...runs[0]!, id: 'broken', run: { ...runs[0]!.run!, counts: [{ ...usedIn(runs[0]!.run!)!, doneShare: 0.3 }] } };
    await kept([...runs, broken]);
    await settle();
    await press('Broken off');
    expect(rows(element)).toBe(1);
    expect(element.textContent).toContain('broken off with 30 % done');
    await press('Broken off');
    const of = (method: string): number => [...runs, broken].filter(({ run }) => usedIn(run!)!.method === method).length;
    await press('Hybrid');
    expect(rows(element)).toBe(of('hybrid'));
    await press('Hybrid');
    expect(rows(element)).toBe(4);
  });

  it('goes by a day of the calendar, and by the month', async () => {
    const { element, settle } = await show(LogPage);
    const far: Job = { ...runs[1]!, id: 'far', run: { ...runs[1]!.run!, startedAt: START - 40 * 86_400_000, endedAt: START - 40 * 86_400_000 + 1 } };
    await kept([...runs, far]);
    await settle();
    const days = (): HTMLButtonElement[] => [...element.querySelectorAll<HTMLButtonElement>('esm-month .has')];
    expect(days()).toHaveLength(1);
    expect(days()[0]!.getAttribute('aria-label')).toContain('3 runs');
    days()[0]!.click();
    await settle();
    expect(rows(element)).toBe(3);
    element.querySelector<HTMLButtonElement>('[aria-label="The month before"]')!.click();
    await settle();
    element.querySelector<HTMLButtonElement>('esm-month .grow')!.click();
    await settle();
    expect(rows(element)).toBe(days().length);
  });

  it('shows the visits of one car, with what lay on it', async () => {
    const { element, settle, press } = await show(LogPage);
    const again: Job = { ...runs[0]!, id: 'again', run: { ...runs[0]!.run!, startedAt: START + 9, endedAt: START + 10 } };
    await kept([...runs, again]);
    await settle();
    await press(runs[0]!.vehicle.name);
    expect(element.querySelector('#car')!.textContent).toBe(runs[0]!.vehicle.name);
    expect(element.querySelectorAll('#car ~ *, section[aria-labelledby=car] tbody tr').length).toBeGreaterThan(1);
    expect(element.querySelector('section[aria-labelledby=car] esm-dots-chart')!.querySelectorAll('circle')).toHaveLength(2);
    await press('All cars');
    expect(rows(element)).toBe(4);
  });

  it('charts what runs took against the plan, lesson by lesson', async () => {
    const { element, settle, press } = await show(LogPage);
    await kept(runs);
    await settle();
    const dots = (): number => element.querySelectorAll('section[aria-labelledby=teaches] circle').length;
    expect(dots()).toBe(3);
    await press('Wash towels');
    expect(dots()).toBe(runs.filter(({ run }) => ratiosOf(run!).some(([lesson]) => lesson === 'towels.wash')).length);
    expect(element.querySelector('.band')).not.toBeNull();
  });

  it('shows a hundred of many, and more when asked', async () => {
    const { element, settle, press } = await show(LogPage);
    // Until the list of jobs has been fetched anew after the opening.
    await new Promise((resolve) => setTimeout(resolve, 600));
    await kept(Array.from({ length: 130 }, (_, i) => ({ ...runs[i % 3]!, id: `many-${i}` })));
    await settle();
    expect(rows(element)).toBe(100);
    await press('Show more');
    expect(rows(element)).toBe(130);
  });
});

describe('what was learned', () => {
  it('is offered to the plan, used when asked, and left out again', async () => {
    const { element, press, settle, job } = await show(LearnedComponent);
    const before = job.job()!;
    await kept(runs);
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
    await kept([demoJobs[1]!]);
    await settle();
    expect(element.textContent!.trim()).toBe('');
  });
});

describe('what was used', () => {
  it('is counted at the end of a run, as planned until somebody says otherwise, and corrected with the first count kept', async () => {
    const { element, press, settle, job } = await show(RunStage);
    const tasks = tasksOf(job.plan()!);
    await press('Begin');
    for (const _task of tasks) await press('Done');
    await press('The run is over');
    await settle();
    const plan = planJob({ ...job.job()!, run: null });
    const field = (name: string): HTMLInputElement => element.querySelector<HTMLInputElement>(`input[name="${name}"]`)!;
    const submit = async (): Promise<void> => {
      element.querySelector('esm-use-form form')!.dispatchEvent(new Event('submit'));
      await settle();
    };
    expect(field('towels.wash').value).toBe(String(plan.towels.filter(({ role }) => role === 'wash').length));
    const write = async (input: HTMLInputElement, text: string): Promise<void> => {
      input.value = text;
      input.dispatchEvent(new Event('blur'));
      await settle();
    };
    await write(field('towels.wash'), '6');
    await press('Weigh it instead: Rinseless wash');
    const scale = (name: string): HTMLInputElement => element.querySelector<HTMLInputElement>(`input[aria-label="${name}"]`)!;
    await write(scale('The empty vessel'), '480');
    await write(scale('On the scale'), '400');
    expect(element.querySelector('esm-use-form .fault')!.textContent).toContain('cannot weigh less');
    await write(scale('On the scale'), '480');
    expect(field('ml.wash').value).toBe('0 mL');
    await submit();
    const used = usedIn(job.job()!.run!)!;
    expect(used.towels.find(({ role }) => role === 'wash')).toMatchObject({ opened: 6 });
    const wash = plan.mix.mixes.find(({ content }) => content === 'wash')!;
    expect(used.mixes.find(({ purpose }) => purpose === 'wash')!.usedMl).toBeCloseTo(wash.fills.reduce((sum, { totalMl }) => sum + totalMl, 0), 6);
    expect(element.textContent).toContain('Noted in the log');
    await write(field('towels.wash'), '5');
    field('because').value = 'One was in the wrong pile';
    field('because').dispatchEvent(new Event('input'));
    await submit();
    expect(job.job()!.run!.counts.map(({ because }) => because)).toEqual(['', 'One was in the wrong pile']);
    expect(element.textContent).toContain('1 earlier count is kept');
  });

  it('is taken off stock: towels to the laundry, product out of its bottle', async () => {
    const { element, press, settle, job } = await show(RunStage);
    const shelf = TestBed.inject(ShelfDesk);
    const wash = job.job()!.towels.find(({ role }) => role === 'wash')!;
    const at = (place: Place): number => amountAt(shelf.balances(), stockItem('towel', wash.id), place);
    const whole = at('shelf');
    const tasks = tasksOf(job.plan()!);
    await press('Begin');
    await settle();
    expect(at('reserved')).toBe(job.plan()!.towels.filter(({ role }) => role === 'wash').length);
    for (const _task of tasks) await press('Done');
    await press('The run is over');
    await settle();
    element.querySelector('esm-use-form form')!.dispatchEvent(new Event('submit'));
    await settle();
    await press('Take it off stock');
    await settle();
    expect(at('reserved')).toBe(0);
    expect(at('dirty')).toBe(usedIn(job.job()!.run!)!.towels.find(({ role }) => role === 'wash')!.opened);
    expect(at('shelf') + at('dirty')).toBe(whole);
    expect(element.textContent).toContain('Taken off stock');
    const entry = TestBed.inject(ShelfDesk).library().find(({ item }) => item.id === wash.id)!;
    expect(entry.item).toMatchObject({ clean: at('shelf') });
    const field = element.querySelector<HTMLInputElement>('input[name="towels.wash"]')!;
    const before = at('dirty');
    field.value = String(before - 1);
    field.dispatchEvent(new Event('blur'));
    const why = element.querySelector<HTMLInputElement>('input[name=because]')!;
    why.value = 'one was never unfolded';
    why.dispatchEvent(new Event('input'));
    element.querySelector('esm-use-form form')!.dispatchEvent(new Event('submit'));
    await settle();
    await settle();
    await press('Correct the stock');
    expect(at('dirty')).toBe(before - 1);
    expect(at('shelf') + at('dirty')).toBe(whole);
    expect(element.textContent).not.toContain('Correct the stock');
  });
});
