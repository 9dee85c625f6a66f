import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dropRun, endRun, noteEvent, noteEvents, startRun, takeBackEvent } from '../edit';
import { type Job, bodies } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { planRun } from './plan-run';
import { runStatusOf } from './status';
import { type Task, tasksOf, ticksOf } from './task';
import { runs } from '@esmero/testing';

const START = 1_900_000_000_000;
const dusty = startRun(sampleJob({ soil: soilAll('dust', 1), site: { ...sampleSite, workers: 2 } }), START);
const plan = planJob(dusty);
const standing = (job: Job) => runStatusOf(plan, job.run!);
const tick = (job: Job, task: Task, at = START): Job => noteEvents(job, ticksOf(plan, task, at));

describe('tasks', () => {
  it('are all the work of the plan, each step in one of them', () => {
    fc.assert(
      fc.property(fc.constantFrom(...bodies), fc.constantFrom<1 | 2>(1, 2), (body, workers) => {
        const one = planJob(
          sampleJob({ vehicle: sampleVehicle(body), soil: soilAll('road-film', 2), site: { ...sampleSite, workers } }),
        );
        const steps = one.timeline.steps.filter(({ kind, zoneId }) => zoneId && kind !== 'wait');
        const worked = steps.reduce((sum, { startS, endS }) => sum + endS - startS, 0);
        expect(tasksOf(one).reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(worked, 6);
        expect(new Set(tasksOf(one).flatMap(({ parts }) => parts.map(({ zoneId }) => zoneId)))).toEqual(
          new Set(steps.map(({ zoneId }) => zoneId)),
        );
      }),
      { numRuns: runs(12) },
    );
  });

  it('are one press each, which notes what was wetted ahead by then', () => {
    const noted = tasksOf(plan).flatMap((task) => ticksOf(plan, task, START));
    const wets = noted.filter(({ kind }) => kind === 'wet');
    expect(wets.length).toBeGreaterThan(0);
    for (const wet of wets) {
      expect(wet.at).toBeLessThanOrEqual(START);
      const wiped = noted.findIndex(
        ({ kind, zone, section }) => kind === 'wipe' && zone === wet.zone && section === wet.section,
      );
      expect(wiped).toBeGreaterThan(noted.indexOf(wet));
    }
    // Nothing is noted twice.
    expect(new Set(noted.map(({ kind, zone, section }) => `${kind}/${zone}/${section}`)).size).toBe(noted.length);
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

  it('shows both clocks of a pass that was wetted ahead, from the time it was', () => {
    let job = dusty;
    for (let i = 0; i < 40 && !standing(job).hands[0]!.clocks; i++)
      job = tick(job, standing(job).hands[0]!.now!, START + 60_000);
    const { now, clocks } = standing(job).hands[0]!;
    const options = now!.parts.map(({ zoneId }) => plan.zones.find(({ zone }) => zone.id === zoneId)!.option!);
    const wets = job.run!.events.filter((event) => event.kind === 'wet');
    const last = Math.max(...wets.slice(-now!.parts.length).map(({ at }) => at));
    expect(clocks!.readyAt).toBe(last + Math.max(...options.map(({ dwellS }) => dwellS)) * 1000);
    if (clocks!.dryAt !== null) expect(clocks!.dryAt).toBeGreaterThan(clocks!.readyAt);
  });

  it('does a zone once more where it is asked to, and takes the last thing back', () => {
    const first = tasksOf(plan)[0]!.parts[0]!.zoneId;
    const own = tasksOf(plan).filter(({ parts }) => parts.some(({ zoneId }) => zoneId === first));
    const done = own.reduce((job, task) => tick(job, task), dusty);
    expect(standing(done).zonesDone.has(first)).toBe(true);
    const again = noteEvent(done, { kind: 'again', zone: first, at: START });
    const after = runStatusOf(planRun(again), again.run!);
    expect(after.zonesDone.has(first)).toBe(false);
    expect(takeBackEvent(again)).toEqual(done);
  });

  it('notes nothing before it is begun or after its end, and opens again when the end is taken back', () => {
    const task = tasksOf(plan)[0]!;
    const unbegun = dropRun(dusty);
    expect(tick(unbegun, task)).toBe(unbegun);
    const ended = endRun(tick(dusty, task), START + 1000);
    expect(tick(ended, task)).toBe(ended);
    expect(takeBackEvent(ended).run).toMatchObject({ endedAt: null, events: tick(dusty, task).run!.events });
    expect(takeBackEvent(takeBackEvent(ended)).run!.events).toEqual([]);
  });
});
