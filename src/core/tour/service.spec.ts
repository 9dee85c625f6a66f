import { describe, expect, it } from 'vitest';
import { planJob } from '../planning/plan-job';
import { planAlone } from '../planning';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { celsius } from '../units';
import { Service } from './service';

const sunny = sampleJob({
  scope: ['body', 'glass'],
  soil: soilAll('road-film', 2),
  vehicle: { ...sampleVehicle('sedan'), colour: 'dark' },
  hour: 10,
  site: { ...sampleSite, shade: false, sunWm2: 600, windMs: 1, airC: celsius(24) },
});
const minutesAt = (service: Service, hour: number): number => {
  const [first] = service.turns(hour * 60);
  return first!.endMin - first!.beginMin;
};

describe('how long a stop takes by the hour', () => {
  it('is reckoned in proportion between hours that were planned, and as planned at those', () => {
    const service = new Service(sunny, 0.5);
    service.learn(8 * 60);
    service.learn(12 * 60);
    const [early, noon] = [minutesAt(service, 8), minutesAt(service, 12)];
    expect(noon).not.toBeCloseTo(early, 3);
    expect(minutesAt(service, 10)).toBeCloseTo((early + noon) / 2, 6);
    expect(service.knows(10 * 60)).toBe(false);
    const { minutes } = service.learn(10 * 60);
    expect(minutesAt(service, 10)).toBeCloseTo(minutes, 9);
  });

  it('is the same all day in the shade, and planned once', () => {
    const service = new Service({ ...sunny, site: { ...sunny.site, shade: true, sunWm2: 0 } }, 0.8);
    service.learn(9 * 60);
    for (const hour of [7, 13, 19]) {
      expect(service.knows(hour * 60)).toBe(true);
      expect(minutesAt(service, hour)).toBeCloseTo(minutesAt(service, 9), 9);
    }
  });

  it('goes by what was read off a panel at the hour of the reading only, in the shade as well', () => {
    const shade = { ...sunny, site: { ...sunny.site, shade: true, sunWm2: 0 } };
    const service = new Service({ ...shade, readings: { roof: celsius(36) } }, 0.5);
    expect(service.at(10 * 60).readings).toEqual({ roof: 36 });
    expect(service.at(15 * 60).readings).toEqual({});
    const unread = new Service(shade, 0.5).learn(15 * 60).minutes;
    expect(service.learn(15 * 60).minutes).toBeCloseTo(unread, 9);
    expect(service.knows(18 * 60)).toBe(true);
    expect(service.knows(10 * 60)).toBe(false);
  });

  it('is planned once for all hours in which its place is shaded', () => {
    const service = new Service({ ...sunny, site: { ...sunny.site, shadeHours: [6, 7, 8, 16, 17] } }, 0.5);
    service.learn(7 * 60);
    expect([6, 8, 17].map((hour) => service.knows(hour * 60))).toEqual([true, true, true]);
    expect(service.knows(12 * 60)).toBe(false);
  });

  it('is taken to be as quick as the quickest beside an hour at which it cannot be done', () => {
    const hot = {
      ...sunny,
      vehicle: { ...sunny.vehicle, colour: 'black' as const },
      site: { ...sunny.site, airC: celsius(46), sunWm2: 1000, windMs: 0.2 },
    };
    const service = new Service(hot, 0.5);
    const cool = service.learn(7 * 60).minutes;
    expect(service.learn(13 * 60).minutes).toBe(Infinity);
    expect(minutesAt(service, 12)).toBeCloseTo(cool, 9);
    expect(service.hoursLeft(13, 14)).toBe(0);
  });
});

describe('a plan alone', () => {
  it('is the plan, without what stands beside it', () => {
    for (const job of [
      sunny,
      sampleJob(),
      sampleJob({ choices: { ...sampleJob().choices, method: 'rinseless' } }),
      sampleJob({ soil: soilAll('mud', 5) }),
    ]) {
      const { alternatives: _beside, verdicts: _why, ...alone } = planAlone(job);
      const { alternatives: _all, verdicts: _because, ...whole } = planJob(job);
      expect(alone).toEqual(whole);
    }
  });
});
