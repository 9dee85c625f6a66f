import { describe, expect, it } from 'vitest';
import { show } from '../../testing/show';
import { WorkOrderStage } from './work-order.stage';

describe('the work order', () => {
  it('names what was there before, what stays, and dries the body where that is the approach', async () => {
    const { element, job, settle } = await show(WorkOrderStage);
    expect(element.textContent).toContain('Existing marks: Left front door, lower: scratch');
    job.edit('tar', (one) => ({
      ...one,
      products: one.products.filter(({ id }) => id !== 'p-tar'),
      towels: one.towels.map((batch) => ({ ...batch, clean: 20 })),
      soil: { ...one.soil, roof: { deposits: [], spots: { tar: 2 } } },
      choices: { ...one.choices, drying: 'body', method: 'rinseless' },
    }));
    await settle();
    expect(element.textContent).toContain('2 tar spots stay');
    expect([...element.querySelectorAll('.lap h3')].map((title) => title.textContent)).toContainEqual(
      expect.stringContaining('Dry the body'),
    );
  });
});
