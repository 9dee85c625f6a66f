import { describe, expect, it } from 'vitest';
import { atHour, planJob } from '@esmero/core';
import { celsius } from '@esmero/units';
import { show } from '../../testing/show';
import { type } from '../../testing/type';
import { forecastWords, soilLooks } from '../../ui/net/looks';
import { WalkRoundStage } from './walk-round.stage';

describe('the walk-round', () => {
  it('shows the forecast through a veil where nobody has looked, and marks as pins', async () => {
    const { job } = await show(WalkRoundStage);
    const zones = job.zones();
    const looks = soilLooks(zones, { ...job.job()!, soil: {} });
    expect(looks.get('left-sill')).toMatchObject({ forecast: true, fill: expect.stringMatching(/^soil-/) });
    expect(looks.get('left-sill')!.says).toContain('factor of two');
    expect(looks.get('roof')!.pins).toBe(1);
    const plan = planJob({ ...job.job()!, soil: {} });
    const sill = plan.zones.find(({ zone: { id } }) => id === 'left-sill')!;
    expect(forecastWords(sill.soil, job.units())).toMatch(/road film [\d.]+ g\/m².*factor of 2/);
    expect(soilLooks(zones, { ...job.job()!, soil: {}, since: [] }).get('roof')!.fill).toBe('unseen');
  });

  it('takes stretches of days, a panel’s warmth, and marks that were there before', async () => {
    const { press, element, job, view, settle } = await show(WalkRoundStage);
    await press('Change the days');
    await press('Add a period');
    expect(job.job()!.since).toHaveLength(2);
    type(element.querySelectorAll<HTMLInputElement>('esm-since input')[1]!, '-4');
    expect(job.job()!.since[0]!.km).toBe(140);
    await settle();
    expect(element.querySelector('esm-since .fault')?.textContent).toContain('from 0 to 200000 km');
    type(element.querySelectorAll<HTMLInputElement>('esm-since input')[1]!, '200');
    await settle();
    expect(job.job()!.since[0]!.km).toBe(200);
    view.choose('bonnet');
    await settle();
    await press('Thermometer (simulated)');
    expect(job.job()!.readings.bonnet).toBeGreaterThan(15);
    type(element.querySelector<HTMLInputElement>('#panel-reading')!, '400');
    await settle();
    expect(element.querySelector('esm-reading .fault')).not.toBeNull();
    type(element.querySelector<HTMLInputElement>('#panel-reading')!, '41.5');
    await settle();
    expect(job.job()!.readings.bonnet).toBe(41.5);
    await press('Note a mark');
    expect(job.job()!.marks.at(-1)).toMatchObject({ zone: 'bonnet', kind: 'scratch' });
  });

  it('keeps a reading for its hour only', async () => {
    const { job } = await show(WalkRoundStage);
    job.edit('read', (one) => ({ ...one, readings: { roof: celsius(40) } }));
    job.edit('later', (one) => atHour(one, 15));
    expect(job.job()!.readings).toEqual({});
  });
});
