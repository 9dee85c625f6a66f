import fc from 'fast-check';
import { randomLcg, randomNormal } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { assumptionTable } from '../assumptions';
import { endRun, noteEvents, noteUse, startRun } from '../edit';
import { type Job, type Leg, type RunAct, type RunUse, usedIn } from '../model';
import { planJob } from '../planning/plan-job';
import { usageAccount, tasksOf, ticksOf, useOf } from '../execution';
import { sampleJob, soilAll } from '../testing/sample';
import { estimate } from './estimate';
import { seenBesideForecast } from '../soil';
import { type Learned, learn, withLearned, withoutLearned } from './learn';

const ratio = fc.double({ min: 0.3, max: 3, noNaN: true });

describe('an estimate', () => {
  it('is one, and a third either way, before any job; and goes over to what jobs say', () => {
    const none = estimate([]);
    expect(none.factor).toBe(1);
    expect(none.high).toBeCloseTo(1.331, 2);
    expect(none.low).toBeCloseTo(1 / none.high, 9);
    expect(estimate(Array.from({ length: 400 }, () => 1.5)).factor).toBeCloseTo(1.5, 1);
  });

  it('does not care for the order of jobs, and lies between one and their mean', () => {
    fc.assert(
      fc.property(fc.array(ratio, { minLength: 1, maxLength: 30 }), (ratios) => {
        const [there, back] = [estimate(ratios), estimate([...ratios].reverse())];
        for (const key of ['factor', 'low', 'high'] as const) expect(there[key]).toBeCloseTo(back[key], 9);
        const mean = Math.exp(ratios.reduce((sum, one) => sum + Math.log(one), 0) / ratios.length);
        expect(there.factor).toBeGreaterThanOrEqual(Math.min(1, mean) - 1e-9);
        expect(there.factor).toBeLessThanOrEqual(Math.max(1, mean) + 1e-9);
        expect(there.low).toBeLessThan(there.factor);
        expect(there.high).toBeGreaterThan(there.factor);
      }),
    );
  });

  it('misses less the more jobs there are, and holds eight of ten next jobs, on simulated detailers', () => {
    const normal = randomNormal.source(randomLcg(0.7))(0, 1);
    const [spread, detailers] = [Math.log(1.2), 3000];
    const misses: number[] = [];
    for (const jobs of [0, 2, 5, 15, 40]) {
      let [miss, held] = [0, 0];
      for (let d = 0; d < detailers; d++) {
        const own = (normal() * spread) / 2;
        const draw = (): number => Math.exp(own + normal() * spread);
        const { factor, low, high } = estimate(Array.from({ length: jobs }, draw));
        miss += Math.abs(Math.log(factor) - own) / detailers;
        const next = draw();
        if (next >= low && next <= high) held++;
      }
      expect(held / detailers).toBeGreaterThan(0.75);
      expect(held / detailers).toBeLessThan(0.85);
      misses.push(miss);
    }
    expect(misses).toEqual([...misses].sort((p, q) => q - p));
    expect(misses.at(-1)).toBeLessThan(misses[0]! / 2);
  });
});

describe('the range of an estimate', () => {
  it('holds eight of ten next jobs after twenty, of steady hands and of unsteady ones, whichever way they are off', () => {
    const normal = randomNormal.source(randomLcg(0.4))(0, 1);
    for (const spread of [0.1, 0.2, 0.3, 0.5])
      for (const own of [-0.4, 0, 0.2]) {
        let held = 0;
        const hands = 2000;
        for (let hand = 0; hand < hands; hand++) {
          const draw = (): number => Math.exp(own + spread * normal());
          const { low, high } = estimate(Array.from({ length: 20 }, draw));
          const next = draw();
          held += Number(next >= low && next <= high);
        }
        const label = `${spread}/${own}: ${held / hands}`;
        expect(held / hands, label).toBeGreaterThan(0.73);
        expect(held / hands, label).toBeLessThan(0.95);
      }
  });
});

