import { describe, expect, it } from 'vitest';
import type { Type } from '@angular/core';
import { bucketSpread, packingListOf, compareBuckets, finish, workOrdersOf, planJob, setChoices } from '@esmero/core';
import type { Job } from '@esmero/model';
import { grams, orderingText, roleName } from '@esmero/messages';
import { OrdersComponent } from '../features/work-order/orders.component';
import { BucketsComponent } from '../features/towels/buckets.component';
import { CarryComponent } from '../features/towels/carry.component';
import { PileComponent } from '../features/towels/pile.component';
import { show } from '../testing/show';

/** Plenty of everything, washed from two buckets. */
const bucketed = (one: Job): Job =>
  setChoices(
    { ...one, site: { ...one.site, waterL: 60, minutes: 300 }, towels: one.towels.map((towel) => ({ ...towel, clean: 20 })) },
    { method: 'rinseless', bucket: 'two-buckets' },
  );
const shown = async <T>(part: Type<T>) => {
  const all = await show(part, [], bucketed);
  return { ...all, desk: all.job, job: all.job.job()! };
};

describe('the buckets', () => {
  it('show each dip as the core has it, and light its zone', async () => {
    const { element, press, job, view } = await shown(BucketsComponent);
    const own = compareBuckets(job, planJob(job)).find(({ system, guards }) => system === 'two-buckets' && guards)!;
    expect(element.querySelectorAll('esm-bucket-section .wall')).toHaveLength(2);
    await press('One on');
    expect(element.querySelector('.said')!.textContent).toContain(`Dip 2 of ${own.run.dips.length}`);
    expect(element.querySelector('.said')!.textContent).toContain(grams(own.run.dips[1]!.carriedG));
    expect([...view.lit()]).toEqual([own.run.dips[1]!.zoneId]);
    await press('One back');
    expect(element.querySelector('.said')!.textContent).toContain('Dip 1 of');
  });

  it('say how sure that is when asked', async () => {
    const { element, press, settle, job } = await shown(BucketsComponent);
    await press('How sure');
    await settle();
    const spread = finish(bucketSpread(job, planJob(job)));
    const lines = [...element.querySelectorAll('li')].map((li) => li.textContent!.trim());
    expect(lines).toHaveLength(spread.length);
    spread.forEach(({ carriedG: { median } }, i) => expect(lines[i]).toContain(median > 0 ? grams(median) : 'nothing'));
  });
});

describe('what to carry', () => {
  it('is laid beside the plan', async () => {
    const { element, press, settle, job } = await shown(CarryComponent);
    await press('How many');
    await settle();
    const answer = finish(packingListOf(job, planJob(job)));
    const rows = [...element.querySelectorAll('tbody tr')].map((row) => row.textContent!);
    expect(rows).toHaveLength(answer.towels.length + answer.mixes.length + 2);
    answer.towels.forEach(({ carry }, i) => expect(rows[i]).toContain(String(carry)));
    expect(element.querySelector('thead')!.textContent).toContain('90 %');
  });
});

describe('the pile', () => {
  it('draws every towel of the plan, lights the zones of a side, and says the sides of a zone', async () => {
    const { element, settle, view, job } = await shown(PileComponent);
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
    const { element, settle } = await shown(PileComponent);
    element.querySelector<HTMLElement>('[role=slider]')!.dispatchEvent(new KeyboardEvent('keydown', { code: 'Home', bubbles: true }));
    await settle();
    const heights = [...element.querySelectorAll('.used')].map((used) => Number(used.getAttribute('height')));
    expect(Math.max(...heights)).toBe(0);
    expect(element.textContent).toContain('Before the first wipe');
  });

  it('sets a towel aside for what is chosen beside its name, but no wheel towel', async () => {
    const { element, settle, job, desk } = await shown(PileComponent);
    const first = desk.plan()!.towels[0]!.role;
    const [from, to] = [first, first === 'glass' ? ('wash' as const) : ('glass' as const)];
    const clean = (role: string, one: Job): number => one.towels.filter((batch) => batch.role === role).reduce((sum, batch) => sum + batch.clean, 0);
    element.querySelector<HTMLElement>('esm-towel-square [role=combobox]')!.click();
    await settle();
    [...document.querySelectorAll<HTMLElement>('[role=option]')].find((option) => option.textContent?.includes(roleName[to]))!.click();
    await settle();
    expect(clean(to, desk.job()!)).toBe(clean(to, job) + 1);
    expect(clean(from, desk.job()!)).toBe(clean(from, job) - 1);
    const wheelTowel = [...element.querySelectorAll('esm-towel-square')].find((one) => one.textContent.includes('wheel towels') && !one.querySelector('[role=combobox]'));
    expect(wheelTowel).toBeDefined();
  });
});

describe('the orders of work', () => {
  it('are laid side by side when asked, and one is taken by a press', async () => {
    const { element, settle, job, desk } = await shown(OrdersComponent);
    const answer = finish(workOrdersOf(job));
    expect([...element.querySelectorAll('li .words')].map((one) => one.textContent!.split(': ')[0])).toEqual(answer.map((one) => orderingText(one, job.site.workers)));
    const other = answer.find(({ now }) => !now)!;
    const button = [...element.querySelectorAll('button')].find((one) => one.getAttribute('aria-label') === `Take: ${orderingText(other, job.site.workers)}`)!;
    button.click();
    await settle();
    const { order, wheels, glass } = desk.job()!.choices;
    expect({ order, wheels, glass }).toEqual({ order: other.order, wheels: other.wheels, glass: other.glass });
  });
});
