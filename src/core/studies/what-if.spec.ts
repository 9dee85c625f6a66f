import { describe, expect, it } from 'vitest';
import type { Job } from '../model';
import { celsius } from '../units';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { planJob } from '../planning/plan-job';
import { finish } from './study';
import { withChange } from '../edit';
import { type WhatIf, helpOf, whatIf } from './what-if';

const ask = (job: Job): readonly WhatIf[] => finish(whatIf(job, planJob(job)));
const of = (answers: readonly WhatIf[], code: string): WhatIf | undefined =>
  answers.find(({ change }) => change.code === code);
const withSite = (site: Partial<Job['site']>, rest: Partial<Job> = {}): Job =>
  sampleJob({ ...rest, site: { ...sampleSite, ...site } });

describe('what would change the answer', () => {
  const cases: readonly (readonly [string, Job])[] = [
    ['dust', sampleJob()],
    ['road film', sampleJob({ soil: soilAll('road-film', 2) })],
    ['mud, nothing may run off', withSite({ runoff: 'forbidden' }, { soil: soilAll('mud', 2) })],
    ['frost without power', withSite({ airC: celsius(-9), liquidC: celsius(6), power: false })],
    ['no time', withSite({ minutes: 6 })],
  ];

  it.each(cases)('%s: every change that is named does what is said', (_name, job) => {
    const plan = planJob(job);
    const leftOf = ({ zones }: typeof plan): number => zones.filter(({ leftBecause }) => leftBecause).length;
    for (const { change, method, regained } of finish(whatIf(job, plan))) {
      expect(method !== plan.method || regained > 0).toBe(true);
      const then = planJob(withChange(job, change));
      expect(then.method).toBe(method);
      if (plan.method !== 'decline') expect(leftOf(plan) - leftOf(then)).toBe(regained);
    }
  });

  it('finds the smallest budget that makes a refusal feasible', () => {
    const short = withSite({ minutes: 12 }, { choices: { ...sampleJob().choices, parts: 'all' } });
    const answer = of(ask(short), 'minutes')!;
    if (answer.change.code !== 'minutes') throw new Error('minutes');
    expect(planJob(withChange(short, { code: 'minutes', minutes: answer.change.minutes - 1 })).method).toBe('decline');
  });

  it('asks for shade in the sun, hot water in frost, a mat for mud, towels where there are none', () => {
    const black = { ...sampleVehicle(), colour: 'black' as const };
    const noon = withSite(
      { airC: celsius(31), humidity: 0.4, windMs: 1, shade: false, sunWm2: 850 },
      { vehicle: black },
    );
    expect(of(ask(noon), 'shade')?.method).not.toBe('decline');
    expect(of(ask(withSite({ airC: celsius(-9), liquidC: celsius(6), power: false })), 'power')?.method).toBe('hybrid');
    expect(of(ask(withSite({ runoff: 'forbidden' }, { soil: soilAll('mud', 1) })), 'capture')?.method).toBe('hybrid');
    const many = sampleJob({
      towels: sampleJob().towels.map((batch) => (batch.role === 'wash' ? { ...batch, clean: 1 } : batch)),
      choices: { ...sampleJob().choices, bucket: 'many-towels' },
    });
    expect(of(ask(many), 'towels')?.change).toMatchObject({ role: 'wash' });
  });

  it('knows what saves wetted towels where they run short: a cup, or a guarded bucket', () => {
    const wetted = (clean: number): Job =>
      withSite(
        { waterL: 80, minutes: 400 },
        {
          soil: soilAll('road-film', 2),
          towels: sampleJob().towels.map((batch) => ({ ...batch, clean: batch.role === 'wash' ? clean : 60 })),
          choices: { ...sampleJob().choices, method: 'rinseless', bucket: 'many-towels', soakedSides: 4, parts: 'all' },
        },
      );
    const taken = planJob(wetted(60)).towels.filter(({ role }) => role === 'wash').length;
    expect(planJob(wetted(taken)).method).toBe('rinseless');
    const short = wetted(taken - 1);
    expect(planJob(short).method).toBe('decline');
    const answers = ask(short);
    for (const code of ['cup', 'guarded-bucket']) {
      expect(of(answers, code)?.method).toBe('rinseless');
      expect(planJob(withChange(short, of(answers, code)!.change)).towels.some(({ missing }) => missing)).toBe(false);
    }
  });

  it('offers to leave the zones that nothing may touch', () => {
    const gritty = withSite(
      { runoff: 'forbidden' },
      { soil: { ...soilAll('dust', 1), 'left-sill': { deposits: [{ kind: 'mud', level: 3 }], spots: {} } } },
    );
    expect(of(ask(gritty), 'leave')?.change).toEqual({ code: 'leave', zones: ['left-sill'] });
  });
});

describe('help for parts that are left out', () => {
  const help = (job: Job): readonly WhatIf[] => finish(helpOf(job, planJob(job)));
  const leftIn = (job: Job): number => planJob(job).zones.filter(({ leftBecause }) => leftBecause).length;

  it.each<[string, Job, string]>([
    ['a roof out of reach', withSite({ steps: false }, { vehicle: sampleVehicle('van') }), 'steps'],
    ['too little time', withSite({ minutes: planJob(withSite({})).totals.minutes.value - 3 }), 'minutes'],
    [
      'mud where nothing may run off',
      withSite(
        { runoff: 'forbidden' },
        { soil: { ...soilAll('dust', 1), 'left-sill': { deposits: [{ kind: 'mud', level: 3 }], spots: {} } } },
      ),
      'capture',
    ],
  ])('%s: names the nearest that works, and each works when it is taken', (_name, job, code) => {
    const found = help(job);
    expect(found.map(({ change }) => change.code)).toContain(code);
    for (const { change, regained, method } of found) {
      const then = withChange(job, change);
      expect(planJob(then).method).toBe(method);
      if (regained > 0) expect(leftIn(then)).toBe(leftIn(job) - regained);
    }
  });

  it('has nothing to say where all is done', () => {
    expect(help(sampleJob())).toEqual([]);
  });
});
