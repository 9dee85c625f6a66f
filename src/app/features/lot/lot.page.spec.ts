import { describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { Entries } from '../../state/entries';
import { show } from '../../testing/show';
import { LotPage } from './lot.page';

async function lot() {
  const all = await show(LotPage);
  await all.settle();
  const figures = (): Record<string, string> =>
    Object.fromEntries(
      [...all.element.querySelectorAll('.figures div')].map((one) => [
        one.querySelector('dt')!.textContent!,
        one.querySelector('dd')!.textContent!,
      ]),
    );
  const page = all.fixture.componentInstance as unknown as {
    tick(car: number): void;
    edit(at: number, change: object): void;
    change(says: string, change: object): void;
  };
  const bays = (): HTMLButtonElement[] => [...all.element.querySelectorAll<HTMLButtonElement>('.bays .bay')];
  return { ...all, figures, page, bays, stock: TestBed.inject(Entries) };
}

describe('the page of a lot', () => {
  it('plans all of its cars, and says what is short first', async () => {
    const { element, figures, bays } = await lot();
    expect(bays()).toHaveLength(75);
    const minutes = Number.parseFloat(figures()['A car']!);
    expect(minutes).toBeGreaterThan(5);
    expect(minutes).toBeLessThan(13);
    expect(element.querySelector('[data-shortage]')!.textContent).toMatch(/towels/);
  });

  it('is ticked off bay by bay, and taken back', async () => {
    const { element, bays, press, settle, page } = await lot();
    expect(bays().every((bay) => bay.disabled)).toBe(true);
    await press('Begin the first car');
    await press('Car 1 done');
    expect(element.querySelector('[data-done]')!.textContent).toBe('1 of 75 done');
    expect(bays()[0]!.getAttribute('aria-pressed')).toBe('true');
    bays()[4]!.click();
    await settle();
    expect(element.querySelector('[data-done]')!.textContent).toBe('2 of 75 done');
    await press('Undo');
    page.tick(0);
    await settle();
    expect(element.querySelector('[data-done]')!.textContent).toBe('0 of 75 done');
  });

  it('goes by the pace of the cars that are done', async () => {
    const { element, figures, page, settle, stock } = await lot();
    const planned = Number.parseFloat(figures()['A car']!);
    const at = Date.now();
    const slow = Array.from({ length: 6 }, (_, car) => ({
      car,
      person: car % 2,
      at: at + (Math.floor(car / 2) + 1) * planned * 90_000,
    }));
    page.change('Ticks', { begunAt: at, done: slow });
    await settle();
    expect(stock.items('lot')[0]!.done).toHaveLength(6);
    expect(Number.parseFloat(figures()['A car']!)).toBeGreaterThan(planned * 1.2);
    expect(element.textContent).toMatch(/By 6 cars: \d+ % slower than planned/);
  });

  it('is planned anew with other cars and people, and takes no two kinds of one name', async () => {
    const { bays, figures, page, settle, press, stock } = await lot();
    const before = figures()['Cars an hour']!;
    page.edit(0, { count: 5 });
    await settle();
    expect(bays()).toHaveLength(44);
    page.change('People', { people: 1 });
    await settle();
    expect(Number.parseFloat(figures()['Cars an hour']!)).toBeLessThan(Number.parseFloat(before));
    page.edit(0, { name: 'SUVs with film' });
    page.edit(0, { name: ' ' });
    expect(stock.items('lot')[0]!.classes[0]!.name).toBe('dusty sedans');
    await press('Another kind');
    expect(stock.items('lot')[0]!.classes).toHaveLength(4);
  });

  it('washes towels on the way at a press, and then needs fewer', async () => {
    const { element, figures, press, stock } = await lot();
    const before = Number.parseInt(figures()['Towels to bring']!);
    await press('Wash towels on the way');
    expect(stock.items('lot')[0]!.laundry).toEqual({ minutes: 90, load: 12 });
    expect(Number.parseInt(figures()['Towels to bring']!)).toBeLessThan(before);
    expect(figures()['Towels to bring']).toMatch(/loads? washed on the way/);
    expect(element.querySelectorAll('.bays .drop').length).toBeGreaterThan(5);
    await press('No washing on the way');
    expect(Number.parseInt(figures()['Towels to bring']!)).toBe(before);
  });

  it('is one of several: a new one has cars at once', async () => {
    const { element, press, bays, settle } = await lot();
    await press('New lot');
    await settle();
    expect(element.querySelector('h1')!.textContent).toBe('New lot');
    expect(bays()).toHaveLength(20);
  });
});
