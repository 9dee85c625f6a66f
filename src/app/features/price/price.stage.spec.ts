import { describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { finish, quoteOf } from '@esmero/core';
import { minorUnits } from '@esmero/units';
import { money } from '@esmero/messages';
import { BusinessDesk } from '../../state/business-desk';
import { Entries } from '../../state/entries';
import { show } from '../../testing/show';
import { billPaper } from './bill-paper';
import { PriceStage } from './price.stage';

async function stage(change?: Parameters<typeof show>[2]) {
  const all = await show(PriceStage, [], change);
  await all.settle();
  const business = (): ReturnType<BusinessDesk['business']> => TestBed.inject(BusinessDesk).business();
  const total = (): string => all.element.querySelector('[data-price]')!.textContent.trim();
  return { ...all, business, total, entries: TestBed.inject(Entries) };
}

describe('the price of a job', () => {
  it('is what the core works out, with the costs for oneself beside it', async () => {
    const { element, job, business, total, entries } = await stage();
    const quote = finish(
      quoteOf({ job: { ...job.job()!, bills: [], run: null }, business: business(), van: entries.items('van')[0]! }),
    )!;
    expect(total()).toBe(money(quote.price.totalMinor, 'EUR'));
    expect(element.querySelectorAll('.costs li')).toHaveLength(quote.price.costs.length);
    expect(element.textContent).toContain(money(quote.price.keptMinor, 'EUR'));
    expect(element.textContent).toContain('If there is grit on the lower half');
  });

  it('becomes a quote, an invoice and is paid, each with its number, and can be taken back', async () => {
    const { element, press, settle, job, total } = await stage();
    await press('Make a quote');
    const [quoted] = job.job()!.bills;
    expect(quoted).toMatchObject({
      kind: 'quote',
      totalMinor: expect.any(Number),
      to: expect.stringContaining('Household on Lantern Steps\n7 Lantern Steps'),
    });
    expect(money(quoted!.totalMinor, 'EUR')).toBe(total());
    await press('Invoice Quote');
    const invoice = job.job()!.bills[1]!;
    expect(invoice).toMatchObject({ kind: 'invoice', totalMinor: quoted!.totalMinor, paidOn: null });
    await press('Paid');
    expect(job.job()!.bills[1]!.paidOn).not.toBeNull();
    expect(element.querySelectorAll('[data-bill]')).toHaveLength(2);
    job.undo();
    job.undo();
    job.undo();
    await settle();
    expect(element.textContent).toContain('Nothing has been quoted or billed.');
  });

  it('never tells the client what it costs, nor what is kept', async () => {
    const { press, job, business } = await stage();
    await press('Make a quote');
    const bill = job.job()!.bills[0]!;
    const says = JSON.stringify(billPaper(bill, business()));
    for (const secret of [bill.costMinor, bill.netMinor - bill.costMinor])
      expect(says).not.toContain(money(secret, 'EUR').slice(1));
    expect(says).not.toMatch(/margin|overhead|labour|cost/i);
    expect(says).toContain(money(bill.totalMinor, 'EUR'));
  });

  it('follows one’s own prices, and says when it is no longer what was quoted', async () => {
    const { element, press, settle, total, business } = await stage();
    await press('Make a quote');
    const before = total();
    TestBed.inject(BusinessDesk).put({ ...business(), hourMinor: minorUnits(6000) });
    await settle();
    await settle();
    expect(total()).not.toBe(before);
    expect(element.textContent).toContain('The price has changed since it was quoted.');
  });

  it('of several cars is less for each', async () => {
    const { press, job } = await stage();
    await press('5');
    await press('Make a quote');
    const [bill] = job.job()!.bills;
    expect(bill!.lines.map(({ count }) => count)).toEqual([5, 1]);
    expect(bill!.lines[1]!.minor).toBeLessThan(0);
  });

  it('says that there is none where the car cannot be washed', async () => {
    const { element } = await stage((one) => ({ ...one, site: { ...one.site, minutes: 1 } }));
    expect(element.textContent).toContain('so there is no price');
    expect(element.querySelector('[data-price]')).toBeNull();
  });
});
