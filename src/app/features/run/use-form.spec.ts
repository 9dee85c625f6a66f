import { describe, expect, it } from 'vitest';
import { TestBed } from '@angular/core/testing';
import { amountAt, planJob, stockItem, tasksOf } from '@esmero/core';
import { type Place, usedIn } from '@esmero/model';
import { RunStage } from './run.stage';
import { CollectionDesk } from '../../state/collection-desk';
import { VanStock } from '../../state/van-stock';
import { show } from '../../testing/show';

describe('what was used', () => {
  it('is counted at the end of a run, as planned until somebody says otherwise, and corrected with the first count kept', async () => {
    const { element, press, settle, job } = await show(RunStage);
    const tasks = tasksOf(job.plan()!);
    await press('Begin');
    for (const _task of tasks) await press('Done');
    await press('The run is over');
    await settle();
    const plan = planJob({ ...job.job()!, run: null });
    const field = (name: string): HTMLInputElement => element.querySelector<HTMLInputElement>(`[id="use-${name}"]`)!;
    const submit = async (): Promise<void> => {
      element.querySelector('esm-use-form form')!.dispatchEvent(new Event('submit'));
      await settle();
    };
    expect(field('towels-wash').value).toBe(String(plan.towels.filter(({ role }) => role === 'wash').length));
    const write = async (input: HTMLInputElement, text: string): Promise<void> => {
      input.value = text;
      input.dispatchEvent(new Event('blur'));
      await settle();
    };
    await write(field('towels-wash'), '6');
    await press('Weigh it instead: Rinseless wash');
    const scale = (name: string): HTMLInputElement =>
      element.querySelector<HTMLInputElement>(`input[aria-label="${name}"]`)!;
    await write(scale('The empty vessel'), '480');
    await write(scale('On the scale'), '400');
    expect(element.querySelector('esm-use-form .fault')!.textContent).toContain('cannot weigh less');
    await write(scale('On the scale'), '480');
    expect(field('ml-wash').value).toBe('0 mL');
    await press('Mixed more: Rinseless wash');
    await write(field('more-wash'), '500');
    await submit();
    const used = usedIn(job.job()!.run!)!;
    expect(used.towels.find(({ role }) => role === 'wash')).toMatchObject({ opened: 6 });
    const wash = plan.mix.mixes.find(({ content }) => content === 'wash')!;
    expect(used.mixes.find(({ purpose }) => purpose === 'wash')!.usedMl).toBeCloseTo(
      500 + wash.fills.reduce((sum, { totalMl }) => sum + totalMl, 0),
      6,
    );
    expect(field('more-wash').value).toBe('500 mL');
    expect(element.textContent).toContain('Noted in the log');
    await write(field('towels-wash'), '5');
    field('because').value = 'One was in the wrong pile';
    field('because').dispatchEvent(new Event('input'));
    await submit();
    expect(job.job()!.run!.counts.map(({ because }) => because)).toEqual(['', 'One was in the wrong pile']);
    expect(element.textContent).toContain('1 earlier count is kept');
  });

  it('is taken off stock: towels to the laundry, product out of its bottle', async () => {
    const { element, press, settle, job } = await show(RunStage);
    const collection = TestBed.inject(CollectionDesk);
    const wash = job.job()!.towels.find(({ role }) => role === 'wash')!;
    const at = (place: Place): number => amountAt(collection.balances(), stockItem('towel', wash.id), place);
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
    const van = TestBed.inject(VanStock);
    const tank = van.van().inTankL;
    // A day that ticked the stop took what was planned: counted, it is not taken once more.
    const { id: jobId } = job.job()!;
    van.draw({ jobId, litres: 3, counted: false });
    expect(van.van().inTankL).toBeCloseTo(tank - 3, 6);
    await press('Take it off stock');
    await settle();
    expect(van.van().inTankL).toBeCloseTo(tank - usedIn(job.job()!.run!)!.waterL!, 6);
    van.draw({ jobId, litres: 5, counted: false });
    expect(van.van().inTankL).toBeCloseTo(tank - usedIn(job.job()!.run!)!.waterL!, 6);
    expect(at('reserved')).toBe(0);
    expect(at('dirty')).toBe(usedIn(job.job()!.run!)!.towels.find(({ role }) => role === 'wash')!.opened);
    expect(at('shelf') + at('dirty')).toBe(whole);
    expect(element.textContent).toContain('Taken off stock');
    const entry = TestBed.inject(CollectionDesk)
      .library()
      .find(({ item }) => item.id === wash.id)!;
    expect(entry.item).toMatchObject({ clean: at('shelf') });
    const field = element.querySelector<HTMLInputElement>('[id="use-towels-wash"]')!;
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
