import type { Provider } from '@angular/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { STORE } from '../../state/ports';
import { today } from '../../state/today';
import { VanStock } from '../../state/van-stock';
import { type Forecasted, WEATHER } from '../../state/weather';
import { dayAfter } from '@esmero/units';
import { show } from '../../testing/show';
import { DayPage } from './day.page';

async function day(...providers: readonly Provider[]) {
  const all = await show(DayPage, providers);
  await all.settle();
  const names = (): string[] =>
    [...all.element.querySelectorAll('.stop[data-stop] a')].map((one) => one.textContent!.trim());
  const page = all.fixture.componentInstance as unknown as {
    drop(event: { previousIndex: number; currentIndex: number }): void;
    finish(id: string): void;
    setWindow(id: string, hours: { fromHour: number; untilHour: number }): void;
    show(date: string): Promise<void>;
    desk: {
      change(says: string, change: object): void;
      moveJobs(says: string, ids: readonly string[], date: string): Promise<void>;
      undo(): void;
      setUp(): { windows: readonly { jobId: string }[]; order: readonly string[] };
    };
  };
  const shortage = (): string => all.element.querySelector('[data-shortage]')?.textContent?.trim() ?? '';
  return { ...all, names, page, shortage, van: TestBed.inject(VanStock) };
}

// Early on a day in July: what is left of a day depends on the hour.
beforeEach(() => void vi.useFakeTimers({ toFake: ['Date'], now: new Date(2031, 6, 14, 7, 40) }));
afterEach(() => void vi.useRealTimers());

