import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { setAssumption } from '../edit';
import { type Job, type SoilKind, type SoilLevel, type ZoneId, zoneIds } from '../model';
import { anyJobWith } from '../testing/any-job';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { celsius } from '../units';
import type { Plan } from './plan';
import { planJob } from './plan-job';
import { zoneTreatments } from './zone-options';

const choices = sampleJob().choices;
const plenty = sampleJob().towels.map((batch) => ({ ...batch, clean: 99 }));
const withSite = (site: Partial<Job['site']>, rest: Partial<Job> = {}): Job =>
  sampleJob({ towels: plenty, ...rest, site: { ...sampleSite, waterL: 400, minutes: 900, ...site } });
const leftIn = ({ zones }: Plan): readonly ZoneId[] =>
  zones.filter(({ leftBecause }) => leftBecause).map(({ zone }) => zone.id);
const said = (plan: Plan) => plan.verdicts.filter((verdict) => verdict.code === 'parts-left');

const anyJob = anyJobWith({
  site: { waterL: fc.constant(400), minutes: fc.constant(900), runoff: fc.constantFrom('allowed', 'forbidden') },
  choices: { approach: fc.constantFrom('cautious', 'balanced', 'permissive') },
  towels: 99,
});

describe('what cannot be done', () => {
  it('is left out with its reason, and the rest is planned: a roof without steps', () => {
    const plan = planJob(withSite({ steps: false }, { vehicle: sampleVehicle('van') }));
    expect(plan.method).not.toBe('decline');
    expect(leftIn(plan)).toContain('roof');
    expect(said(plan)).toContainEqual(
      expect.objectContaining({ gate: expect.objectContaining({ code: 'out-of-reach' }) }),
    );
    expect(plan.zones.filter(({ option }) => option).length).toBeGreaterThan(30);
  });

  it('is one hot bonnet, and not the car', () => {
    const hot = (rest: Partial<Job>): Plan => planJob(withSite({}, { readings: { bonnet: celsius(70) }, ...rest }));
    const dry = hot({ vessels: sampleJob().vessels.filter(({ kind }) => kind !== 'pump-sprayer') });
    expect([leftIn(dry), said(dry)[0]]).toEqual([['bonnet'], expect.objectContaining({ because: 'heat' })]);
    // With water to spray it is cooled first.
    expect(leftIn(hot({}))).toEqual([]);
    expect(hot({}).zones.find(({ zone }) => zone.id === 'bonnet')!.treatment).toMatch(/^mist/);
  });

  it('is not the car where nothing may run off and only the sills are muddy', () => {
    const muddy = { deposits: [{ kind: 'mud' as const, level: 3 as const }], spots: {} };
    const plan = planJob(
      withSite({ runoff: 'forbidden' }, { soil: { ...soilAll('dust', 1), 'left-sill': muddy, 'right-sill': muddy } }),
    );
    expect([plan.method, leftIn(plan)]).toEqual(['waterless', ['left-sill', 'right-sill']]);
  });

  it('is "not today" where it is more than the share of the paint that may be left, or the client wants all of it', () => {
    const muddy = { deposits: [{ kind: 'mud' as const, level: 3 as const }], spots: {} };
    const job = withSite(
      { runoff: 'forbidden' },
      { soil: { ...soilAll('dust', 1), bonnet: muddy, 'left-sill': muddy } },
    );
    expect(planJob(job).method).toBe('waterless');
    expect(planJob(setAssumption(job, 'notTodayShare', 0.05)).method).toBe('decline');
    expect(planJob({ ...job, choices: { ...job.choices, parts: 'all' } }).method).toBe('decline');
    expect(planJob(withSite({ runoff: 'forbidden' }, { soil: soilAll('mud', 3) })).method).toBe('decline');
  });

  it('is what the budget does not reach, and says which', () => {
    const plan = planJob(withSite({ minutes: planJob(withSite({})).totals.minutes.value - 3 }));
    expect(leftIn(plan).length).toBeGreaterThan(0);
    expect(said(plan)).toContainEqual(
      expect.objectContaining({ because: 'budget', shortage: expect.objectContaining({ budget: 'minutes' }) }),
    );
  });

  it('keeps every other zone within its gates, and leaves nothing out that something may touch', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const plan = planJob(job);
        if (plan.method === 'decline') return;
        for (const { zone, option, leftBecause } of plan.zones) {
          if (option) expect(option.gates).toEqual([]);
          else expect(leftBecause!.kind === 'gates' && leftBecause!.gates.length > 0, zone.id).toBe(true);
        }
      }),
      { numRuns: runs(60) },
    );
  });
});

