import { describe, expect, it } from 'vitest';
import { atHour, setChoices, withWeather } from '../edit';
import { choicesOf } from '../rules/habits';
import type { DayWeather, Job } from '../model';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { celsius, degrees } from '../units';
import { hoursOfDay } from './hours-of-day';
import { tradeOffsOf, takeWeights } from './trade-offs';
import { panelAt } from '../planning/panel-at';
import { planJob } from '../planning/plan-job';
import { finish } from './study';
import { approachEffectsOf } from './approach-matters';

const filmy = sampleJob({ soil: soilAll('road-film', 2) });
const black = { ...sampleVehicle(), colour: 'black' as const };
/** A black car with its nose to the south, on a clear summer day. */
const noon: Job = sampleJob({
  date: '2031-07-14',
  hour: 13,
  vehicle: black,
  site: {
    ...sampleSite,
    airC: celsius(30),
    humidity: 0.4,
    windMs: 1,
    shade: false,
    sunWm2: 900,
    latitudeDeg: degrees(43.4),
  },
});

/** Nothing to spray water with. */
const withoutMist = (job: Job): Job => ({ ...job, vessels: job.vessels.filter(({ kind }) => kind !== 'pump-sprayer') });

describe('the front of marring, minutes and litres', () => {
  const front = finish(tradeOffsOf(filmy));

  it('holds plans that no other of them beats', () => {
    expect(front.length).toBeGreaterThan(1);
    for (const p of front)
      for (const q of front) {
        if (p === q) continue;
        expect(p.index <= q.index && p.minutes <= q.minutes && p.litres <= q.litres).toBe(false);
      }
  });

  it('leads to the very plan that was picked', () => {
    for (const point of front) {
      const { totals, method } = planJob(takeWeights(filmy, point.weights));
      expect(method).toBe(point.method);
      expect(totals.minutes.value).toBeCloseTo(point.minutes, 6);
      expect(totals.litres.value).toBeCloseTo(point.litres, 6);
      expect(totals.index.value).toBeCloseTo(point.index, 6);
    }
  });

  it('is empty where nothing may be done', () => {
    expect(finish(tradeOffsOf(withoutMist(noon)))).toEqual([]);
  });
});

describe('where the approach mattered', () => {
  it('says what the other answer makes of the job', () => {
    const found = finish(approachEffectsOf(filmy));
    expect(found.length).toBeGreaterThan(2);
    for (const { key, answer, now, then } of found) {
      const plan = planJob(setChoices(filmy, { [key]: answer }));
      expect(plan.method).toBe(then.method);
      if (plan.method !== 'decline') expect(plan.totals.minutes.value).toBeCloseTo(then.minutes, 6);
      expect(now.method).toBe(planJob(filmy).method);
    }
  });

  it('asks about wishes as if nobody had wished', () => {
    const wished: Job = { ...filmy, wishes: { bucket: 'many-towels' } };
    const keys = finish(approachEffectsOf(wished)).filter(({ key }) => key === 'bucket');
    expect(keys.map(({ answer }) => answer)).not.toContain('many-towels');
    expect(choicesOf(wished).bucket).toBe('many-towels');
  });
});

