import { describe, expect, it } from 'vitest';
import { WorkOrderStage } from './work-order.stage';
import { show } from '../../testing/show';

describe('work order', () => {
  it('lists every pass once, in order, with the cautions', async () => {
    const { element, job } = await show(WorkOrderStage);
    const numbers = [...element.querySelectorAll('.no')].map((n) => n.textContent).filter((text) => text !== '');
    expect(numbers).toEqual(job.plan()!.timeline.passes.map(({ number }) => String(number)));
    expect(element.querySelector('.care')?.textContent).toContain('Local codes');
    expect(element.querySelector('esm-run-chart svg')).not.toBeNull();
  });
});
