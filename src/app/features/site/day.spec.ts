import { describe, expect, it } from 'vitest';
import type { Provider } from '@angular/core';
import type { DayWeather } from '@esmero/model';
import { celsius } from '@esmero/units';
import { WEATHER, type WeatherService } from '../../state/weather';
import { show } from '../../testing/show';
import { DayComponent } from './day.component';

const weather: DayWeather = {
  source: 'a test',
  hours: Array.from({ length: 24 }, (_, hour) => ({
    hour,
    airC: celsius(10 + hour),
    humidity: 0.5,
    windMs: 1,
    sunWm2: 0,
  })),
};

const answering = (service: WeatherService): Provider => ({ provide: WEATHER, useValue: service });

describe('the day', () => {
  it('takes the weather of a service, moves the hour, and goes back to what is typed', async () => {
    const { press, job, element, settle } = await show(DayComponent, [
      answering(async () => ({ ok: true, weather, rainFromHour: null })),
    ]);
    expect(element.querySelectorAll('esm-day-ribbon rect.good').length).toBeGreaterThanOrEqual(10);
    await press('Weather by the hour');
    expect(job.job()!.site.airC).toBe(20);
    element
      .querySelector<HTMLElement>('[role=slider]')!
      .dispatchEvent(new KeyboardEvent('keydown', { code: 'ArrowRight', bubbles: true }));
    await settle();
    expect(job.job()).toMatchObject({ hour: 10.5, site: { airC: 20.5 } });
    await press('Type the weather');
    expect(job.job()!.weather).toBeNull();
  });

  it('says so when no weather is to be had, and leaves what is typed', async () => {
    const { press, job, element } = await show(DayComponent, [
      answering(async () => ({ ok: false, why: 'unreachable' })),
    ]);
    const before = job.job();
    await press('Weather by the hour');
    expect(element.querySelector('[role="alert"]')?.textContent).toContain('did not answer');
    expect(job.job()).toBe(before);
  });

  it('offers shade and a later hour where panels are too hot, and takes them at a press', async () => {
    const { press, job, element, settle } = await show(DayComponent);
    job.edit('hot', (one) => ({
      ...one,
      hour: 13,
      vehicle: { ...one.vehicle, colour: 'black' },
      site: { ...one.site, shade: false, sunWm2: 900, airC: celsius(31), windMs: 0.5 },
    }));
    await settle();
    expect(element.textContent).toContain('In the shade these could be worked');
    await press('Shade the car');
    expect(job.job()!.site.shade).toBe(true);
    expect(element.textContent).toContain('Every panel can be worked');
  });
});