describe('the page of a day', () => {
  it('has the jobs of its date in order, with what is short first', async () => {
    const { element, names, shortage } = await day();
    expect(names()).toHaveLength(6);
    expect(shortage()).toContain('Short first, at');
    expect(element.querySelectorAll('.figures dd')[1]!.textContent).toContain('6');
    expect(element.querySelector('esm-day-picture svg')!.getAttribute('aria-label')).toContain(names()[0]);
    expect(element.querySelector('esm-day-map svg')!.getAttribute('aria-label')).toContain(`1: ${names()[0]}`);
  });

  it('says what mends it, does it at a press, and takes it back', async () => {
    const { element, press, shortage, settle } = await day();
    const before = shortage();
    await press('How to fix it');
    expect(element.textContent).toMatch(/With \d+ drying towels more: done by/);
    await press('Do it: With');
    expect(shortage()).not.toBe(before);
    await press('Undo');
    await settle();
    expect(shortage()).toContain(before.slice(0, 60));
  });

  it('goes in the order that it is put into, says what that costs, and finds the best one again', async () => {
    const { element, names, page, press, settle } = await day();
    const best = names();
    page.drop({ previousIndex: 0, currentIndex: 3 });
    await settle();
    expect(names()).not.toEqual(best);
    expect(names().indexOf(best[0]!)).toBeGreaterThan(1);
    expect(element.querySelector('[data-own-order]')!.textContent).toMatch(/Your order costs/);
    await press('Best order');
    expect(names()).toEqual(best);
    expect(element.querySelector('[data-own-order]')).toBeNull();
    page.drop({ previousIndex: 2, currentIndex: 2 });
    expect(page.desk.setUp().order).toEqual([]);
  });

  it('keeps to the hours of a stop, and shows them', async () => {
    const { element, page, settle } = await day();
    page.setWindow('demo-yard', { fromHour: 15, untilHour: 16 });
    await settle();
    const row = element.querySelector('[data-stop="demo-yard"]')!;
    expect(row.querySelector('.time strong')!.textContent! >= '15:00').toBe(true);
    expect(row.textContent).toContain('To be begun from 15:00 to 16:00');
  });

  it('moves a job to another day and back', async () => {
    const { names, page, settle, press } = await day();
    const tomorrow = dayAfter(today(), 1);
    const before = (await (await TestBed.inject(STORE)).job('demo-track'))!.job;
    await page.desk.moveJobs('moved', ['demo-track'], tomorrow);
    // It is written and fetched again before it is gone.
    const haveStops = (count: number): Promise<void> =>
      vi.waitFor(async () => (await settle(), expect(names()).toHaveLength(count)), 20_000);
    await haveStops(5);
    const store = await TestBed.inject(STORE);
    expect((await store.job('demo-track'))!.job.date).toBe(tomorrow);
    page.show(tomorrow);
    await settle();
    expect(names()).toContain('Pickup from the orchard');
    page.show(today());
    await press('Undo');
    await haveStops(6);
    const { date, site, weather, readings } = before;
    expect((await store.job('demo-track'))!.job).toMatchObject({ date, site, weather, readings });
  });

  it('is done with a stop at a press: it stands above, and the tank has what it took no longer', async () => {
    const { element, names, page, settle, van, press } = await day();
    const first = element.querySelector('.stop[data-stop]')!.getAttribute('data-stop')!;
    const before = van.van().inTankL;
    page.finish(first);
    await settle();
    expect(names()).toHaveLength(5);
    expect(element.querySelector('.done')!.textContent).toContain('Done at');
    expect(van.van().inTankL).toBeLessThanOrEqual(before);
    await press('Undo');
    expect(names()).toHaveLength(6);
    expect(van.van().inTankL).toBe(before);
  });

  it('has cars in the open done before the rain, or says that they are not', async () => {
    const { element, page, settle } = await day();
    page.desk.change('Rain', { rainFromHour: 0 });
    await settle();
    expect(element.textContent).toContain('Pickup from the orchard: cannot be done at any time that day');
    expect(element.querySelector('esm-day-picture .rain')).not.toBeNull();
  });

  it('asks the weather when it rains, and says so where there is no answer', async () => {
    const wet: Forecasted = { ok: true, weather: { source: 'simulated', hours: [] }, rainFromHour: 10 };
    const answers: Forecasted[] = [wet, { ok: false, why: 'unreachable' }];
    const { press, settle, element } = await day({ provide: WEATHER, useValue: async () => answers.shift()! });
    await press('Hours and rain');
    const ask = async (): Promise<void> => {
      [...document.querySelectorAll<HTMLButtonElement>('.p-dialog button')]
        .find((one) => one.textContent!.includes('forecast'))!
        .click();
      await settle();
    };
    await ask();
    expect(document.querySelector('.p-dialog [role=status]')!.textContent).toBe('Rain from 10:00.');
    expect(element.querySelector('esm-day-picture .rain')).not.toBeNull();
    await ask();
    expect(document.querySelector('.p-dialog [role=status]')!.textContent).toContain('could not be fetched');
  });

  it('says how sure it is and what to pack, and keeps what is ticked', async () => {
    const { element, press, settle } = await day();
    await press('Try it on 400 days');
    await settle();
    expect(element.textContent).toMatch(/Done by 18:00 on \d+ % of such days/);
    expect(element.querySelector('.stop[data-stop]')!.textContent).toMatch(/May take \d+ min longer|No slack/);
    const box = element.querySelector<HTMLInputElement>('#pack-water')!;
    box.click();
    await settle();
    expect(element.querySelector<HTMLInputElement>('#pack-water')!.checked).toBe(true);
  });

  it('has what is left in the evening go to the next day at a press, and back', async () => {
    vi.setSystemTime(new Date(2031, 6, 14, 19, 30));
    const { element, press, settle, page, names } = await day();
    expect(element.querySelector('[data-over]')!.textContent).toContain('with 6 jobs left');
    await press('To the next day');
    await settle();
    expect(element.textContent).toContain('Nothing is planned for this day.');
    page.show('2031-07-15');
    await settle();
    expect(names()).toHaveLength(6);
    expect(element.querySelector('[data-over]')).toBeNull();
    await press('Undo');
    page.show('2031-07-14');
    await settle();
    expect(element.querySelector('[data-over]')).not.toBeNull();
  });

  it('says what to do on a day without jobs', async () => {
    const { element, page, settle } = await day();
    page.show('2050-01-01');
    await settle();
    expect(element.textContent).toContain('Nothing is planned for this day.');
  });
});
