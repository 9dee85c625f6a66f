import { describe, expect, it, vi } from 'vitest';
import { learn, ratiosOf } from '@esmero/core';
import { type Job, usedIn } from '@esmero/model';
import { demoJobs } from '@esmero/demo';
import { learnedSentence } from '@esmero/messages';
import { LogPage } from './log.page';
import { collectionActions } from '../../state/collection';
import { START, keep, slowRuns } from '../../testing/runs';
import { show } from '../../testing/show';

describe('the log', () => {
  it('says what to do while it is empty', async () => {
    const { element, settle } = await show(LogPage);
    await keep([demoJobs[0]!]);
    await settle();
    expect(element.textContent).toContain('No finished runs yet');
  });

  it('lists runs that are over, the last one first, is searched, and says what they teach', async () => {
    const { element, settle } = await show(LogPage);
    await keep([...slowRuns, demoJobs[2]!]);
    await settle();
    const names = (): string[] => [...element.querySelectorAll('.runs tbody a')].map((a) => a.textContent!);
    expect(names()).toEqual([...slowRuns].reverse().map(({ name }) => name));
    const field = element.querySelector<HTMLInputElement>('input[type=search]')!;
    field.value = `orchard ${slowRuns[2]!.vehicle.name.split(' ')[0]}`;
    field.dispatchEvent(new Event('input'));
    await settle();
    expect(names()).toEqual([slowRuns[2]!.name]);
    const lines = [...element.querySelectorAll('li')].map((li) => li.textContent!.trim());
    expect(lines.sort()).toEqual(learn(slowRuns).map(learnedSentence).sort());
  });
});

describe('what cannot be read', () => {
  it('is said with what to do, and is tried again', async () => {
    const { element, settle, press, state, store } = await show(LogPage);
    vi.spyOn(store, 'briefs').mockRejectedValueOnce(new Error('The disk is tired'));
    state.dispatch(collectionActions.load());
    await settle();
    expect(element.querySelector('[role=alert]')?.textContent).toContain('The disk is tired');
    await press('Try again');
    expect(element.querySelector('[role=alert]')).toBeNull();
  });
});

describe('finding in the log', () => {
  const rows = (element: HTMLElement): number => element.querySelectorAll('.runs tbody tr').length;

  it('goes by method and by how a run ended, and lets go again', async () => {
    const { element, settle, press } = await show(LogPage);
    const broken: Job = {
      ...slowRuns[0]!,
      id: 'broken',
      run: { ...slowRuns[0]!.run!, counts: [{ ...usedIn(slowRuns[0]!.run!)!, doneShare: 0.3 }] },
    };
    await keep([...slowRuns, broken]);
    await settle();
    await press('Broken off');
    expect(rows(element)).toBe(1);
    expect(element.textContent).toContain('broken off with 30 % done');
    await press('Broken off');
    const of = (method: string): number =>
      [...slowRuns, broken].filter(({ run }) => usedIn(run!)!.method === method).length;
    await press('Hybrid');
    expect(rows(element)).toBe(of('hybrid'));
    await press('Hybrid');
    expect(rows(element)).toBe(4);
  });

  it('goes by a day of the calendar, and by the month', async () => {
    const { element, settle, press } = await show(LogPage);
    const far: Job = {
      ...slowRuns[1]!,
      id: 'far',
      run: { ...slowRuns[1]!.run!, startedAt: START - 40 * 86_400_000, endedAt: START - 40 * 86_400_000 + 1 },
    };
    await keep([...slowRuns, far]);
    await settle();
    await press('By day');
    const days = (): HTMLElement[] => [...element.querySelectorAll<HTMLElement>('esm-month .has')];
    expect(days()).toHaveLength(1);
    expect(days()[0]!.getAttribute('aria-label')).toContain('3 runs');
    days()[0]!.click();
    await settle();
    expect(rows(element)).toBe(3);
    element.querySelector<HTMLButtonElement>('esm-month .p-datepicker-prev-button')!.click();
    await settle();
    element.querySelector<HTMLButtonElement>('esm-month .whole button')!.click();
    await settle();
    expect(rows(element)).toBe(days().length);
  });

  it('shows the visits of one car, with what lay on it', async () => {
    const { element, settle, press } = await show(LogPage);
    const again: Job = {
      ...slowRuns[0]!,
      id: 'again',
      run: { ...slowRuns[0]!.run!, startedAt: START + 9, endedAt: START + 10 },
    };
    await keep([...slowRuns, again]);
    await settle();
    await press(slowRuns[0]!.vehicle.name);
    expect(element.querySelector('#car')!.textContent).toBe(slowRuns[0]!.vehicle.name);
    expect(element.querySelectorAll('#car ~ *, section[aria-labelledby=car] tbody tr').length).toBeGreaterThan(1);
    expect(
      element.querySelector('section[aria-labelledby=car] esm-dots-chart')!.querySelectorAll('circle'),
    ).toHaveLength(2);
    await press('All cars');
    expect(rows(element)).toBe(4);
  });

  it('charts what runs took against the plan, lesson by lesson', async () => {
    const { element, settle, press } = await show(LogPage);
    await keep(slowRuns);
    await settle();
    const dots = (): number => element.querySelectorAll('section[aria-labelledby=teaches] circle').length;
    expect(dots()).toBe(3);
    await press('Wash towels');
    expect(dots()).toBe(
      slowRuns.filter(({ run }) => ratiosOf(run!).some(([lesson]) => lesson === 'towels.wash')).length,
    );
    expect(element.querySelector('.band')).not.toBeNull();
  });

  it('sorts by what is pressed, and shows all of a run', async () => {
    const { element, settle, press } = await show(LogPage);
    await keep(slowRuns);
    await settle();
    const names = (): string[] => [...element.querySelectorAll('.runs tbody a')].map((a) => a.textContent!);
    [...element.querySelectorAll<HTMLElement>('th')].find(({ textContent }) => textContent?.startsWith('Job'))!.click();
    await settle();
    expect(names()).toEqual(slowRuns.map(({ name }) => name).sort());
    await press(`All of ${slowRuns[1]!.name}`);
    await settle();
    expect(document.querySelector('.p-dialog')?.textContent).toContain(slowRuns[1]!.vehicle.name);
  });

  it('draws of many only the rows in sight', async () => {
    const { element, settle } = await show(LogPage);
    // Until the list of jobs has been fetched anew after the opening.
    await new Promise((resolve) => setTimeout(resolve, 600));
    await keep(Array.from({ length: 160 }, (_, i) => ({ ...slowRuns[i % 3]!, id: `many-${i}` })));
    await settle();
    expect(element.textContent).toContain('160 of 160 runs');
    expect(element.querySelector('p-scroller')).not.toBeNull();
    expect(rows(element)).toBeLessThan(160);
  });
});
