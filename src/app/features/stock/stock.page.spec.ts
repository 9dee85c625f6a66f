import { describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { amountAt, draft, moved, stockItem } from '@esmero/core';
import { StockPage } from './stock.page';
import { STORE } from '../../state/ports';
import { collectionActions } from '../../state/collection';
import { CollectionDesk } from '../../state/collection-desk';
import { show } from '../../testing/show';

const amber = stockItem('product', 'p-amber');
const wash = stockItem('towel', 't-wash');

async function collection() {
  const all = await show(StockPage);
  await all.settle();
  const desk = TestBed.inject(CollectionDesk);
  const set = async (label: string, value: string): Promise<void> => {
    const field = all.element.querySelector<HTMLInputElement>(`input[aria-label="${label}"]`)!;
    field.value = value;
    field.dispatchEvent(new Event('blur'));
    field.closest('form')!.dispatchEvent(new Event('submit'));
    await all.settle();
  };
  return {
    ...all,
    desk,
    set,
    at: (item: typeof amber, place: 'shelf' | 'dirty' | 'soaking' | 'drying' = 'shelf') =>
      amountAt(desk.balances(), item, place),
  };
}

describe('the van stock', () => {
  it('says what is there, how long it lasts, what goes off and what to buy', async () => {
    const { element } = await collection();
    const text = element.textContent!;
    expect(text).toContain('180 mL');
    expect(text).toContain('2 × Waterless concentrate, amber cap: runs out within a fortnight');
    expect(text).toMatch(/good until \d{1,2} \w+ \d{4}: soon over/);
    expect(text).toContain('Flammable as a concentrate');
    expect(text).toContain('1.7 of 150');
  });

  it('buys a bottle and counts what is there; both stay in the list', async () => {
    const { element, press, set, at, desk } = await collection();
    const before = desk.kept().length;
    await press('Bought or counted: Waterless');
    await press('One bought of Waterless');
    expect(at(amber)).toBe(930);
    const size = element.querySelector<HTMLInputElement>(
      'input[aria-label="Size bought of Waterless concentrate, amber cap"]',
    )!;
    size.value = '3780';
    size.dispatchEvent(new Event('blur'));
    await press('One bought of Waterless');
    expect(at(amber)).toBe(4710);
    await press('Take back');
    await set('Counted of Waterless concentrate, amber cap', '900');
    expect(at(amber)).toBe(900);
    expect(desk.kept()).toHaveLength(before + 4);
    expect(element.textContent).toContain('Counted: Waterless concentrate, amber cap 30 mL');
    await press('Take back');
    expect(at(amber)).toBe(930);
    expect(desk.kept()).toHaveLength(before + 5);
  });

  it('reckons a second tap with the first, before either is stored; what is not kept goes again', async () => {
    const { desk, at, settle } = await collection();
    const before = desk.kept().length;
    desk.post([draft('bought', moved(amber, 'outside', 'shelf', 750))]);
    desk.post([draft('bought', moved(amber, 'outside', 'shelf', 750))]);
    expect(at(amber)).toBe(1680);
    expect(desk.writing()).toBe(2);
    await settle();
    expect(desk.writing()).toBe(0);
    const added = desk.kept().slice(before);
    expect(added.map(({ entries }) => entries.map(({ amount }) => amount))).toEqual([
      [-750, 750],
      [-750, 750],
    ]);
    expect(added[1]!.seq).toBeGreaterThan(added[0]!.seq);
    const store = await TestBed.inject(STORE);
    vi.spyOn(store, 'post').mockResolvedValue({ kind: 'full' });
    desk.post([draft('bought', moved(amber, 'outside', 'shelf', 750))]);
    expect(at(amber)).toBe(2430);
    await settle();
    expect(at(amber)).toBe(1680);
  });

  it('keeps what is being stored while something else is fetched, and fetches again afterwards', async () => {
    const { desk, at, settle, state } = await collection();
    const store = await TestBed.inject(STORE);
    const post = store.post.bind(store);
    let release = (): void => undefined;
    vi.spyOn(store, 'post').mockImplementation(async (what) => {
      await new Promise<void>((resolve) => (release = resolve));
      return post(what);
    });
    desk.post([draft('bought', moved(amber, 'outside', 'shelf', 750))]);
    state.dispatch(collectionActions.load());
    await settle();
    expect(at(amber)).toBe(930);
    await post([
      { ...draft('bought', moved(amber, 'outside', 'shelf', 100)), id: 'elsewhere', at: desk.time(), seq: 900 },
    ]);
    release();
    await settle();
    expect(at(amber)).toBe(1030);
  });

  it('takes towels through the laundry, hands one down, and keeps the library in step', async () => {
    const { element, press, set, settle, at, desk, job } = await collection();
    await set('Clean Wash towels, grey edge, counted', '10');
    expect(job.library().find(({ item }) => item.id === 't-wash')!.item).toMatchObject({ clean: 10 });
    await press('One to wheels: Wash towels, grey edge');
    expect(desk.balances().get(stockItem('towel', 't-wheels'))!.shelf).toBe(7);
    expect(at(wash)).toBe(9);
    desk.post([draft('used', moved(wash, 'shelf', 'dirty', 4))]);
    await settle();
    expect(element.textContent).toContain('rinseless concentrate.');
    for (const [step, place] of [
      ['Put to soak: 4', 'soaking'],
      ['Washed: 4', 'drying'],
      ['Dry and folded: 4', 'shelf'],
    ] as const) {
      await press(step);
      expect(at(wash, place)).toBe(place === 'shelf' ? 9 : 4);
    }
  });

  it('refuses what would leave less than nothing, and says so', async () => {
    const { desk } = await collection();
    const lacking = desk.post([draft('used', moved(amber, 'shelf', 'outside', 500))]);
    expect(lacking).toEqual([{ item: amber, place: 'shelf', amount: 320 }]);
  });
});
