import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { noteEvent, startRun } from '../edit';
import type { Job, ReplanEvent, Run, ZoneId } from '../model';
import type { Plan } from '../planning';
import type { Step } from '../schedule';
import { HISTORY_START, jobsOf, workOnTime } from '../testing/histories';
import { replay } from '../testing/replay';
import { planRun } from './plan-run';

/** Nothing has turned out otherwise, and yet it is planned again. */
const nothingNew = (job: Job, at: number): ReplanEvent =>
  ({ kind: 'workers', workers: job.site.workers, at }) as ReplanEvent;

/** What of a plan was done until a second of its clock on what is not wiped yet, by the clock of a plan that begins then. */
function doneBefore({ timeline: { steps } }: Plan, { events }: Run, { begun }: Plan, atS: number): readonly Step[] {
  const wiped = new Set(events.flatMap((one) => (one.kind === 'wipe' ? [`${one.zone}/${one.section}`] : [])));
  // The clock of ticks goes by milliseconds.
  const sectionOf = (zone: ZoneId, startS: number): number =>
    1 + (begun.zones.get(zone)?.wet ?? []).findIndex(({ at }) => Math.abs((at - HISTORY_START) / 1000 - startS) < 0.01);
  return [...steps]
    .sort((p, q) => p.startS - q.startS)
    .flatMap((step): Step[] => {
      const { kind, zoneId, section } = step;
      if (!zoneId || step.endS > atS + 1e-3 || wiped.has(`${zoneId}/${section}`)) return [];
      const then = { ...step, startS: step.startS - atS, endS: step.endS - atS };
      if (kind === 'flush') return [then];
      if (kind !== 'spray') return [];
      // What is sprayed in the pass at hand is noted with it; until then nobody knows.
      const of = sectionOf(zoneId, step.startS);
      return of > 0 ? [{ ...then, section: of }] : [];
    });
}

/** Something turns out otherwise that changes neither air nor sun. */
const events = fc.constantFrom<(at: number) => object>(
  (at) => ({ kind: 'towel-out', role: 'wash', worker: 0, at }),
  (at) => ({ kind: 'mix-left', purpose: 'wash', ml: 100, at }),
  (at) => ({ kind: 'soil', zone: 'roof', steps: 1, at }),
  (at) => ({ kind: 'workers', workers: 1, at }),
  (at) => ({ kind: 'workers', workers: 2, at }),
  (at) => ({ kind: 'leave', zones: ['left-sill'], at }),
);

/** A run on time until something comes up, with the plans before and after. */
function planned(start: Job, count: number, event: (job: Job, at: number) => ReplanEvent) {
  const begun = startRun(start, HISTORY_START);
  const before = planRun(begun);
  if (before.method === 'decline') return null;
  const { job, at } = workOnTime(begun, count, HISTORY_START);
  const again = noteEvent(job, event(job, at));
  const [after, atS] = [planRun(again), (at - HISTORY_START) / 1000];
  return {
    before,
    after,
    job: again,
    atS,
    past: { steps: doneBefore(before, job.run!, after, atS), plan: before },
  };
}

describe('a run that goes as planned', () => {
  it('goes on with the same treatments when it is planned again, and is through in much the same time', () => {
    let [zones, changed] = [0, 0];
    fc.assert(
      fc.property(jobsOf(1, 2), fc.integer({ min: 1, max: 30 }), (start, count) => {
        const course = planned(start, count, nothingNew);
        if (!course) return;
        const { before, after, atS } = course;
        const treatmentOf = new Map(before.zones.map(({ zone, treatment }) => [zone.id, treatment]));
        for (const { zone, treatment, leftBecause } of after.zones) {
          // In other hands it may take a towel more; but nobody goes away from what is wet.
          if (leftBecause?.kind === 'budget') expect(after.begun.zones.get(zone.id)?.wet ?? []).toEqual([]);
          if (treatment !== treatmentOf.get(zone.id)) changed++;
        }
        zones += after.begun.zones.size;
        // What a second person has wetted by then is only known once they tick something off.
        if (start.site.workers === 1)
          expect(atS + after.timeline.elapsedS).toBeLessThan(1.1 * before.timeline.elapsedS);
      }),
      { numRuns: runs(600, 25) },
    );
    expect(changed / zones).toBeLessThan(0.02);
    expect(zones).toBeGreaterThan(60);
  });

  it('is worked out from the real times of what is done, whatever comes up', () => {
    let zones = 0;
    fc.assert(
      fc.property(jobsOf(1, 2), fc.integer({ min: 1, max: 30 }), events, (start, count, event) => {
        const course = planned(start, count, (_job, at) => event(at) as ReplanEvent);
        if (!course || course.after.method === 'decline') return;
        zones += course.after.begun.zones.size;
        expect(replay(course.after, course.job, course.past)).toEqual([]);
      }),
      { numRuns: runs(1000, 25) },
    );
    expect(zones).toBeGreaterThan(60);
  });
});
