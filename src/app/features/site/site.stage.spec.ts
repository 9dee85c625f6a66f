import { describe, expect, it, vi } from 'vitest';
import { SiteStage } from './site.stage';
import { pressable } from '../../testing/pressable';
import { show } from '../../testing/show';

describe('site', () => {
  it('takes a valid change and shows what is wrong with another', async () => {
    const { fixture, element, job } = await show(SiteStage);
    const type = (label: string, text: string): void => {
      const found = [...element.querySelectorAll('label')].find((one) => one.textContent?.startsWith(label))!;
      const input = element.querySelector<HTMLInputElement>(`[id="${found.htmlFor}"]`)!;
      input.value = text;
      input.dispatchEvent(new Event('blur'));
    };
    type('Water brought', '30');
    await vi.waitFor(() => expect(job.job()!.site.waterL).toBe(30), 20_000);
    fixture.detectChanges();
    type('Water brought', '-5');
    await vi.waitFor(() => {
      fixture.detectChanges();
      expect(element.querySelector('.fault')?.textContent).toContain('from 0');
    }, 20_000);
    expect(job.job()!.site.waterL).toBe(30);
  });

  it('asks what is washed: a part more or less, or as it is sold', async () => {
    const { element, settle, job } = await show(SiteStage);
    const pressed = (name: string): boolean => pressable(element, name)!.getAttribute('aria-pressed') === 'true';
    expect(pressed('Wheels and tyres')).toBe(true);
    pressable(element, 'Wheels and tyres')!.click();
    await settle();
    expect(job.job()!.scope).toEqual(['body', 'trim', 'glass', 'shuts', 'boot-sill']);
    expect(
      job
        .plan()!
        .zones.filter(({ inScope }) => !inScope)
        .every(({ treatment }) => treatment === 'leave'),
    ).toBe(true);
    pressable(element, 'Show-floor touch-up')!.click();
    await settle();
    expect(job.job()!.soldAs).toMatchObject({ name: 'Show-floor touch-up', priceMinor: 3500 });
    expect([pressed('Bodywork'), pressed('Door shuts')]).toEqual([true, false]);
  });

  it('offers the clients one has where the name is nobody’s, and knows them by what is typed', async () => {
    const { element, settle, job } = await show(SiteStage);
    const offers = (): boolean => element.querySelector('[aria-label="Somebody you know"]') !== null;
    const write = async (text: string): Promise<void> => {
      const field = element.querySelector<HTMLInputElement>('#job-client')!;
      field.value = text;
      field.dispatchEvent(new Event('input'));
      field.dispatchEvent(new Event('blur'));
      await settle();
    };
    expect([job.job()!.clientId, offers()]).toEqual(['c-household', false]);
    await write('Somebody new');
    expect([job.job()!.clientId, offers()]).toEqual([null, true]);
    await write('Ferry crew');
    expect([job.job()!.clientId, offers()]).toEqual(['c-ferry', false]);
  });
});
