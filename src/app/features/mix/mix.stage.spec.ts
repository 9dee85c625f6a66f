import { describe, expect, it } from 'vitest';
import { MixStage } from './mix.stage';
import { show } from '../../testing/show';

describe('mix', () => {
  it('draws every vessel with its lines and says the amounts', async () => {
    const { element, job } = await show(MixStage);
    const mixes = job.plan()!.mix.mixes;
    expect(element.querySelectorAll('esm-vessel-drawing')).toHaveLength(mixes.length);
    expect(element.querySelector('[data-content="wash"] svg')?.getAttribute('aria-label')).toMatch(/water to \d/);
  });

  it('measures with another device and leaves a product behind', async () => {
    const { element, press, job } = await show(MixStage);
    const step = element.querySelector<HTMLInputElement>('#step')!;
    step.value = '5';
    step.dispatchEvent(new Event('blur'));
    expect(job.job()!.device.stepMl).toBe(5);
    await press('Waterless concentrate');
    expect(job.job()!.products.some(({ id }) => id === 'p-amber')).toBe(false);
  });
});
