import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { planJob } from '../planning';
import { anyJobWith } from '../testing/any-job';
import type { Step } from './crew';
import { criticalPath } from './critical-path';

const step = (kind: Step['kind'], startS: number, endS: number): Step => ({
  kind,
  zoneId: 'roof',
  section: 1,
  pass: 1,
  kit: null,
  worker: 0,
  startS,
  endS,
});

describe('what the end hangs on', () => {
  it('is what came before a wait, where that comes before the spray, and the spray where that dwells', () => {
    const steps = [
      step('flush', 0, 10),
      step('wait', 10, 40),
      step('spray', 40, 45),
      step('wait', 45, 65),
      step('wipe', 65, 80),
    ];
    expect(criticalPath(steps)).toEqual([0, 1, 2, 3, 4]);
  });

  it('goes back through every plan, each step before the next', () => {
    fc.assert(
      fc.property(anyJobWith({ choices: { pair: fc.constantFrom('sides', 'lift-finish', 'one-panel') } }), (job) => {
        const { steps } = planJob(job).timeline;
        const path = criticalPath(steps);
        path.slice(1).forEach((at, i) => expect(steps[at]!.startS).toBeGreaterThan(steps[path[i]!]!.startS));
      }),
      { numRuns: runs(200) },
    );
  });
});