describe('learning from runs', () => {
  const job = sampleJob({ soil: soilAll('dust', 1), choices: { ...sampleJob().choices, method: 'waterless' } });
  const plan = planJob(job);
  const START = 1_900_000_000_000;

  const worked = (begun: Job): Job =>
    tasksOf(plan).reduce((so, task) => noteEvents(so, ticksOf(plan, task, START)), begun);

  /** A run that took so many times the liquid, towels and time that were planned. */
  const run = (times: number, of: Job = job): Job => {
    const planned = usageAccount(worked(startRun(of, START)))!.spent;
    const tookS = planned.plannedS + (times - 1) * planned.handS;
    const ended = endRun(worked(startRun(of, START)), START + tookS * 1000);
    const reckoning = usageAccount(ended)!;
    const { leftMl, opened } = reckoning.expected;
    const mixes = plan.mix.mixes;
    const counted = {
      leftMl: Object.fromEntries(
        mixes.map(({ content, demandMl }) => [content, leftMl[content]! - (times - 1) * demandMl]),
      ),
      opened: Object.fromEntries(Object.entries(opened).map(([role, count]) => [role, Math.round(count * times)])),
    };
    return noteUse(ended, useOf(reckoning, counted, START));
  };

  it('finds the factor of a hand that is always the same, and says on how many jobs it rests', () => {
    const learned = learn(Array.from({ length: 60 }, () => run(1.2)));
    const minutes = learned.find(({ lesson }) => lesson === 'minutes')!;
    const waterless = learned.find(({ lesson }) => lesson === 'ml.waterless')!;
    for (const one of [minutes, waterless]) {
      expect(one.jobs).toBe(60);
      expect(one.factor).toBeCloseTo(1.2, 1);
    }
    const counted = run(1);
    expect(
      learn([
        { ...counted, run: { ...counted.run!, counts: [] } },
        { ...counted, run: { ...counted.run!, endedAt: null } },
      ]),
    ).toEqual([]);
    // Broken off before anything was done.
    const stopped = endRun(startRun(job, START), START + 1000);
    const reckoning = usageAccount(stopped)!;
    expect(learn([noteUse(stopped, useOf(reckoning, reckoning.expected, START))])).toEqual([]);
  });

  it('changes the next plan by about as much, and can be left out again', () => {
    const taught: readonly Learned[] = [
      { lesson: 'minutes', jobs: 9, factor: 1.3, low: 1.1, high: 1.5 },
      { lesson: 'ml.waterless', jobs: 9, factor: 1.2, low: 1, high: 1.4 },
    ];
    const then = withLearned(job, taught);
    const laid = (of: typeof job): number =>
      planJob(of).mix.mixes.find(({ content }) => content === 'waterless')!.demandMl;
    expect(laid(then) / laid(job)).toBeCloseTo(1.2, 2);
    expect(planJob(then).totals.minutes.value).toBeGreaterThan(1.1 * plan.totals.minutes.value);
    expect(withoutLearned(then)).toEqual(job);
  });

  it('takes the pace of an act before that of the whole, and keeps it of a run that was broken off', () => {
    const taught: readonly Learned[] = [
      { lesson: 'pace.wipe', jobs: 9, factor: 0.8, low: 0.7, high: 0.9 },
      { lesson: 'minutes', jobs: 9, factor: 1.3, low: 1.1, high: 1.5 },
    ];
    const then = withLearned(job, taught);
    for (const [key, factor] of [
      ['rateWipeBase', 0.8],
      ['rateFinish', 0.8],
      ['rateTriggerSpray', 1.3],
      ['rateGlassFinish', 1.3],
    ] as const)
      expect(then.choices.assumptions[key]! / assumptionTable[key].value).toBeCloseTo(factor, 9);
    expect(withoutLearned(then)).toEqual(job);
    const whole = run(1);
    const paces = [{ act: 'wipe', plannedS: 100, tookS: 150 }] as const;
    const broken = noteUse(whole, { ...usedIn(whole.run!)!, doneShare: 0.4, paces });
    expect(learn([broken]).map(({ lesson }) => lesson)).toEqual(['pace.wipe']);
    // A plan that went by what was learned was slower by its own factor already.
    const [again] = learn([{ ...broken, choices: then.choices }]);
    expect(Math.log(again!.factor)).toBeCloseTo(Math.log(1.5 * 0.8) / 3, 9);
  });

  it('plans each detailer’s time the better the more they have run, on simulated hands', () => {
    const normal = randomNormal.source(randomLcg(0.31))(0, 1);
    const visits = (['dust', 'road-film', 'pollen'] as const).map((kind) => sampleJob({ soil: soilAll(kind, 1) }));
    const plans = visits.map((visit) => planJob(visit));
    const seconds = (act: RunAct, v: number): number =>
      tasksOf(plans[v]!).reduce((sum, task) => sum + (task.act === act ? task.seconds : 0), 0);
    const worked = ['wet', 'wipe', 'glass'] as const;
    const misses = [0, 2, 8, 30].map(() => 0);
    for (let detailer = 0; detailer < 60; detailer++) {
      const rate = Object.fromEntries(worked.map((act) => [act, Math.exp(normal() * 0.3)])) as Record<RunAct, number>;
      const took = (act: RunAct, v: number): number => seconds(act, v) * rate[act] * Math.exp(normal() * 0.15);
      const done = Array.from({ length: 30 }, (_, i): Job => {
        const v = i % 3;
        const paces = worked
          .filter((act) => seconds(act, v) > 0)
          .map((act) => ({ act, plannedS: seconds(act, v), tookS: took(act, v) }));
        const use: RunUse = {
          at: i,
          because: '',
          method: null,
          doneShare: 1,
          plannedMin: 30,
          paces,
          soil: null,
          waterL: null,
          runoffL: null,
          mixes: [],
          towels: [],
        };
        return noteUse(endRun(startRun(visits[v]!, START), START + 1_800_000), use);
      });
      [0, 2, 8, 30].forEach((count, i) => {
        const learned = learn(done.slice(0, count));
        const factor = (act: RunAct): number => learned.find(({ lesson }) => lesson === `pace.${act}`)?.factor ?? 1;
        const [truth, planned] = [rate, null].map((by) =>
          worked.reduce((sum, act) => sum + seconds(act, 0) * (by ? by[act] : factor(act)), 0),
        );
        misses[i]! += Math.abs(Math.log(planned! / truth!)) / 60;
      });
    }
    expect(misses).toEqual([...misses].sort((p, q) => q - p));
    expect(misses.at(-1)).toBeLessThan(misses[0]! / 3);
  });

  it('comes from either side to what a hand takes out of the bucket, each run planned by what the ones before have taught', () => {
    const normal = randomNormal.source(randomLcg(0.9))(0, 1);
    const soils = (['road-film', 'salt', 'dust'] as const).map((kind) => soilAll(kind, kind === 'dust' ? 1 : 2));
    const washOf = (of: Job): number => planJob(of).mix.mixes.find(({ content }) => content === 'wash')?.demandMl ?? 0;
    for (const truth of [0.7, 1, 1.4]) {
      let jobs: readonly Job[] = [];
      for (let i = 0; i < 20; i++) {
        const visit = sampleJob({
          soil: soils[i % 3]!,
          choices: { ...sampleJob().choices, method: 'rinseless', soakedSides: 8, bucket: 'many-towels' },
        });
        const planned = withLearned(visit, learn(jobs));
        const [plannedMl, usedMl] = [washOf(planned), truth * washOf(visit) * Math.exp(0.1 * normal())];
        const over = endRun(startRun(planned, START), START + 3_600_000);
        jobs = [
          ...jobs,
          noteUse(over, { ...usedIn(run(1).run!)!, towels: [], mixes: [{ purpose: 'wash', plannedMl, usedMl }] }),
        ];
      }
      const { factor, low, high } = learn(jobs).find(({ lesson }) => lesson === 'ml.wash')!;
      expect(truth, `${low} ${high}`).toBeGreaterThan(low);
      expect(truth, `${low} ${high}`).toBeLessThan(high);
      expect(Math.abs(Math.log(factor / truth))).toBeLessThan(0.1);
    }
  });

  it('measures against our own figures, whatever the plan of the time went by', () => {
    const taught = withLearned(job, [{ lesson: 'minutes', jobs: 9, factor: 1.2, low: 1, high: 1.4 }]);
    // As quick as that plan says, which is a fifth slower than our own figures.
    const minutes = planJob(taught).totals.minutes.value;
    const one = noteUse(endRun(worked(startRun(taught, START)), START + minutes * 60_000), {
      ...usedIn(run(1).run!)!,
      plannedMin: minutes,
    });
    const [learned] = learn(Array.from({ length: 60 }, () => one)).filter(({ lesson }) => lesson === 'minutes');
    expect(learned!.factor).toBeCloseTo(1.2, 1);
  });

  it('holds the last count, and keeps the others', () => {
    const first = run(1);
    const again = noteUse(first, {
      ...usedIn(first.run!)!,
      because: 'miscounted',
      towels: [{ role: 'wash', planned: 2, opened: 4 }],
    });
    expect(again.run!.counts).toHaveLength(2);
    expect(learn([again]).find(({ lesson }) => lesson === 'towels.wash')!.factor).toBeGreaterThan(1);
  });

  it('finds how fast one client’s cars get dirty, and forecasts the next one by it', () => {
    const since: readonly Leg[] = [{ days: 14, surroundings: 'town', shelter: 'street', km: 200, road: 'dry' }];
    const { seenG, forecastG } = seenBesideForecast({ ...job, since, soil: soilAll('dust', 2) })!;
    const forecast = seenG / forecastG;
    const visit = (client: string, level: 1 | 2): Job =>
      run(1, { ...job, client, since, soil: soilAll('dust', level) });
    const jobs = [visit('Bay Bakery', 2), visit('Bay Bakery', 2), visit('Bay Bakery', 2), visit('Somebody else', 1)];
    const soil = learn(jobs, { client: 'Bay Bakery', clientId: null }).find(({ lesson }) => lesson === 'soil')!;
    expect(soil.jobs).toBe(3);
    expect(Math.sign(Math.log(soil.factor))).toBe(Math.sign(Math.log(forecast)));
    expect(learn(jobs, { client: 'Nobody', clientId: null }).some(({ lesson }) => lesson === 'soil')).toBe(false);
    const next = withLearned({ ...job, since, soil: {} }, [soil]);
    const load = (of: Job): number => planJob(of).zones.reduce((sum, { soil: { totalGm2 } }) => sum + totalGm2, 0);
    expect(Math.sign(load(next) - load({ ...job, since, soil: {} }))).toBe(Math.sign(Math.log(soil.factor)));
  });
});
