import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { endRun, noteEvent, noteEvents, startRun } from '../edit';
import { type Job, type Pace, type RunAct, type RunEvent, isTick, runActs } from '../model';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { planRun } from './plan-run';
import { runStatusOf } from './status';
import { keyOfStep, keyOfTick, ticksOf } from './task';
import { usageAccount } from './usage-count';
import { runs } from '@esmero/testing';

const START = 1_900_000_000_000;
const SETUP_MS = 600_000;

type Rates = Readonly<Record<RunAct, number>>;

/** Works a job to its end, each act so many times as long as planned, and never wipes before the dwell is over. */
function workedAt(job: Job, rate: Rates, change: (so: Job, pressed: number) => Job = (so) => so): Job {
  const clocks = [START + SETUP_MS, START + SETUP_MS];
  let now = startRun(job, START);
  for (let pressed = 0; ; pressed++) {
    now = change(now, pressed);
    const plan = planRun(now);
    const hand = runStatusOf(plan, now.run!)
      .hands.filter((one) => one.now)
      .sort((p, q) => clocks[p.worker]! - clocks[q.worker]!)[0];
    if (!hand?.now) return endRun(now, Math.max(...clocks));
    const { now: task, clocks: wet, worker } = hand;
    const known = new Set(now.run!.events.flatMap((event) => (isTick(event) ? [keyOfTick(event)] : [])));
    const ticks = ticksOf(plan, task, 0);
    const own = new Set(
      ticks
        .flatMap((tick) => [keyOfTick(tick), ...(tick.kind === 'wipe' ? [keyOfTick({ ...tick, kind: 'wet' })] : [])])
        .filter((key) => !known.has(key)),
    );
    const steps = plan.timeline.steps.filter(
      (step) => (step.kind === 'walk' && step.pass === task.pass) || own.has(keyOfStep(step) ?? ''),
    );
    const workS = steps.reduce((sum, { startS, endS }) => sum + endS - startS, 0) * rate[task.act];
    const dwelt = wet ? wet.readyAt : clocks[worker]! + task.waitS * 1000;
    clocks[worker] = Math.max(clocks[worker]!, dwelt) + workS * 1000;
    now = noteEvents(now, ticksOf(plan, task, clocks[worker]!));
  }
}

const pacesOf = (job: Job): readonly Pace[] => usageAccount(job)!.spent.paces;
const steady: Rates = { flush: 1, wet: 1, wipe: 1, dry: 1, glass: 1, protect: 1 };
const jobs = fc
  .record({
    workers: fc.constantFrom<1 | 2>(1, 2),
    soil: fc.constantFrom(['dust', 1], ['road-film', 2]) as fc.Arbitrary<['dust' | 'road-film', 1 | 2]>,
  })
  .map(({ workers, soil: [kind, level] }) =>
    sampleJob({ soil: soilAll(kind, level), site: { ...sampleSite, workers, minutes: 600 } }),
  );
const rates = fc.record(
  Object.fromEntries(runActs.map((act) => [act, fc.double({ min: 0.5, max: 2, noNaN: true })])) as Record<
    RunAct,
    fc.Arbitrary<number>
  >,
);

describe('the pace of a run', () => {
  it('is found act by act, for one or two people, whatever they wait for', () => {
    fc.assert(
      fc.property(jobs, rates, (job, rate) => {
        const paces = pacesOf(workedAt(job, rate));
        expect(paces.map(({ act }) => act)).toContain('wipe');
        for (const { act, plannedS, tookS } of paces) expect(tookS / plannedS / rate[act as RunAct]).toBeCloseTo(1, 1);
      }),
      { numRuns: runs(12) },
    );
  });

  it('is found across a turn of events, too', () => {
    const rate: Rates = { ...steady, wet: 1.5, wipe: 0.8 };
    const [job] = fc.sample(jobs, { numRuns: runs(1), seed: 3 });
    const turned = workedAt(job!, rate, (so, ticked) =>
      ticked === 8 ? noteEvent(so, { kind: 'workers', workers: 2, at: so.run!.events.at(-1)!.at }) : so,
    );
    for (const { act, plannedS, tookS } of pacesOf(turned))
      expect(tookS / plannedS / rate[act as RunAct]).toBeCloseTo(1, 1);
  });

  it('does not tell what was ticked off together, by nobody, or with a long break in it', () => {
    const dusty = sampleJob({ soil: soilAll('dust', 1), site: { ...sampleSite, minutes: 600 } });
    const done = workedAt(dusty, steady);
    const changed = (event: (one: RunEvent, i: number) => object): Job =>
      ({
        ...done,
        run: { ...done.run!, events: done.run!.events.map((one, i) => ({ ...one, ...event(one, i) })) },
      }) as Job;
    expect(pacesOf(changed(() => ({ at: START })))).toEqual([]);
    expect(pacesOf(changed(() => ({ by: null })))).toEqual([]);
    const late = changed((one, i) => ({ at: one.at + (i >= 60 ? 3_600_000 : 0) }));
    for (const { plannedS, tookS } of pacesOf(late)) expect(tookS / plannedS).toBeCloseTo(1, 1);
  });
});
