import { describe, expect, it } from 'vitest';
import { noteEvents, startRun } from '../edit';
import { planRun, runStatusOf, tasksOf, ticksOf } from '../execution';
import type { Job, ReplanEvent } from '../model';
import { sampleGear, sampleJob, soilAll } from '../testing/sample';
import { cuesFor, troubles } from './cues';

const AT = 1_900_000_000_000;
const job: Job = sampleJob({ soil: soilAll('dust', 1), gear: [sampleGear('cordless-wand')] });

/** A run with so many passes done, and then something noted. */
function after(
  passes: number,
  event?: { readonly kind: ReplanEvent['kind']; readonly zone?: 'roof' },
  of: Job = job,
): Job {
  const begun = startRun(of, AT);
  const plan = planRun(begun);
  const ticked = tasksOf(plan)
    .slice(0, passes)
    .reduce((now, task, i) => noteEvents(now, ticksOf(plan, task, AT + 60_000 * (i + 1))), begun);
  return event ? noteEvents(ticked, [{ ...event, at: AT + 60_000 * (passes + 2) } as ReplanEvent]) : ticked;
}

const filmOf = (now: Job): number => {
  const plan = planRun(now);
  const open = plan.zones.filter(
    ({ zone, option }) => option && !plan.begun.done.has(zone.id) && option.laidMl.waterless > 0,
  );
  return (
    open.reduce((sum, { option }) => sum + option!.laidMl.waterless, 0) /
    open.reduce((sum, { zone }) => sum + zone.areaM2, 0)
  );
};

describe('cues', () => {
  it('are two for every pass of a plan', () => {
    const plan = planRun(job);
    for (const pass of plan.timeline.passes) expect(new Set(cuesFor(plan, pass)).size).toBe(2);
  });
});

describe('what a hand tells in the run', () => {
  it('lays more where it drags, and in smaller sections', () => {
    expect(filmOf(after(3, { kind: 'drags' }))).toBeGreaterThan(filmOf(after(3)));
    const sections = (now: Job): number =>
      planRun(now).zones.reduce((sum, { option }) => sum + (option?.drying.sectionM2 ?? 0), 0);
    expect(sections(after(3, { kind: 'drags' }))).toBeLessThanOrEqual(sections(after(3)));
  });

  it('lets it dwell longer where it smears', () => {
    const dwell = (now: Job): number => {
      const plan = planRun(now);
      return Math.max(
        ...plan.zones.filter(({ zone }) => !plan.begun.done.has(zone.id)).map(({ option }) => option?.dwellS ?? 0),
      );
    };
    expect(dwell(after(3, { kind: 'smears' }))).toBeGreaterThan(dwell(after(3)));
  });

  it('takes a crackle for grit, which is rinsed first', () => {
    const roof = (now: Job) => planRun(now).zones.find(({ zone }) => zone.id === 'roof')!;
    const before = roof(after(0));
    const crackled = roof(after(0, { kind: 'crackles', zone: 'roof' }));
    expect(crackled.soil.loads.map(({ kind }) => kind)).toContain('grit');
    expect(crackled.treatment).not.toBe(before.treatment);
    expect(crackled.treatment).not.toMatch(/^none\//);
  });

  it('is more careful after new marks: nothing over the limit of the next approach down', () => {
    const bold: Job = {
      ...job,
      soil: soilAll('road-film', 3),
      choices: { ...job.choices, approach: 'permissive', dirtLimit: 'index' },
    };
    const worst = (now: Job): number => {
      const plan = planRun(now);
      return Math.max(
        ...plan.zones
          .filter(({ zone, option }) => option && zone.cleanliness <= 2 && !plan.begun.done.has(zone.id))
          .map(({ option }) => option!.marring.index),
      );
    };
    expect(worst(after(2, { kind: 'new-marks' }, bold))).toBeLessThanOrEqual(worst(after(2, undefined, bold)));
  });

  it('asks for the half-panel check once, after the first panel', () => {
    const asked = Array.from({ length: 6 }, (_, passes) => {
      const now = after(passes);
      return runStatusOf(planRun(now), now.run!).timeToCompare;
    });
    expect(asked.filter(Boolean)).toHaveLength(1);
    expect(troubles).toContain('new-marks');
  });
});
