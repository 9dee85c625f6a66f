import { describe, expect, it } from 'vitest';
import { planJob } from '@esmero/core';
import type { Job } from '@esmero/model';
import { roleName } from '@esmero/messages';
import { PileComponent } from './pile.component';
import { showWithTwoBuckets } from '../../testing/two-buckets';

describe('the pile', () => {
  it('draws every towel of the plan, lights the zones of a side, and says the sides of a zone', async () => {
    const { element, settle, view, job } = await showWithTwoBuckets(PileComponent);
    const { towels, mitts } = planJob(job);
    expect(element.querySelectorAll('esm-towel-square')).toHaveLength(towels.length);
    expect(element.querySelectorAll('.mitts li')).toHaveLength(mitts.length);
    element.querySelector('esm-towel-square g[tabindex]')!.dispatchEvent(new Event('focus'));
    await settle();
    expect([...view.lit()]).toEqual([...new Set(towels[0]!.sides[0]!.entries.map(({ zoneId }) => zoneId))]);
    element.querySelector('esm-towel-square g[tabindex]')!.dispatchEvent(new Event('blur'));
    view.hover('roof');
    await settle();
    expect(element.querySelector('.said')!.textContent).toContain('Roof: ');
    expect(element.querySelectorAll('.touched').length).toBeGreaterThan(0);
  });

  it('empties the towels at the start of the run', async () => {
    const { element, settle } = await showWithTwoBuckets(PileComponent);
    element
      .querySelector<HTMLElement>('[role=slider]')!
      .dispatchEvent(new KeyboardEvent('keydown', { code: 'Home', bubbles: true }));
    await settle();
    const heights = [...element.querySelectorAll('.used')].map((used) => Number(used.getAttribute('height')));
    expect(Math.max(...heights)).toBe(0);
    expect(element.textContent).toContain('Before the first wipe');
  });

  it('sets a towel aside for what is chosen beside its name, but no wheel towel', async () => {
    const { element, settle, job, desk } = await showWithTwoBuckets(PileComponent);
    const first = desk.plan()!.towels[0]!.role;
    const [from, to] = [first, first === 'glass' ? ('wash' as const) : ('glass' as const)];
    const clean = (role: string, one: Job): number =>
      one.towels.filter((batch) => batch.role === role).reduce((sum, batch) => sum + batch.clean, 0);
    element.querySelector<HTMLElement>('esm-towel-square [role=combobox]')!.click();
    await settle();
    [...document.querySelectorAll<HTMLElement>('[role=option]')]
      .find((option) => option.textContent?.includes(roleName[to]))!
      .click();
    await settle();
    expect(clean(to, desk.job()!)).toBe(clean(to, job) + 1);
    expect(clean(from, desk.job()!)).toBe(clean(from, job) - 1);
    const wheelTowel = [...element.querySelectorAll('esm-towel-square')].find(
      (one) => one.textContent.includes('wheel towels') && !one.querySelector('[role=combobox]'),
    );
    expect(wheelTowel).toBeDefined();
  });
});
