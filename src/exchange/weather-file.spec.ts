import { describe, expect, it } from 'vitest';
import { celsius } from '@esmero/units';
import { readWeather, weatherQuestion, writeWeather } from '.';

const weather = {
  source: 'a test',
  hours: [{ hour: 9, airC: celsius(12), humidity: 0.5, windMs: 2, sunWm2: 300 }],
};

describe('weather as a service answers it', () => {
  it('is read as it was written', () => {
    expect(readWeather(writeWeather(weather))).toEqual({ ok: true, value: weather });
  });

  it('is refused with what is wrong and where', () => {
    const wrong = writeWeather({ ...weather, hours: [{ ...weather.hours[0]!, hour: 24, humidity: 60 }] });
    const read = readWeather(wrong);
    if (read.ok || read.why.code !== 'faults') throw new Error('was read');
    expect(read.why.faults.map(({ path }) => path)).toEqual(['weather.hours[0].hour', 'weather.hours[0].humidity']);
    expect(readWeather('<html>').ok).toBe(false);
    expect(readWeather('{"format":"esmero-job","version":1}').ok).toBe(false);
  });
});

describe('a question to a weather service', () => {
  it('is read out of an address', () => {
    expect(weatherQuestion({ latitude: '43.4', longitude: '-5', utcOffset: '1', date: '2031-07-14' })).toEqual({
      latitude: 43.4,
      longitude: -5,
      utcOffset: 1,
      date: '2031-07-14',
    });
  });

  it('is refused where a value is missing, no number or out of bounds', () => {
    const faults = weatherQuestion({ latitude: '91', longitude: '', date: '2031-13-14' });
    expect(Array.isArray(faults) && faults.map(({ path }) => path)).toEqual([
      'latitude',
      'longitude',
      'utcOffset',
      'date',
    ]);
  });
});
