import { describe, expect, it } from 'vitest';
import type { Job } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob, soilAll } from '../testing/sample';
import { answerReasons } from './answer';

const reasonsOf = (job: Job) => answerReasons(planJob(job));

describe('reasons beside the answer', () => {
  it('are at most two, and none is empty', () => {
    for (const soil of [soilAll('dust', 1), soilAll('road-film', 2), soilAll('grit', 4), soilAll('mud', 5)]) {
      const reasons = reasonsOf(sampleJob({ soil }));
      expect(reasons.length).toBeGreaterThan(0);
      expect(reasons.length).toBeLessThanOrEqual(2);
    }
  });

  it('name what rules another method out, with the gate that does', () => {
    const plan = planJob(sampleJob({ soil: soilAll('road-film', 3) }));
    const blocked = plan.alternatives.filter(({ outcome }) => outcome.kind === 'blocked' && outcome.blocked.length > 0);
    const told = answerReasons(plan).filter((reason) => reason.code === 'ruled-out');
    expect(told).toHaveLength(Math.min(2, blocked.length));
    told.forEach((reason) => expect(reason.gate).not.toBeNull());
  });

  it('count what is saved as the difference of the totals, and only what is saved', () => {
    const plan = planJob(sampleJob({ soil: soilAll('dust', 1) }));
    for (const reason of answerReasons(plan)) {
      if (reason.code !== 'beats') continue;
      const other = plan.alternatives.find(({ method }) => method === reason.method)!.outcome;
      if (other.kind !== 'feasible') throw new Error('it beats what cannot be done');
      reason.gains.forEach(({ figure, by }) => {
        expect(by).toBeGreaterThan(0);
        expect(by).toBeCloseTo(other.totals[figure].value - plan.totals[figure].value, 9);
      });
    }
  });

  it('say of a refusal what stands in the way, and of a wish that it was one', () => {
    expect(reasonsOf(sampleJob({ soil: soilAll('mud', 5) }))[0]).toMatchObject({
      code: 'verdict',
      verdict: { code: 'zones-blocked' },
    });
    const asked = sampleJob({ soil: soilAll('dust', 1), choices: { ...sampleJob().choices, method: 'waterless' } });
    expect(reasonsOf(asked)[0]).toEqual({ code: 'asked-for' });
  });
});
