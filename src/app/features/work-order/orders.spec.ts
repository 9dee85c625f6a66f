import { describe, expect, it } from 'vitest';
import type { Type } from '@angular/core';
import { finish, workOrdersOf, setChoices } from '@esmero/core';
import type { Job } from '@esmero/model';
import { orderingText } from '@esmero/messages';
import { OrdersComponent } from './orders.component';
import { show } from '../../testing/show';

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
