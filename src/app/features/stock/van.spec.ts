import { describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { VanStock } from '../../state/van-stock';
import { show } from '../../testing/show';
import { VanComponent } from './van.component';

async function van() {
  const all = await show(VanComponent);
  await all.settle();
  return { ...all, stock: TestBed.inject(VanStock) };
}

describe('the van', () => {
  it('says what is in its tanks, is filled up and emptied at a press', async () => {
    const { element, press, settle, stock } = await van();
    expect(element.querySelector('h2')!.textContent).toContain('The small electric van');
    expect(element.textContent).toMatch(/Vessels.*Wash bucket.*Gear.*Cordless washer/s);
    stock.change({ inTankL: 12, inDirtyL: 30 });
    await settle();
    expect(element.querySelector('.tank svg')!.getAttribute('aria-label')).toContain('12 of 60 L, 20 %');
    await press('Filled up');
    await press('Emptied');
    expect(stock.van()).toMatchObject({ inTankL: 60, inDirtyL: 0 });
  });

  it('counts the towels and packs of the stock as its own', async () => {
    const { stock } = await van();
    expect(stock.stock()).toMatchObject({ towels: { drying: 2, wash: 14 }, batteryMin: 24 });
    // Products that were never counted are not known to run out.
    expect(stock.products().length).toBeGreaterThan(0);
    expect(stock.products().every(({ ml }) => ml >= 0)).toBe(true);
  });
});
