import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { anyJobWith } from '../testing/any-job';
import { sampleJob, soilAll } from '../testing/sample';
import { metres } from '../units';
import type { Plan } from './plan';
import { planJob } from './plan-job';

const anyJob = anyJobWith({
  choices: {
    bucket: fc.constantFrom('many-towels', 'one-guarded', 'two-buckets'),
    drying: fc.constantFrom('panel', 'body'),
    pair: fc.constantFrom('sides', 'lift-finish', 'one-panel'),
    glass: fc.constantFrom('first', 'last'),
    glassTowels: fc.constantFrom('own', 'drying', 'shared'),
    wheels: fc.constantFrom('auto', 'first', 'last'),
    soakedTowel: fc.constantFrom('retire', 'demote'),
  },
});

/** By number of the pass. */
const passesOf = ({ timeline }: Plan) => new Map(timeline.passes.map((pass) => [pass.number, pass]));

describe('towels by the clock', () => {
  it('never come back up: what wiped wheels never dries paint', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const plan = planJob(job);
        for (const { sides } of plan.towels) {
          const visits = sides.flatMap(({ entries, cleanliness }) => entries.map(({ pass }) => ({ pass, cleanliness }))).sort((p, q) => p.pass - q.pass);
          visits.forEach(({ cleanliness }, i) => {
            if (i > 0 && visits[i - 1]!.pass < visits[i]!.pass) expect(cleanliness).toBeGreaterThanOrEqual(visits[i - 1]!.cleanliness);
          });
        }
      }),
      { numRuns: runs(120) },
    );
  });

  it('are in the hands of whoever does the pass', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const plan = planJob(job);
        const passes = passesOf(plan);
        for (const { worker, sides } of plan.towels) for (const { entries } of sides) for (const { pass } of entries) expect(passes.get(pass)!.worker).toBe(worker);
      }),
      { numRuns: runs(120) },
    );
  });

  it('leave no side to be returned to', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const plan = planJob(job);
        for (const { sides } of plan.towels) {
          // Times of one side are not parted by another side of the same towel.
          const order = sides.flatMap((side, s) => side.entries.map(({ pass }) => ({ pass, s }))).sort((p, q) => p.pass - q.pass || p.s - q.s);
          const shown = order.map(({ s }) => s).filter((s, i, all) => s !== all[i - 1]);
          expect(new Set(shown).size).toBe(shown.length);
        }
      }),
      { numRuns: runs(120) },
    );
  });

  it('answers soon with towels hardly larger than a hand', { timeout: 30_000 }, () => {
    const job = sampleJob();
    const tiny = job.towels.map((batch) => (batch.role === 'wash' || batch.role === 'finish' ? { ...batch, widthM: metres(0.12), heightM: metres(0.12), gsm: 80, clean: 999 } : batch));
    const plan = planJob({ ...job, soil: soilAll('road-film', 2), towels: tiny, choices: { ...job.choices, method: 'waterless' } });
    expect(plan.method).toBe('waterless');
    expect(plan.towels.length).toBeGreaterThan(20);
  });
});
