import { describe, expect, it } from 'vitest';
import { indexText, minutes } from '@esmero/messages';
import { MethodStage } from './method.stage';
import { show } from '../../testing/show';

describe('method', () => {
  it('lays the methods side by side with totals and what blocks them', async () => {
    const { element, job } = await show(MethodStage);
    const time = minutes(job.plan()!.totals.minutes.value);
    expect(element.querySelectorAll('article')).toHaveLength(4);
    expect(element.querySelector('article[data-method="rinseless"]')?.textContent).toMatch(
      new RegExp(`the plan.*${time}`, 's'),
    );
    expect(element.querySelector('article[data-method="waterless"]')?.textContent).toContain('min');
  });

  it('takes the method that is asked for, and lets it go again', async () => {
    const { element, fixture, settle, job } = await show(MethodStage);
    const ask = async (): Promise<void> => {
      element.querySelector<HTMLButtonElement>('[data-method="waterless"] button')!.click();
      await settle();
      fixture.detectChanges();
    };
    await ask();
    expect(job.plan()!.method).toBe('waterless');
    await ask();
    expect(job.job()!.choices.method).toBe('auto');
  });

  it('lets every figure of the model be set otherwise, within its bounds', async () => {
    const { fixture, press, job } = await show(MethodStage);
    await press('All figures');
    const element = document.querySelector<HTMLElement>('.p-drawer')!;
    const field = element.querySelector<HTMLInputElement>('[id="a-limitBalanced"]')!;
    const type = (text: string): void => {
      field.value = text;
      Object.defineProperty(field, 'valueAsNumber', { configurable: true, value: Number(text) });
      field.dispatchEvent(new Event('blur'));
      fixture.detectChanges();
    };
    type('101');
    expect(job.job()!.choices.assumptions).toEqual({});
    expect(element.querySelector('.fault')?.textContent).toContain('from 1 to 100');
    type('20');
    expect(job.job()!.choices.assumptions).toEqual({ limitBalanced: 20 });
    const back = [...element.querySelectorAll('button')].find((b) => b.textContent?.includes('Back to 30'))!;
    back.click();
    expect(job.job()!.choices.assumptions).toEqual({});
  });

  it('says what would change the answer, and tries it', async () => {
    const { press, job, settle, fixture } = await show(MethodStage);
    await press('What would change');
    await settle();
    fixture.detectChanges();
    const card = [...document.querySelectorAll<HTMLElement>('esm-what-if .change')].find((one) =>
      /(Waterless|Rinseless|Hybrid),/.test(one.textContent ?? ''),
    )!;
    const [, method] = /(Waterless|Rinseless|Hybrid),/.exec(card.textContent ?? '')!;
    card.click();
    await settle();
    expect(job.plan()!.method).toBe(method!.toLowerCase());
  });

  it('tells one index of what is planned on a panel: that of the clock', async () => {
    const { element, fixture, view, job } = await show(MethodStage);
    view.choose('left-sill');
    fixture.detectChanges();
    const { option } = job.zonePlans().get('left-sill')!;
    expect(element.querySelector('esm-panel-options .chosen')?.textContent).toContain(
      `index ${indexText(option!.marring.index)}`,
    );
  });

  it('fixes a treatment on a zone by hand', async () => {
    const { fixture, view, press, job } = await show(MethodStage);
    view.choose('roof');
    fixture.detectChanges();
    await press('Leave');
    expect(job.job()!.choices.fixed).toEqual({ roof: 'leave' });
    expect(job.zonePlans().get('roof')!.treatment).toBe('leave');
  });
});
