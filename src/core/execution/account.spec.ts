import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { startRun } from '../edit';
import { type Job, towelRoles } from '../model';
import { towelsOpened } from '../planning/realise';
import { anyJobWith } from '../testing/any-job';
import { HISTORY_START, workOnTime } from '../testing/histories';
import { planRun } from './plan-run';
import { usageAccount } from './usage-count';

const jobs = anyJobWith({
  choices: {
    bucket: fc.constantFrom('many-towels', 'one-guarded', 'two-buckets'),
    pair: fc.constantFrom('sides', 'lift-finish', 'one-panel'),
    soakedSides: fc.constantFrom(4, 8),
    approach: fc.constantFrom('cautious', 'permissive'),
  },
}).map((job): Job => ({ ...job, site: { ...job.site, minutes: 900, waterL: 60 } }));

describe('a run that is ticked off as it was planned', () => {
  it('has taken every mix, towel and litre that the plan has, to the millilitre', () => {
    let again = 0;
    fc.assert(
      fc.property(jobs, (start) => {
        const begun = startRun(start, HISTORY_START);
        const plan = planRun(begun);
        if (plan.method === 'decline') return;
        again += plan.towels.filter(({ rewetAfter }) => rewetAfter !== null).length;
        const { spent } = usageAccount(workOnTime(begun, Infinity, HISTORY_START).job)!;
        for (const { content, demandMl } of plan.mix.mixes)
          expect(Math.abs((spent.laidMl[content] ?? 0) - demandMl), content).toBeLessThan(1);
        for (const role of towelRoles) expect(spent.opened[role] ?? 0, role).toBe(towelsOpened(plan.towels, role));
        expect(spent.litres).toBeCloseTo(plan.totals.litres.value, 6);
      }),
      { numRuns: runs(1000, 40) },
    );
    expect(again).toBeGreaterThan(10);
  });
});
