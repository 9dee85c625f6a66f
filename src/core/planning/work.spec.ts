import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Job, type SoilKind, type SoilLevel, bodies, towelRoles, zoneIds } from '../model';
import { celsius, metres } from '../units';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { liquidOf } from '../views/liquid';
import { workOrdersOf } from '../studies/work-orders';
import type { Plan } from './plan';
import { planJob } from './plan-job';
import { finish } from '../studies/study';
import { windowsOf } from '../views/windows';
import { runs } from '@esmero/testing';

const dusty = sampleJob();
const withChoices = (choices: Partial<Job['choices']>, rest: Partial<Job> = {}): Job =>
  sampleJob({ ...rest, choices: { ...dusty.choices, ...choices } });
const withTowels = (job: Job, role: string, clean: number): Job => ({
  ...job,
  towels: job.towels.map((batch) => (batch.role === role ? { ...batch, clean } : batch)),
});

const sprayed = Object.fromEntries(zoneIds.map((id) => [id, 'none/waterless'] as const));

describe('the liquid of a plan', () => {
  it('leaves more to wipe in a cool room than in a hot one, for the same film', () => {
    const film = { filmHotPerK: 0, filmColdPerK: 0 };
    const at = (airC: number) =>
      liquidOf(
        planJob(
          withChoices(
            { method: 'waterless', assumptions: film },
            { site: { ...sampleSite, airC: celsius(airC), indoors: true } },
          ),
        ),
      );
    const [cool, hot] = [at(10), at(30)];
    expect(cool.laidMl).toBeCloseTo(hot.laidMl, 6);
    expect(cool.finishMl).toBeGreaterThan(1.1 * hot.finishMl);
    expect(cool.evaporatedMl).toBeLessThan(hot.evaporatedMl);
  });
});

describe('mitts and wetted towels', () => {
  it('are poured on from a cup where all eight sides are used, and the wash mix has that in it', () => {
    const washMl = ({ mix }: Plan): number => mix.mixes.find(({ content }) => content === 'wash')!.demandMl;
    const wash = (towelRewetMl: number): Plan =>
      planJob(
        withChoices(
          { method: 'rinseless', bucket: 'many-towels', soakedSides: 8, assumptions: { towelRewetMl } },
          { soil: soilAll('road-film', 2) },
        ),
      );
    const [none, cup] = [wash(0), wash(100)];
    const again = cup.towels.filter(({ rewetAfter }) => rewetAfter !== null).length;
    expect(again).toBeGreaterThan(0);
    expect(washMl(cup) - washMl(none)).toBeCloseTo(100 * again, 6);
  });
});

describe('more dirt and more hands', () => {
  it('never take fewer towels, and never longer', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...bodies),
        fc.constantFrom<SoilKind>('dust', 'road-film', 'pollen'),
        fc.constantFrom<SoilLevel>(0, 1, 2),
        (body, kind, level) => {
          const job = (at: number, workers: 1 | 2): Job =>
            // No towel goes down to help out: each role is counted for itself.
            withChoices(
              { fixed: sprayed, soakedTowel: 'retire' },
              { vehicle: sampleVehicle(body), soil: soilAll(kind, at as SoilLevel), site: { ...sampleSite, workers } },
            );
          const [clean, dirty, two] = [planJob(job(level, 1)), planJob(job(level + 1, 1)), planJob(job(level, 2))];
          if (clean.method === 'decline' || dirty.method === 'decline') return;
          for (const role of towelRoles) {
            const count = ({ towels }: Plan): number => towels.filter((towel) => towel.role === role).length;
            expect(count(dirty)).toBeGreaterThanOrEqual(count(clean));
          }
          expect(two.timeline.elapsedS).toBeLessThanOrEqual(clean.timeline.elapsedS + 1e-6);
        },
      ),
      { numRuns: runs(20) },
    );
  });
});

describe('windows', () => {
  it('hold every section that is sprayed and dries within the hour, and it is done before they end', () => {
    const sunny: Job = withChoices(
      { fixed: sprayed },
      { site: { ...sampleSite, airC: celsius(27), shade: false, sunWm2: 300, humidity: 0.5 } },
    );
    const plan = planJob(sunny);
    const windows = windowsOf(plan);
    expect(windows.length).toBeGreaterThan(10);
    const late = new Set(plan.timeline.late.map(({ zoneId }) => zoneId));
    for (const { zoneId, fromS, untilS, doneS } of windows) {
      expect(untilS).toBeGreaterThan(fromS);
      if (!late.has(zoneId)) expect(doneS).toBeLessThanOrEqual(untilS + 1e-3);
    }
  });
});

describe('orders of work', () => {
  it('stand beside the chosen one, each another way round the car', () => {
    const found = finish(workOrdersOf(sampleJob({ soil: soilAll('road-film', 2) })));
    expect(found.filter(({ now }) => now)).toHaveLength(1);
    expect(found.length).toBeGreaterThan(3);
    expect(found.map(({ minutes }) => minutes)).toEqual(found.map(({ minutes }) => minutes).sort((p, q) => p - q));
    const own = found.find(({ now }) => now)!;
    expect(own.minutes).toBeCloseTo(planJob(sampleJob({ soil: soilAll('road-film', 2) })).totals.minutes.value, 9);
  });
});

describe('too few towels', () => {
  const short = withTowels(withChoices({ bucket: 'many-towels' }, { soil: soilAll('road-film', 2) }), 'wash', 2);

  it('lead to a refusal that names the zones that wait, and leaving those out gives a plan', () => {
    const job = withTowels(short, 'wheels', 1);
    const refused = planJob(job);
    expect(refused.method).toBe('decline');
    const wait = refused.verdicts.find(({ code }) => code === 'zones-wait');
    if (wait?.code !== 'zones-wait') throw new Error('No zones are named.');
    expect(wait.zones.length).toBeGreaterThan(0);
    const fixed = Object.fromEntries(wait.zones.map((id) => [id, 'leave'] as const));
    const rest = planJob({ ...job, choices: { ...job.choices, fixed } });
    expect(rest.method).not.toBe('decline');
    expect(rest.towels.filter(({ missing }) => missing)).toEqual([]);
  });

  it('let less wait the more towels there are', () => {
    const area = (clean: number): number => {
      const plan = planJob(withTowels(short, 'wash', clean));
      const wait = plan.verdicts.find(({ code }) => code === 'zones-wait');
      const ids = wait?.code === 'zones-wait' ? wait.zones : [];
      return plan.zones.filter(({ zone }) => ids.includes(zone.id)).reduce((sum, { zone }) => sum + zone.areaM2, 0);
    };
    const areas = [1, 2, 3, 20].map(area);
    expect(areas[0]).toBeGreaterThan(0);
    expect(areas).toEqual([...areas].sort((p, q) => q - p));
    expect(areas.at(-1)).toBe(0);
  });
});

describe('towels hardly larger than a hand', () => {
  it('are dealt out in a moment, however many', { timeout: 30_000 }, () => {
    const job = dusty;
    const tiny = job.towels.map((batch) =>
      batch.role === 'wash' || batch.role === 'finish'
        ? { ...batch, widthM: metres(0.12), heightM: metres(0.12), gsm: 80, clean: 999 }
        : batch,
    );
    const plan = planJob({
      ...job,
      soil: soilAll('road-film', 2),
      towels: tiny,
      choices: { ...job.choices, method: 'waterless' },
    });
    expect(plan.method).toBe('waterless');
    expect(plan.towels.length).toBeGreaterThan(20);
  });
});
