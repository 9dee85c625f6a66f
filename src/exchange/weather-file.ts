import type { DayWeather, WeatherHour } from '@esmero/model';
import { ForecastDocument, WeatherQuestionDocument } from './documents/weather';
import { type Format, openEnvelope, writeEnvelope } from './envelope';
import type { Fault, Read } from './fault';
import { faultsIn } from './validate';

/** A day's weather as a weather service answers it. */
export const weatherFormat: Format = {
  name: 'esmero-weather',
  version: 1,
  most: 100_000,
  key: 'weather',
  migrations: [],
};

/** What a service tells: the weather, and rain where it knows of any. */
export interface Forecast extends DayWeather {
  readonly hours: readonly (WeatherHour & { readonly rainMmH?: number })[];
}

/** Less in an hour wets nothing (judged), mm. */
const DRIZZLE_MM = 0.2;

/** From which hour it rains; null where it stays dry. */
export const rainFrom = ({ hours }: Forecast): number | null =>
  hours.find(({ rainMmH = 0 }) => rainMmH >= DRIZZLE_MM)?.hour ?? null;

/** The weather as a job keeps it. */
export const withoutRain = ({ source, hours }: Forecast): DayWeather => ({
  source,
  hours: hours.map(({ rainMmH: _rain, ...hour }) => hour),
});

/** Reads an answer of a weather service. Never throws. */
export function readWeather(text: string): Read<Forecast> {
  const opened = openEnvelope(text, weatherFormat);
  if (!opened.ok) return opened;
  const faults = faultsIn(ForecastDocument, opened.value.content, 'weather');
  return faults.length > 0
    ? { ok: false, why: { code: 'faults', faults } }
    : { ok: true, value: opened.value.content as Forecast };
}

export const writeWeather = (weather: Forecast): string => writeEnvelope(weatherFormat, weather);

/** What a weather service is asked for. */
export type WeatherQuestion = Readonly<WeatherQuestionDocument>;

/** A question out of an address, whose values are texts, or what is wrong with it. */
export function weatherQuestion(query: Readonly<Record<string, unknown>>): WeatherQuestion | readonly Fault[] {
  const number = (text: unknown): unknown => (typeof text === 'string' && text.trim() !== '' ? Number(text) : text);
  const plain = {
    latitude: number(query['latitude']),
    longitude: number(query['longitude']),
    utcOffset: number(query['utcOffset']),
    date: query['date'],
  };
  const faults = faultsIn(WeatherQuestionDocument, plain);
  return faults.length > 0 ? faults : (plain as WeatherQuestion);
}
