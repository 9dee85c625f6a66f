import { describe, expect, it } from 'vitest';
import type { DayWeather, Job, Mark } from '../model';
import { sampleJob, sampleSite } from '../testing/sample';
import { celsius, degrees } from '../units';
import {
  addLeg,
  atHour,
  copyJob,
  dropMark,
  habitsIn,
  newItem,
  newJob,
  onDate,
  putMark,
  setLeg,
  setReading,
  withWeather,
} from '.';

describe('readings, marks and days', () => {
  const mark: Mark = { id: 'm', zone: 'roof', kind: 'chip', note: '', photo: null };

  it('are set, replaced and taken back, and nothing else changes', () => {
    const job = sampleJob();
    const read = setReading(job, 'roof', celsius(33));
    expect(read.readings).toEqual({ roof: 33 });
    expect(setReading(read, 'roof', null)).toEqual(job);
    const marked = putMark(job, mark);
    expect(putMark(marked, { ...mark, note: 'deep' }).marks).toEqual([{ ...mark, note: 'deep' }]);
    expect(dropMark(marked, 'm')).toEqual(job);
  });

  it('add a stretch like the last one, change one, take one out', () => {
    const one = addLeg(sampleJob());
    expect(one.since).toHaveLength(1);
    const salted = setLeg(one, 0, { ...one.since[0]!, road: 'salted', days: 3 });
    expect(addLeg(salted).since[1]).toEqual(salted.since[0]);
    expect(setLeg(addLeg(salted), 0, null).since).toEqual(salted.since);
  });
});

describe('a new job', () => {
  it('takes the van’s gear and the first set of habits from the library', () => {
    const entry = (kind: 'gear' | 'habits', item: object) => ({ kind, archived: false, item }) as never;
    const gear = newItem.gear('g');
    const habits = { ...newItem.habits('h'), approach: 'cautious' as const };
    const job = newJob('j', '2031-01-01', [entry('gear', gear), entry('habits', habits)]);
    expect(job.gear).toEqual([gear]);
    expect(job.choices.approach).toBe('cautious');
    expect(job.choices).not.toHaveProperty('name');
    expect(habitsIn(undefined)).toEqual({});
  });
});

describe('another day', () => {
  const typed: Job = sampleJob({
    hour: 12,
    date: '2031-07-14',
    readings: { roof: celsius(31) },
    weather: { source: 't', hours: [] },
    site: { ...sampleSite, shade: false, sunWm2: 700, panelC: celsius(45), latitudeDeg: degrees(43) },
  });

  it('has its own sun, and neither the weather nor the readings of the day before', () => {
    const winter = onDate(typed, '2031-12-14', 1);
    expect(winter).toMatchObject({ date: '2031-12-14', hour: 12, weather: null, readings: {} });
    expect(winter.site).toMatchObject({ panelC: null, utcOffsetH: 1, airC: typed.site.airC });
    expect(winter.site.sunWm2).toBeGreaterThan(100);
    expect(winter.site.sunWm2).toBeLessThan(400);
    expect(onDate(typed, typed.date)).toBe(typed);
    expect(onDate(winter, typed.date, 0).site.sunWm2).toBeCloseTo(700, 6);
    expect(copyJob(typed, 'next', '2031-12-14').site.sunWm2).toBe(onDate(typed, '2031-12-14').site.sunWm2);
  });
});

describe('another hour', () => {
  const sunny: Job = sampleJob({
    hour: 10,
    date: '2031-07-14',
    site: { ...sampleSite, shade: false, sunWm2: 400, latitudeDeg: degrees(43) },
  });

  it('keeps the haze of the hour that was typed while the sun moves', () => {
    const noon = atHour(sunny, 12);
    expect(noon.site.sunWm2).toBeGreaterThan(400);
    expect(atHour(noon, 10).site.sunWm2).toBeCloseTo(400, 6);
    expect(atHour(sunny, 23).site.sunWm2).toBe(0);
    expect(atHour(sunny, 10)).toBe(sunny);
  });

  it('follows the shade of the place, indoors for good, and takes a sky out of the shade for clear', () => {
    const place = { ...sunny, site: { ...sunny.site, shadeHours: [15] } };
    const shaded = atHour(place, 15.5);
    expect(shaded.site).toMatchObject({ shade: true, sunWm2: 0 });
    expect(atHour(shaded, 12).site.sunWm2).toBeGreaterThan(atHour(place, 12).site.sunWm2);
    expect(atHour({ ...sunny, site: { ...sunny.site, indoors: true } }, 12).site).toMatchObject({
      shade: true,
      sunWm2: 0,
    });
  });

  it('forgets the weather when it is asked to, and keeps what the air was', () => {
    const weather: DayWeather = {
      source: 't',
      hours: [{ hour: 10, airC: celsius(31), humidity: 0.3, windMs: 2, sunWm2: 500 }],
    };
    const told = withWeather(sunny, weather);
    expect(told.site).toMatchObject({ airC: 31, sunWm2: 500 });
    expect(withWeather(told, null)).toEqual({ ...told, weather: null });
  });
});
