import { InjectionToken } from '@angular/core';
import type { DayWeather, Job } from '@esmero/model';

/** A day's weather, or why there is none. */
export type Forecasted =
  | { readonly ok: true; readonly weather: DayWeather; readonly rainFromHour: number | null }
  | { readonly ok: false; readonly why: 'unreachable' | 'unreadable' };

/** Asks a weather service for the day and place of a job. */
export type WeatherService = (job: Pick<Job, 'site' | 'date'>) => Promise<Forecasted>;

export const WEATHER = new InjectionToken<WeatherService>('weather', { factory: () => weatherOfServer });

/** The service that the application's own server offers; it says of itself that it is simulated. */
async function weatherOfServer({ site, date }: Pick<Job, 'site' | 'date'>): Promise<Forecasted> {
  const query = new URLSearchParams({
    latitude: String(site.latitudeDeg),
    longitude: String(site.longitudeDeg),
    utcOffset: String(site.utcOffsetH),
    date,
  });
  const answer = await fetch(`/api/weather?${query}`).catch(() => null);
  if (!answer?.ok) return { ok: false, why: 'unreachable' };
  const { rainFrom, readWeather, withoutRain } = await import('@esmero/exchange');
  const read = readWeather(await answer.text());
  return read.ok
    ? { ok: true, weather: withoutRain(read.value), rainFromHour: rainFrom(read.value) }
    : { ok: false, why: 'unreadable' };
}
