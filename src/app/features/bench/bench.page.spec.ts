import { describe, expect, it } from 'vitest';
import { show } from '../../testing/show';
import { pressable } from '../../testing/pressable';
import { type } from '../../testing/type';
import { BenchPage } from './bench.page';

describe('the mixing page', () => {
  it('works any dilution out at the bench, both ways a label may be read', async () => {
    const { element, settle } = await show(BenchPage);
    expect(element.textContent).toContain('31 mL of product');
    const number = element.querySelector<HTMLInputElement>('#number')!;
    type(number, '4', 'input');
    await settle();
    expect(element.textContent).toContain('1.6 L of product');
    expect(element.textContent).toContain('1 part in 4 parts of mix');
    expect(element.textContent).toMatch(/25 % more product/);
    type(number, 'a lot', 'input');
    await settle();
    expect(element.querySelector('.note.stop')?.textContent).toContain('makes no mix');
    type(number, '256', 'input');
    const size = element.querySelector<HTMLInputElement>('#volume')!;
    type(size, '20000', 'input');
    await settle();
    expect(element.querySelectorAll('esm-vessel-drawing')).toHaveLength(1);
  });

  it('says what somebody has mixed, and what the label wants', async () => {
    const { element, settle } = await show(BenchPage);
    pressable(element, 'What did I mix?')!.click();
    await settle();
    const says = (): string => element.querySelector('[data-poured]')!.textContent!;
    expect(says()).toContain('That is 1 to 256. 1 to 256 wants 2.5 of them');
    type(element.querySelector<HTMLInputElement>('#number')!, '128', 'input');
    await settle();
    expect(says()).toContain('1 to 128 wants 5.0 of them');
    expect(element.textContent).toContain('7.81 mL a litre');
  });
});
