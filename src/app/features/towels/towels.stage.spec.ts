import { describe, expect, it } from 'vitest';
import { TowelsStage } from './towels.stage';
import { show } from '../../testing/show';

describe('towels', () => {
  it('draws every towel with its sides and lights the zones of a side', async () => {
    const { element, job, view } = await show(TowelsStage);
    const towels = job.plan()!.towels;
    expect(element.querySelectorAll('esm-towel-square')).toHaveLength(towels.length);
    const side = element.querySelector<SVGElement>('esm-towel-square g[role="button"]')!;
    side.dispatchEvent(new Event('focus'));
    const zones = towels[0]!.sides[0]!.entries.map(({ zoneId }) => zoneId);
    expect([...view.lit()]).toEqual([...new Set(zones)]);
    expect(element.querySelectorAll('esm-towel-square')[0]!.querySelectorAll('rect.cloth')).toHaveLength(
      towels[0]!.fold,
    );
  });

  it('plans again when fewer towels are clean', async () => {
    const { element, fixture, job, settle } = await show(TowelsStage);
    const wheels = element.querySelector<HTMLInputElement>('[id="clean-t-wheels"]')!;
    wheels.value = '-3';
    wheels.dispatchEvent(new Event('blur'));
    fixture.detectChanges();
    expect(element.querySelector('.fault')?.textContent).toContain('from 0');
    wheels.value = '0';
    wheels.dispatchEvent(new Event('blur'));
    await settle();
    expect(job.job()!.towels.find(({ id }) => id === 't-wheels')!.clean).toBe(0);
  });
});