describe('wheels and door shuts', () => {
  it('never decide how body and glass are washed', () => {
    const low = zoneIds.filter((id) => /-(wheel|tyre|arch|shut)$/.test(id));
    fc.assert(
      fc.property(
        anyJob,
        fc.constantFrom<SoilKind>('brake-dust', 'grit', 'salt'),
        fc.constantFrom<SoilLevel>(0, 1, 2, 3, 4),
        (job, kind, level) => {
          const dirty = Object.fromEntries(low.map((id) => [id, { deposits: [{ kind, level }], spots: {} }]));
          const treatments = (plan: Plan) =>
            plan.zones.filter(({ option }) => option?.ofBody).map(({ zone, treatment }) => `${zone.id} ${treatment}`);
          const [one, other] = [planJob(job), planJob({ ...job, soil: { ...job.soil, ...dirty } })];
          expect(treatments(other)).toEqual(treatments(one));
          expect(other.method).toBe(one.method);
        },
      ),
      { numRuns: runs(60) },
    );
  });
});

describe('a budget', () => {
  it('is hardly ever said to be too small where a plan within it exists, and never that this is proved', () => {
    const cases = fc.sample(
      fc.tuple(anyJob, fc.constantFrom('weightMinute' as const, 'weightLitre' as const, 'weightTowel' as const)),
      { numRuns: Math.max(24, runs(80)), seed: 5 },
    );
    let [tried, wrong] = [0, 0];
    for (const [job, weight] of cases) {
      const thrifty = planJob(setAssumption(job, weight, 100));
      if (thrifty.method === 'decline') continue;
      const count = (role: string): number => thrifty.towels.filter((towel) => towel.role === role).length;
      const tight: Job = {
        ...job,
        site: { ...job.site, minutes: thrifty.totals.minutes.value + 0.01, waterL: thrifty.totals.litres.value + 0.01 },
        towels:
          weight === 'weightTowel' ? job.towels.map((batch) => ({ ...batch, clean: count(batch.role) })) : job.towels,
      };
      const plan = planJob(tight);
      tried++;
      if (plan.method !== 'decline' && leftIn(plan).length === leftIn(thrifty).length) continue;
      wrong++;
      for (const verdict of plan.verdicts) if (verdict.code === 'over-budget') expect(verdict.proved).toBe(false);
    }
    expect(tried).toBeGreaterThan(10);
    expect(wrong).toBeLessThanOrEqual(Math.max(1, 0.05 * tried));
  });
});

describe('how dirty a waterless product may meet the paint', () => {
  const under = (
    dirtLimit: Job['choices']['dirtLimit'],
    kind: SoilKind,
    level: SoilLevel,
    site: Partial<Job['site']> = {},
  ): Job => withSite(site, { soil: soilAll(kind, level), choices: { ...choices, approach: 'permissive', dirtLimit } });
  const treatmentsOn = (job: Job): readonly string[] =>
    planJob(job)
      .zones.filter(({ option }) => option?.ofBody)
      .map(({ treatment }) => treatment);

  it('is a gate before the index: only dust, a light film, or whatever the index allows', () => {
    const gates = (...of: Parameters<typeof under>): readonly string[] =>
      zoneTreatments(under(...of), 'left-front-door-upper')
        .find(({ treatment }) => treatment === 'none/waterless')!
        .gates.map(({ code }) => code);
    expect(gates('only-dust', 'dust', 1)).toEqual([]);
    expect(gates('only-dust', 'road-film', 2)).toEqual(['dirt-limit']);
    expect(gates('light-film', 'road-film', 2)).toEqual([]);
    expect(gates('light-film', 'fallout', 3)).toEqual(['dirt-limit']);
    expect(gates('light-film', 'grit', 2)).toContain('dirt-limit');
    expect(gates('index', 'fallout', 3)).toEqual([]);
  });

  it('rinses what crackles wherever there is something to rinse with', () => {
    for (const kind of ['grit', 'salt'] as const) {
      expect(treatmentsOn(under('light-film', kind, 2)).every((treatment) => !treatment.startsWith('none/'))).toBe(
        true,
      );
      expect(
        treatmentsOn(under('light-film', kind, 2, { runoff: 'forbidden' })).every((treatment) =>
          treatment.startsWith('none/'),
        ),
      ).toBe(true);
    }
  });
});
