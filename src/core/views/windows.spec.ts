import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { type PairWay, habitAnswers } from '../model';
import { planJob } from '../planning';
import { anyJobWith } from '../testing/any-job';
import { celsius } from '../units';
import { windowsOf } from './windows';

const anyJob = anyJobWith({
  site: {
    workers: fc.constantFrom(1, 2),
    airC: fc.integer({ min: 4, max: 36 }).map(celsius),
    minutes: fc.constant(900),
  },
  choices: {
    pair: fc.constantFrom<PairWay>(...habitAnswers.pair),
    bucket: fc.constantFrom('many-towels', 'one-guarded'),
  },
  towels: 99,
});

describe('windows of wetted parts', () => {
  it('close after the part is done, unless the plan says that it is late', () => {
    let layered = 0;
    fc.assert(
      fc.property(anyJob, (job) => {
        const plan = planJob(job);
        const late = new Set(plan.timeline.late.map(({ zoneId }) => zoneId));
        for (const { zoneId, doneS, untilS } of windowsOf(plan)) {
          if (plan.zones.find(({ zone }) => zone.id === zoneId)!.option!.drying.layered) layered++;
          if (!late.has(zoneId)) expect(doneS).toBeLessThanOrEqual(untilS + 1e-3);
        }
      }),
      { numRuns: runs(120) },
    );
    expect(layered).toBeGreaterThan(10);
  });
});
