import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dropRun, endRun, noteEvent, startRun, takeBackEvent } from '../edit';
import { type Job, bodies } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { planRun } from './plan-run';
import { runStatusOf } from './status';
import { type Task, tasksOf, tickOf } from './task';
import { runs } from '@esmero/testing';

const START = 1_900_000_000_000;
const dusty = startRun(sampleJob({ soil: soilAll('dust', 1), site: { ...sampleSite, workers: 2 } }), START);
const plan = planJob(dusty);
const standing = (job: Job) => runStatusOf(plan, job.run!);
const tick = (job: Job, task: Task, at = START): Job => noteEvent(job, tickOf(task, at));

describe('tasks', () => {
  it('are all the work of the plan, each step in one of them', () => {
    fc.assert(
      fc.property(fc.constantFrom(...bodies), fc.constantFrom<1 | 2>(1, 2), (body, workers) => {
        const one = planJob(sampleJob({ vehicle: sampleVehicle(body), soil: soilAll('road-film', 2), site: { ...sampleSite, workers } }));
        const steps = one.timeline.steps.filter(({ kind, zoneId }) => zoneId && kind !== 'wait');
        const worked = steps.reduce((sum, { startS, endS }) => sum + endS - startS, 0);
        expect(tasksOf(one).reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(worked, 6);
        expect(new Set(tasksOf(one).map(({ zoneId }) => zoneId))).toEqual(new Set(steps.map(({ zoneId }) => zoneId)));
      }),
      { numRuns: runs(12) },
    );
  });

  it('wet a section before they wipe it', () => {
    const tasks = tasksOf(plan);
    tasks.forEach(({ act, zoneId, section }, i) => {
      if (act === 'wet') expect(tasks.findIndex((one) => one.act === 'wipe' && one.zoneId === zoneId && one.section === section)).toBeGreaterThan(i);
    });
  });
});

describe('a run', () => {
  it('comes to its end by doing what is next, whoever does it, and loses nothing on the way', () => {
    fc.assert(
      fc.property(fc.infiniteStream(fc.boolean()), (who) => {
        let job = dusty;
        let [before, left] = [-1, Infinity];
        for (;;) {
          const { hands, done, all, leftS } = standing(job);
          expect(done).toBe(before + 1);
          expect(leftS).toBeLessThanOrEqual(left);
          [before, left] = [done, leftS];
          const busy = hands.filter(({ now }) => now);
          if (busy.length === 0) {
            expect(done).toBe(all);
            return;
          }
          job = tick(job, busy[Number(who.next().value) % busy.length]!.now!);
        }
      }),
      { numRuns: runs(5) },
    );
  });

  it('shows both clocks of a wetted section from the time it was wetted', () => {
    const wet = standing(dusty).hands[0]!.now!;
    expect(wet.act).toBe('wet');
    let job = tick(dusty, wet, START + 60_000);
    // Others may be wetted before it is wiped.
    while (standing(job).hands[0]!.now!.act === 'wet') job = tick(job, standing(job).hands[0]!.now!, START + 70_000);
    const { now, clocks } = standing(job).hands[0]!;
    expect(now).toMatchObject({ act: 'wipe', zoneId: wet.zoneId, section: wet.section });
    const { option } = plan.zones.find(({ zone }) => zone.id === wet.zoneId)!;
    expect(clocks!.readyAt).toBe(START + 60_000 + option!.dwellS * 1000);
    if (option!.drying.windowS < Infinity) expect(clocks!.dryAt).toBeCloseTo(START + 60_000 + option!.drying.windowS * 1000, 3);
  });

  it('does a zone once more where it is asked to, and takes the last thing back', () => {
    const [first] = tasksOf(plan).map(({ zoneId }) => zoneId);
    const own = tasksOf(plan).filter(({ zoneId }) => zoneId === first);
    const done = own.reduce((job, task) => tick(job, task), dusty);
    expect(standing(done).zonesDone.has(first!)).toBe(true);
    const again = noteEvent(done, { kind: 'again', zone: first!, at: START });
    const after = runStatusOf(planRun(again), again.run!);
    expect(after.zonesDone.has(first!)).toBe(false);
    expect(after.done).toBe(0);
    expect(takeBackEvent(again)).toEqual(done);
  });

  it('notes nothing before it is begun or after its end, and opens again when the end is taken back', () => {
    const task = tasksOf(plan)[0]!;
    const unbegun = dropRun(dusty);
    expect(tick(unbegun, task)).toBe(unbegun);
    const ended = endRun(tick(dusty, task), START + 1000);
    expect(tick(ended, task)).toBe(ended);
    expect(takeBackEvent(ended).run).toMatchObject({ endedAt: null, events: [{ zone: task.zoneId }] });
  });
});
