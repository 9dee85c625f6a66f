import { describe, expect, it } from 'vitest';
import { finish, workOrdersOf } from '@esmero/core';
import { orderingText } from '@esmero/messages';
import { OrdersComponent } from './orders.component';
import { showWithTwoBuckets } from '../../testing/two-buckets';

describe('the orders of work', () => {
  it('are laid side by side when asked, and one is taken by a press', async () => {
    const { element, settle, job, desk } = await showWithTwoBuckets(OrdersComponent);
    const answer = finish(workOrdersOf(job));
    expect([...element.querySelectorAll('li .words')].map((one) => one.textContent!.split(': ')[0])).toEqual(
      answer.map((one) => orderingText(one, job.site.workers)),
    );
    const other = answer.find(({ now }) => !now)!;
    const button = [...element.querySelectorAll('button')].find(
      (one) => one.getAttribute('aria-label') === `Take: ${orderingText(other, job.site.workers)}`,
    )!;
    button.click();
    await settle();
    const { order, wheels, glass } = desk.job()!.choices;
    expect({ order, wheels, glass }).toEqual({ order: other.order, wheels: other.wheels, glass: other.glass });
  });
});
