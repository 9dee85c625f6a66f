import { beforeAll, describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { isInScope } from '../vehicle';
import { limitOf } from '../rules';
import { contextOf } from '../rules/context';
import { type Planned, corpusOf } from '../testing/corpus';
import { type ZoneId, towelRoles } from '../model';
import { liquidOf } from '../views/liquid';
import { towelFillAt } from '../views/towel-fill';
import { windowsOf } from '../views/windows';
import type { Plan } from './plan';

/** Most jobs at random can be done; a corpus of refusals would prove nothing. */
const LEAST_DONE = 0.6;

let corpus: readonly Planned[] = [];
let done: readonly Planned[] = [];

beforeAll(() => {
  corpus = corpusOf(runs(600, 60));
  done = corpus.filter(({ plan }) => plan.method !== 'decline');
  process.stdout.write(`${done.length} of ${corpus.length} plans of the corpus are not declined\n`);
}, 300_000);

/** Names the job of the corpus that breaks a promise. */
function ofEach(plans: () => readonly Planned[], holds: (planned: Planned) => void): void {
  for (const planned of plans()) {
    try {
      holds(planned);
    } catch (error) {
      (error as Error).message = `Job ${corpus.indexOf(planned)} of the corpus: ${(error as Error).message}`;
      throw error;
    }
  }
}
const all = (holds: (planned: Planned) => void) => (): void => ofEach(() => corpus, holds);
const allDone = (holds: (planned: Planned) => void) => (): void => ofEach(() => done, holds);

const washedIn = ({ zones }: Plan, medium: string): ZoneId[] =>
  zones
    .filter(({ option }) => option?.medium === medium)
    .map(({ zone }) => zone.id)
    .sort();

const liquidOn = ({ towels }: Plan, isOf: (use: string) => boolean): number =>
  towels.reduce(
    (sum, { sides }) =>
      sum +
      sides
        .filter(({ use }) => isOf(use))
        .reduce((ml, { entries }) => ml + entries.reduce((of, { liquidMl }) => of + liquidMl, 0), 0),
    0,
  );

describe('any plan', () => {
  it('is of jobs of which most can be done', () => {
    expect(done.length / corpus.length).toBeGreaterThan(LEAST_DONE);
    // All of them are in it: refused, done in each way, by one and by two.
    expect(new Set(corpus.map(({ plan }) => plan.method)).size).toBeGreaterThanOrEqual(4);
    expect(new Set(done.map(({ job }) => job.site.workers)).size).toBe(2);
  });

  it(
    'keeps every gate and the limit of its approach',
    all(({ job, plan }) => {
      const limit = limitOf(job.choices.approach, contextOf(job).a);
      for (const { option } of plan.zones) {
        if (!option) continue;
        expect(option.gates).toEqual([]);
        if (option.ofBody) expect(option.marring.index).toBeLessThanOrEqual(limit);
      }
    }),
  );

  it(
    'keeps every budget, and says of each zone that it leaves why',
    allDone(({ job, plan }) => {
      for (const { option, leftBecause, inScope } of plan.zones)
        expect(option !== null).toBe(inScope && leftBecause === null);
      expect(plan.totals.litres.value).toBeLessThanOrEqual(job.site.waterL + 1e-6);
      expect(plan.totals.minutes.value).toBeLessThanOrEqual(job.site.minutes + 1e-6);
      expect(plan.towels.filter(({ missing }) => missing)).toEqual([]);
      if (job.site.runoff === 'forbidden') expect(plan.totals.runoffL.value).toBe(0);
      if (job.site.runoff === 'captured')
        expect(plan.totals.runoffL.value).toBeLessThanOrEqual(job.site.captureL + 1e-6);
    }),
  );

  it(
    'opens no more towels of a role than are clean',
    allDone(({ job, plan }) => {
      for (const role of towelRoles) {
        const clean = job.towels.filter((batch) => batch.role === role).reduce((sum, batch) => sum + batch.clean, 0);
        expect(plan.towels.filter((towel) => towel.role === role).length).toBeLessThanOrEqual(clean);
      }
    }),
  );

  it(
    'has totals that are the sum of their parts',
    all(({ plan }) => {
      for (const figure of Object.values(plan.totals)) {
        if (!figure || figure.unit === 'minor') continue;
        expect(figure.parts.reduce((sum: number, { value }: { value: number }) => sum + value, 0)).toBeCloseTo(
          figure.value,
          6,
        );
      }
    }),
  );

  it(
    'names a reason where it refuses',
    all(({ plan }) => {
      if (plan.method === 'decline')
        expect(plan.verdicts.some(({ code }) => ['zones-blocked', 'missing', 'over-budget'].includes(code))).toBe(true);
    }),
  );

  it(
    'touches what is asked for and nothing else',
    all(({ job, plan }) => {
      for (const { zone, option } of plan.zones) if (option) expect(isInScope(zone, job.scope)).toBe(true);
    }),
  );
});

describe('the liquid of any plan', () => {
  it(
    'goes to ground, wash, air and finish to the last drop, and onto the very towels',
    all(({ plan }) => {
      const { laidMl, runoffMl, washMl, evaporatedMl, finishMl } = liquidOf(plan);
      expect(runoffMl + washMl + evaporatedMl + finishMl).toBeCloseTo(laidMl, 6);
      const taken = plan.zones.reduce(
        (sum, { option }) => sum + (option?.medium === 'towel' ? option.moisture.washMl : 0),
        0,
      );
      const rest = plan.zones
        .filter(({ zone }) => zone.cleanliness >= 4)
        .reduce((sum, { option }) => sum + (option?.moisture.finishMl ?? 0), 0);
      expect(liquidOn(plan, (use) => use === 'wash')).toBeCloseTo(taken + rest, 6);
      // A glass finish of its own is wiped where it is laid.
      const glass = plan.zones.reduce((sum, { option }) => sum + (option?.laidMl.glass ?? 0), 0);
      expect(liquidOn(plan, (use) => use !== 'wash')).toBeCloseTo(finishMl - rest + glass, 6);
    }),
  );
});

describe('the towels and mitts of any plan', () => {
  it(
    'wash what is washed from a bucket: mitts where they are rinsed, else towels',
    all(({ plan }) => {
      expect([...new Set(plan.mitts.flatMap(({ zones }) => zones))].sort()).toEqual(washedIn(plan, 'mitt'));
      const wetted = plan.towels
        .filter((towel) => towel.wetted)
        .flatMap(({ sides }) => sides.flatMap(({ entries }) => entries.map(({ zoneId }) => zoneId)));
      expect([...new Set(wetted)].sort()).toEqual(washedIn(plan, 'soaked-towel'));
      for (const { wetted: isWetted, rewetAfter, sides } of plan.towels)
        expect(rewetAfter !== null).toBe(isWetted && sides.length > 4);
    }),
  );

  it(
    'never come back up: what wiped wheels never dries paint',
    all(({ plan }) => {
      for (const { sides } of plan.towels) {
        const visits = sides
          .flatMap(({ entries, cleanliness }) => entries.map(({ pass }) => ({ pass, cleanliness })))
          .sort((p, q) => p.pass - q.pass);
        visits.forEach(({ pass, cleanliness }, i) => {
          const before = visits[i - 1];
          if (before && before.pass < pass) expect(cleanliness).toBeGreaterThanOrEqual(before.cleanliness);
        });
      }
    }),
  );

  it(
    'are in the hands of whoever does the pass',
    all(({ plan }) => {
      const passes = new Map(plan.timeline.passes.map((pass) => [pass.number, pass]));
      for (const { worker, sides } of plan.towels)
        for (const { entries } of sides) for (const { pass } of entries) expect(passes.get(pass)!.worker).toBe(worker);
    }),
  );

  it(
    'leave no side to be returned to',
    all(({ plan }) => {
      for (const { sides } of plan.towels) {
        // Times of one side are not parted by another side of the same towel.
        const order = sides
          .flatMap((side, s) => side.entries.map(({ pass }) => ({ pass, s })))
          .sort((p, q) => p.pass - q.pass || p.s - q.s);
        const shown = order.map(({ s }) => s).filter((s, i, every) => s !== every[i - 1]);
        expect(new Set(shown).size).toBe(shown.length);
      }
    }),
  );

  it(
    'are empty at first, fill and never empty again, and end as the ledger has them',
    all(({ plan }) => {
      const at = towelFillAt(plan);
      const full = (seconds: number): number[] =>
        at(seconds).flatMap(({ sides }) => sides.map(({ dirtShare }) => dirtShare));
      let before = full(0);
      expect(before.every((share) => share === 0)).toBe(true);
      for (const share of [0.25, 0.5, 0.75, 1]) {
        const now = full(plan.timeline.elapsedS * share);
        now.forEach((dirt, i) => expect(dirt).toBeGreaterThanOrEqual(before[i]! - 1e-9));
        before = now;
      }
      plan.towels
        .flatMap(({ sides }) => sides)
        .forEach(({ dirtShare }, i) => expect(before[i]).toBeCloseTo(dirtShare, 6));
    }),
  );
});

describe('the clock of any plan', () => {
  it(
    'never has anybody do two things at once, and wipes nothing before its dwell is over',
    all(({ job, plan }) => {
      const { steps } = plan.timeline;
      for (let worker = 0; worker < job.site.workers; worker++) {
        const own = steps
          .filter((step) => step.worker === worker)
          .sort((p, q) => p.startS - q.startS || p.endS - q.endS);
        own.forEach((step, i) => i > 0 && expect(step.startS).toBeGreaterThanOrEqual(own[i - 1]!.endS - 1e-6));
      }
      expect(Math.max(0, ...steps.map(({ endS }) => endS))).toBeCloseTo(plan.timeline.elapsedS, 6);
      for (const { zone, option } of plan.zones) {
        const [spray, wipe] = (['spray', 'wipe'] as const).map((kind) =>
          steps.find((step) => step.kind === kind && step.zoneId === zone.id),
        );
        if (option && spray && wipe) expect(wipe.startS).toBeGreaterThanOrEqual(spray.endS + option.dwellS - 1e-6);
      }
    }),
  );

  it(
    'is done with every section before it dries, or says so',
    all(({ plan }) => {
      const late = new Set(plan.timeline.late.map(({ zoneId }) => zoneId));
      for (const { zoneId, fromS, untilS, doneS } of windowsOf(plan)) {
        expect(untilS).toBeGreaterThan(fromS);
        if (!late.has(zoneId)) expect(doneS).toBeLessThanOrEqual(untilS + 1e-3);
      }
    }),
  );
});
