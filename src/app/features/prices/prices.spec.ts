import { describe, expect, it, vi } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { BusinessDesk } from '../../state/business-desk';
import { show } from '../../testing/show';
import { type } from '../../testing/type';
import { PricesPage } from './prices.page';

describe('one’s own prices', () => {
  it('are kept as they are typed', async () => {
    const { element, settle, fixture } = await show(PricesPage);
    element.ownerDocument.body.append(fixture.nativeElement as HTMLElement);
    const desk = TestBed.inject(BusinessDesk);
    const field = [...element.querySelectorAll('label')].find(({ textContent }) =>
      textContent.includes('An hour of one person'),
    )!;
    const input = element.ownerDocument.getElementById(field.htmlFor) as HTMLInputElement;
    type(input, '41.5');
    await settle();
    // The rules are fetched when they are first needed.
    await vi.waitFor(() => expect(desk.business().hourMinor).toBe(4150), 20_000);
    expect(desk.isSet()).toBe(true);
  });

  it('stay the same amounts in another currency, whatever its smallest coin is', async () => {
    const { fixture, settle } = await show(PricesPage);
    const desk = TestBed.inject(BusinessDesk);
    const page = fixture.componentInstance as unknown as { change(item: object): void };
    page.change({ ...desk.business(), currency: 'JPY' });
    await settle();
    expect(desk.business()).toMatchObject({ currency: 'JPY', hourMinor: 18, roundToMinor: 1 });
    page.change({ ...desk.business(), currency: 'KWD' });
    await settle();
    expect(desk.business()).toMatchObject({ currency: 'KWD', hourMinor: 18_000 });
  });
});
