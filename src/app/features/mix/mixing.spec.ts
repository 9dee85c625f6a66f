import { describe, expect, it } from 'vitest';
import { show } from '../../testing/show';
import { type } from '../../testing/type';
import { MixStage } from './mix.stage';

describe('mixing', () => {
  it('advises a strength within the label’s band, labels the vessel, and counts no caps unmeasured', async () => {
    const { press, element, job, settle, fixture } = await show(MixStage);
    await press('Use this strength');
    expect(job.job()!.products.some(({ uses }) => uses.some(({ origin }) => origin === 'computed'))).toBe(true);
    await press('Vessel label');
    expect(element.querySelector('.vessel-label')?.textContent).toContain('1 to');
    (fixture.componentInstance as unknown as { measureWith(kind: string): void }).measureWith('cap');
    await settle();
    expect(job.job()!.device.kind).toBe('syringe');
    expect(element.textContent).toContain('Measure your cap first');
    type(element.querySelector<HTMLInputElement>('#step')!, '12');
    await settle();
    expect(job.job()!.device).toMatchObject({ kind: 'cap', stepMl: 12, capacityMl: 12 });
  });
});