describe('the day', () => {
  it('warms the east side in the morning and the west side in the afternoon', () => {
    const { panels } = finish(hoursOfDay(noon));
    const at = (id: string, hour: number) =>
      panels.find(({ zoneId }) => zoneId === id)!.hours.find((one) => one.hour === hour)!;
    // Nose to the south: the left side looks east.
    expect(at('left-front-door-upper', 9).panelC).toBeGreaterThan(at('right-front-door-upper', 9).panelC + 5);
    expect(at('right-front-door-upper', 16).panelC).toBeGreaterThan(at('left-front-door-upper', 16).panelC + 5);
    expect(at('roof', 12).panelC).toBeGreaterThan(at('roof', 6).panelC + 20);
    expect(at('roof', 12).openS!).toBeLessThan(at('roof', 6).openS!);
  });

  it('suggests shade, and the next hour at which every panel can be worked', () => {
    const { advice, panels } = finish(hoursOfDay(noon));
    expect(advice[0]).toMatchObject({ code: 'shade' });
    const wait = advice.find((one) => one.code === 'wait');
    if (wait?.code !== 'wait') throw new Error('no hour');
    const all = (hour: number) => panels.every(({ hours }) => hours.find((one) => one.hour === hour)!.workable);
    expect(all(wait.hour)).toBe(true);
    expect(all(wait.hour - 0.5)).toBe(false);
    expect(finish(hoursOfDay(atHour(noon, wait.hour))).advice).toEqual([{ code: 'now' }]);
    expect(finish(hoursOfDay(sampleJob())).advice).toEqual([{ code: 'now' }]);
  });

  it('takes air and sun from the weather, hours of shade from the place, and forgets readings', () => {
    const weather: DayWeather = {
      source: 'test',
      hours: [
        { hour: 13, airC: celsius(30), humidity: 0.4, windMs: 1, sunWm2: 900 },
        { hour: 14, airC: celsius(32), humidity: 0.3, windMs: 2, sunWm2: 800 },
      ],
    };
    const job = withWeather(
      { ...noon, readings: { roof: celsius(60) }, site: { ...noon.site, shadeHours: [14] } },
      weather,
    );
    expect(job.site).toMatchObject({ airC: 30, sunWm2: 900, shade: false });
    const later = atHour(job, 13.5);
    expect(later.site).toMatchObject({ airC: 31, windMs: 1.5, sunWm2: 850 });
    expect(later.readings).toEqual({});
    expect(atHour(job, 14).site).toMatchObject({ shade: true, sunWm2: 0 });
    // Outside of what the weather knows, the typed air holds and the sun moves.
    expect(atHour(noon, 20).site.sunWm2).toBeLessThan(200);
  });
});

describe('questions about the soil', () => {
  it('are asked where a wrong guess would break the limit, and nowhere else', () => {
    const fixed = Object.fromEntries(
      planJob(sampleJob()).zones.map(({ zone }) => [zone.id, 'pump/waterless' as const]),
    );
    const near = planJob(
      sampleJob({
        soil: soilAll('salt', 3),
        site: { ...sampleSite, waterL: 300, minutes: 900 },
        choices: { ...sampleJob().choices, dirtLimit: 'index', fixed },
      }),
    );
    expect(near.questions.length).toBeGreaterThan(0);
    for (const { index, worseIndex, limit } of near.questions) {
      expect(index).toBeLessThanOrEqual(limit);
      expect(worseIndex).toBeGreaterThan(limit);
    }
    expect(planJob(sampleJob()).questions).toEqual([]);
  });
});

describe('frost and sun', () => {
  it('make two plans of one car, and both say why', () => {
    const frost = {
      ...noon,
      hour: 9,
      site: { ...noon.site, airC: celsius(-9), shade: true, sunWm2: 0, liquidC: celsius(6), humidity: 0.8 },
    };
    const [cold, hot] = [planJob(frost), planJob(withoutMist(noon))];
    expect(cold.method).toBe('hybrid');
    expect(cold.zones.every(({ treatment }) => treatment.startsWith('hot-pump'))).toBe(true);
    expect(cold.hotWater!.thenC).toBeLessThan(cold.hotWater!.startC);
    expect(cold.hotWater!.lastsMin!).toBeGreaterThan(20);
    expect(hot.method).toBe('decline');
    expect(hot.verdicts).toContainEqual(expect.objectContaining({ code: 'zones-blocked', because: 'heat' }));
    // With a sprayer the hot panels are cooled, and only those.
    const cooled = planJob(noon);
    expect(cooled.method).not.toBe('decline');
    for (const { zone, treatment } of cooled.zones)
      if (treatment.startsWith('mist/')) expect(panelAt(noon, zone.id)).toBeGreaterThan(32);
  });

  it('flushes a salted car below and wipes it above', () => {
    const soil = Object.fromEntries(
      planJob(filmy).zones.map(({ zone }) => [
        zone.id,
        {
          deposits: [
            zone.cleanliness >= 2 ? ({ kind: 'salt', level: 4 } as const) : ({ kind: 'dust', level: 1 } as const),
          ],
          spots: {},
        },
      ]),
    );
    const plan = planJob(sampleJob({ soil, choices: { ...sampleJob().choices, approach: 'cautious' } }));
    const of = (upper: boolean) =>
      plan.zones.filter(({ zone }) => zone.cleanliness < 2 === upper && zone.surface === 'paint');
    expect(
      of(false)
        .filter(({ zone }) => zone.cleanliness === 2)
        .every(({ treatment }) => !treatment.startsWith('none/')),
    ).toBe(true);
    expect(of(true).every(({ treatment }) => treatment.startsWith('none/'))).toBe(true);
  });
});
