import { describe, expect, it } from 'vitest';
import { rainFrom, readWeather, withoutRain, writeWeather } from '@esmero/exchange';
import { simulatedWeather } from './weather';

const at = (date: string, latitude = 43.4) => ({ latitude, longitude: 5.2, utcOffset: 1, date });
const noon = (date: string, latitude?: number) => simulatedWeather(at(date, latitude)).hours[12]!;

describe('the simulated weather service', () => {
  it('says that it is simulated, and the same of the same place and day', () => {
    const weather = simulatedWeather(at('2031-07-14'));
    expect(weather.source).toContain('simulated');
    expect(simulatedWeather(at('2031-07-14'))).toEqual(weather);
    expect(simulatedWeather(at('2031-07-19'))).not.toEqual(weather);
  });

  it('keeps within the rules of its format on every day of the year, from the tropics to the north', () => {
    for (const latitude of [-60, -10, 0, 43.4, 66])
      for (let day = 0; day < 365; day += 13) {
        const date = new Date(Date.UTC(2031, 0, 1 + day)).toISOString().slice(0, 10);
        const weather = simulatedWeather(at(date, latitude));
        expect(weather.hours).toHaveLength(24);
        expect(readWeather(writeWeather(weather))).toEqual({ ok: true, value: weather });
      }
  });

  it('rains on some days, and then from an hour on; most stay dry', () => {
    const days = Array.from({ length: 120 }, (_, day) =>
      simulatedWeather(at(new Date(Date.UTC(2031, 0, 1 + 3 * day)).toISOString().slice(0, 10))),
    );
    const wet = days.map(rainFrom).filter((hour) => hour !== null);
    expect(wet.length).toBeGreaterThan(5);
    expect(wet.length).toBeLessThan(60);
    for (const day of days) expect(withoutRain(day).hours.every((hour) => !('rainMmH' in hour))).toBe(true);
  });

  it('has seasons at either side of the equator, cool nights and no sun in them', () => {
    const mean = (month: string, latitude: number): number =>
      ['03', '09', '15', '21', '27'].reduce((sum, day) => sum + noon(`2031-${month}-${day}`, latitude).airC / 5, 0);
    expect(mean('07', 43.4)).toBeGreaterThan(mean('01', 43.4) + 10);
    expect(mean('07', -43.4)).toBeLessThan(mean('01', -43.4) - 10);
    const { hours } = simulatedWeather(at('2031-07-14'));
    expect(hours[3]!.airC).toBeLessThan(hours[15]!.airC);
    expect(hours[1]!.sunWm2).toBe(0);
    expect(hours[12]!.sunWm2).toBeGreaterThan(150);
  });
});
