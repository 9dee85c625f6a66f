import type { DayWeather } from '@esmero/model';
import { DayWeatherDocument, WeatherQuestionDocument } from './documents/weather';
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

/** Reads an answer of a weather service. Never throws. */
export function readWeather(text: string): Read<DayWeather> {
  const opened = openEnvelope(text, weatherFormat);
  if (!opened.ok) return opened;
  const faults = faultsIn(DayWeatherDocument, opened.value.content, 'weather');
  return faults.length > 0
    ? { ok: false, why: { code: 'faults', faults } }
    : { ok: true, value: opened.value.content as DayWeather };
}

export const writeWeather = (weather: DayWeather): string => writeEnvelope(weatherFormat, weather);

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
