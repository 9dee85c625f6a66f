import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type LibraryEntry, bodies, colours } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob } from '../testing/sample';
import { ownCarJob, standings } from './own-car';

const kit = sampleJob();
const library: readonly LibraryEntry[] = [
  ...kit.products.map((item) => ({ kind: 'product', archived: false, item }) as const),
  ...kit.vessels.map((item) => ({ kind: 'vessel', archived: false, item }) as const),
  ...kit.towels.map((item) => ({ kind: 'towel', archived: false, item: { ...item, clean: 30 } }) as const),
];

describe('one’s own car from four answers', () => {
  it('can be planned at once, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...bodies),
        fc.constantFrom(...colours),
        fc.constantFrom(...standings),
        fc.constantFrom(3, 7, 14, 30),
        (body, colour, standing, days) => {
          const job = ownCarJob('j', '2031-05-05', library, { body, colour, standing, days });
          const plan = planJob(job);
          expect(plan.zones.length).toBeGreaterThan(20);
          expect(plan.zones.every(({ soil }) => soil.basis === 'forecast')).toBe(true);
          expect(plan.method === 'decline' ? plan.verdicts.length : plan.timeline.passes.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('is the dirtier the longer ago it was washed', () => {
    const loadAfter = (days: number): number =>
      planJob(
        ownCarJob('j', '2031-05-05', library, { body: 'sedan', colour: 'mid', standing: 'drive', days }),
      ).zones.reduce((sum, { soil }) => sum + soil.totalGm2, 0);
    expect(loadAfter(14)).toBeGreaterThan(loadAfter(3));
    expect(loadAfter(30)).toBeGreaterThan(loadAfter(14));
  });

  it('lets water run off only where that was said', () => {
    const runoff = standings.map(
      (standing) =>
        ownCarJob('j', '2031-05-05', library, { body: 'suv', colour: 'white', standing, days: 7 }).site.runoff,
    );
    expect(runoff.filter((rule) => rule === 'allowed')).toHaveLength(1);
  });
});
