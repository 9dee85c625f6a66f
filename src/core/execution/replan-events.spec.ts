import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions } from '../assumptions';
import { noteEvent, noteEvents, startRun, takeBackEvent } from '../edit';
import { type Job, type ReplanEvent, type TowelRole, type ZoneId, towelRoles, replanEventKinds } from '../model';
import type { Plan } from '../planning/plan';
import { planJob } from '../planning/plan-job';
import { workOnTime } from '../testing/histories';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { celsius, ml } from '../units';
import { planRun } from './plan-run';
import { progressOf } from './progress';
import { runStatusOf } from './status';
import { type Task, keyOfStep, ticksOf } from './task';
import { usageAccount, useOf } from './usage-count';
import { runs } from '@esmero/testing';

const START = 1_900_000_000_000;
const MINUTE = 60_000;

const begun = (workers: 1 | 2, level: 1 | 2): Job =>
  startRun(
    sampleJob({
      soil: soilAll(level === 1 ? 'dust' : 'road-film', level),
      site: { ...sampleSite, workers, minutes: 400 },
    }),
    START,
  );

/** Ticks off so many tasks, whoever has one. */
function work(job: Job, count: number, at = START + MINUTE): Job {
  const plan = planRun(job);
  let now = job;
  for (let i = 0; i < count; i++) {
    const hand = runStatusOf(plan, now.run!).hands.find((one) => one.now);
    if (!hand?.now) break;
    now = noteEvents(now, ticksOf(plan, hand.now, at));
  }
  return now;
}

const workAll = (job: Job): Job => work(job, Infinity);

/** Seconds still to be worked on a zone. */
function openOn(plan: Plan, job: Job, zone: ZoneId): number {
  const { openKeys } = progressOf(plan, job.run!);
  return plan.timeline.steps
    .filter((step) => step.zoneId === zone && openKeys.has(keyOfStep(step) ?? ''))
    .reduce((sum, { startS, endS }) => sum + endS - startS, 0);
}

const turns: fc.Arbitrary<ReplanEvent> = fc
  .oneof(
    fc.record({
      kind: fc.constantFrom('towel-out' as const, 'side-full' as const),
      role: fc.constantFrom<TowelRole>('wash', 'finish'),
      worker: fc.constantFrom(0, 1),
    }),
    fc.record({ kind: fc.constant('workers' as const), workers: fc.constantFrom<1 | 2>(1, 2) }),
    fc.record({ kind: fc.constant('panels' as const), panelC: fc.integer({ min: 5, max: 38 }).map((c) => celsius(c)) }),
    fc.record({
      kind: fc.constant('soil' as const),
      zone: fc.constantFrom('bonnet' as const, 'roof' as const, 'left-front-door-upper' as const),
      steps: fc.constantFrom<1 | -1>(1, -1),
    }),
    fc.record({
      kind: fc.constant('weather' as const),
      weather: fc.constantFrom('cloud' as const, 'wind' as const, 'calm' as const, 'rain' as const),
    }),
    fc.record({
      kind: fc.constant('mix-left' as const),
      purpose: fc.constantFrom('waterless' as const, 'wash' as const),
      ml: fc.integer({ min: 0, max: 400 }).map((amount) => ml(amount)),
    }),
    fc.record({
      kind: fc.constant('leave' as const),
      zones: fc.constantFrom(['left-sill' as const], ['boot-sill' as const, 'grille' as const]),
    }),
  )
  .map((turn) => ({ ...turn, at: START + 2 * MINUTE }) as ReplanEvent);

const course = fc.array(fc.tuple(fc.integer({ min: 0, max: 8 }), turns), { minLength: 1, maxLength: 4 });
const starts = fc.tuple(fc.constantFrom<1 | 2>(1, 2), fc.constantFrom<1 | 2>(1, 2));

/** Every turn of a course with the plan before it and after it. */
function* courseOf(
  start: Job,
  steps: readonly (readonly [number, ReplanEvent])[],
): Generator<{ readonly before: Job; readonly turn: ReplanEvent; readonly after: Job; readonly plan: Plan }> {
  let job = start;
  for (const [count, turn] of steps) {
    const before = work(job, count);
    job = noteEvent(before, turn);
    const plan = planRun(job);
    if (plan.method === 'decline') return;
    yield { before, turn, after: job, plan };
  }
}

describe('a turn of events', () => {
  it('leaves the plan alone as long as there is none', () => {
    const job = begun(1, 1);
    expect(planRun(work(job, 9))).toEqual(planJob({ ...job, run: null }));
  });

  it('loses no zone that was finished', () => {
    fc.assert(
      fc.property(starts, course, ([workers, level], steps) => {
        for (const { before, after, plan } of courseOf(begun(workers, level), steps)) {
          const done = runStatusOf(planRun(before), before.run!).zonesDone;
          const now = runStatusOf(plan, after.run!).zonesDone;
          done.forEach((zone) => expect(now.has(zone)).toBe(true));
        }
      }),
      { numRuns: runs(25) },
    );
  });

  it('takes no more sides of an open towel than it has left, never one for a cleaner class, and opens only what is clean', () => {
    fc.assert(
      fc.property(starts, course, ([workers, level], steps) => {
        for (const { plan, after } of courseOf(begun(workers, level), steps)) {
          const names = plan.towels.map(({ worker, number }) => `${worker}/${number}`);
          expect(new Set(names).size).toBe(names.length);
          for (const { worker, number, sides, begun: old } of plan.towels) {
            const open = plan.begun.towels.find((one) => one.worker === worker && one.number === number);
            expect(open !== undefined).toBe(old);
            if (!open) continue;
            expect(sides.length).toBeLessThanOrEqual(open.left);
            sides.forEach(({ cleanliness }) => expect(cleanliness).toBeGreaterThanOrEqual(open.leastClass));
            sides.forEach(({ dirtShare, liquidShare, reachShare }) =>
              expect(Math.max(dirtShare, liquidShare, reachShare)).toBeLessThanOrEqual(
                1 + defaultAssumptions.sideOver + 1e-6,
              ),
            );
          }
          for (const role of towelRoles) {
            const [had, before] = [
              after.towels.filter((one) => one.role === role).reduce((sum, { clean }) => sum + clean, 0),
              plan.begun.towels.filter(({ batch }) => batch.role === role).length,
            ];
            expect(
              before + plan.towels.filter((towel) => towel.role === role && !towel.begun).length,
            ).toBeLessThanOrEqual(had);
          }
        }
      }),
      { numRuns: runs(25) },
    );
  });

  it('can be worked to the end, and is reckoned up then', () => {
    fc.assert(
      fc.property(starts, course, ([workers, level], steps) => {
        let last: Job | null = null;
        for (const { after } of courseOf(begun(workers, level), steps)) last = after;
        if (!last || planRun(last).method === 'decline') return;
        const done = workAll(last);
        const standing = runStatusOf(planRun(done), done.run!);
        expect(standing.hands.every(({ now }) => now === null)).toBe(true);
        expect(standing.done).toBe(standing.all);
        const use = useOf(usageAccount(done)!, usageAccount(done)!.expected, START);
        expect(use.doneShare).toBe(1);
        expect(use.plannedMin).toBeGreaterThan(0);
        for (const { plannedMl, usedMl } of use.mixes) expect(Math.abs(usedMl - plannedMl)).toBeLessThanOrEqual(1);
        for (const { planned, opened } of use.towels) expect(opened).toBe(planned);
      }),
      { numRuns: runs(20) },
    );
  });

  it('keeps what is begun through a time without a plan, so that leaving what waits gives one', () => {
    const muddy = startRun(
      sampleJob({
        soil: soilAll('mud', 2),
        site: { ...sampleSite, minutes: 400 },
        choices: { ...sampleJob().choices, parts: 'all' },
      }),
      START,
    );
    let checked = 0;
    for (let count = 1; count < 10; count++) {
      const fell = noteEvent(work(muddy, count), { kind: 'water-left', litres: 0.3, at: START + MINUTE });
      const stuck = planRun(fell);
      const waits = stuck.verdicts.flatMap((one) => (one.code === 'zones-wait' ? one.zones : []));
      if (stuck.method !== 'decline' || waits.length === 0) continue;
      checked++;
      const after = planRun(noteEvent(fell, { kind: 'leave', zones: waits, at: START + 2 * MINUTE }));
      expect(after.method).not.toBe('decline');
      expect([...after.begun.zones.keys()].sort()).toEqual([...stuck.begun.zones.keys()].sort());
    }
    expect(checked).toBeGreaterThan(0);
  });

  it('is gone when it is taken back', () => {
    fc.assert(
      fc.property(starts, fc.integer({ min: 0, max: 30 }), turns, ([workers, level], count, turn) => {
        const before = work(begun(workers, level), count);
        expect(planRun(takeBackEvent(noteEvent(before, turn)))).toEqual(planRun(before));
      }),
      { numRuns: runs(10) },
    );
  });

  it('is told of by every kind', () => {
    const zones = ['roof'] as const;
    const one = {
      again: { zone: 'roof' },
      'towel-out': { role: 'wash', worker: 0 },
      'side-full': { role: 'wash', worker: 0 },
      workers: { workers: 2 },
      panels: { panelC: 20 },
      soil: { zone: 'roof', steps: 1 },
      weather: { weather: 'wind' },
      'mix-left': { purpose: 'waterless', ml: 0 },
      'product-out': { purpose: 'waterless' },
      'water-left': { litres: 2 },
      leave: { zones },
      drags: {},
      smears: {},
      crackles: { zone: 'roof' },
      'new-marks': {},
    } as const;
    for (const kind of replanEventKinds) {
      const job = noteEvent(work(begun(1, 1), 5), { kind, at: START, ...one[kind] } as ReplanEvent);
      expect(planRun(job).begun).toMatchObject({ events: job.run!.events.length, at: START });
    }
  });
});

describe('what is left', () => {
  const half = work(begun(1, 1), 9);
  const same = noteEvent(half, { kind: 'workers', workers: 1, at: START + 2 * MINUTE });

  it('makes the same whole of liquid, work and area, whenever it is reckoned', () => {
    const [whole, job] = [planJob({ ...half, run: null }), workAll(same)];
    const use = useOf(usageAccount(job)!, usageAccount(job)!.expected, START);
    for (const { content, demandMl } of whole.mix.mixes) {
      const used = use.mixes.find(({ purpose }) => purpose === content)!;
      expect(used.plannedMl).toBeCloseTo(demandMl, 6);
    }
    expect(use.plannedMin).toBeCloseTo(whole.totals.minutes.value, 0);
    expect(use.waterL).toBeCloseTo(whole.totals.litres.value, 6);
  });

  it('has drawn and let run off as much water as was planned, whatever is flushed, once all is done', () => {
    for (const [kind, level] of [
      ['mud', 2],
      ['salt', 3],
      ['road-film', 3],
    ] as const)
      for (const count of [0, 5, 14]) {
        const plain = sampleJob({
          soil: soilAll(kind, level),
          site: { ...sampleSite, runoff: 'allowed', waterL: 60, minutes: 900 },
        });
        const whole = planJob(plain);
        if (whole.method === 'decline') continue;
        const before = workOnTime(startRun(plain, START), count, START);
        const turned = count > 0 ? noteEvent(before.job, { kind: 'workers', workers: 1, at: before.at }) : before.job;
        const done = workOnTime(turned, Infinity, before.at).job;
        const use = useOf(usageAccount(done)!, usageAccount(done)!.expected, START);
        if (count === 0) expect(use.runoffL).toBeCloseTo(whole.totals.runoffL.value, 6);
        else expect(Math.abs(use.runoffL! - whole.totals.runoffL.value)).toBeLessThan(0.02 * use.runoffL! + 1e-6);
        expect(use.waterL! / whole.totals.litres.value).toBeCloseTo(1, 1);
      }
  });

  it('leaves as much to do on zones that are begun as was left before, in every approach', () => {
    const approaches = fc.record({
      glass: fc.constantFrom('first' as const, 'last' as const),
      drying: fc.constantFrom('panel' as const, 'body' as const),
      pair: fc.constantFrom('sides' as const, 'lift-finish' as const, 'one-panel' as const),
      order: fc.constantFrom('top-down' as const, 'dirtiest-first' as const),
    });
    const soils = fc.constantFrom(['dust', 1], ['road-film', 2], ['salt', 3], ['mud', 2]) as fc.Arbitrary<
      ['dust' | 'road-film' | 'salt' | 'mud', 1 | 2 | 3]
    >;
    fc.assert(
      fc.property(
        approaches,
        soils,
        fc.constantFrom<1 | 2>(1, 2),
        fc.integer({ min: 1, max: 22 }),
        (approach, [kind, level], workers, count) => {
          const plain = sampleJob({
            soil: soilAll(kind, level),
            site: { ...sampleSite, workers, runoff: 'allowed', waterL: 60, minutes: 900 },
          });
          const before = work(startRun({ ...plain, choices: { ...plain.choices, ...approach } }, START), count);
          const after = noteEvent(before, { kind: 'workers', workers: 1, at: START });
          const [was, is] = [planRun(before), planRun(after)];
          if (was.method === 'decline') return;
          for (const id of is.begun.zones.keys()) expect(openOn(is, after, id)).toBeCloseTo(openOn(was, before, id), 6);
        },
      ),
      { numRuns: runs(30) },
    );
  });

  it('needs no more towels than were planned when nothing has changed, but that two people share the car out anew', () => {
    fc.assert(
      fc.property(starts, fc.integer({ min: 0, max: 22 }), ([workers, level], count) => {
        const before = work(begun(workers, level), count);
        const [was, is] = [planRun(before), planRun(noteEvent(before, { kind: 'workers', workers, at: START }))];
        for (const role of towelRoles) {
          const planned = was.towels.filter((towel) => towel.role === role).length;
          const opened = is.begun.towels.filter(({ batch }) => batch.role === role).length;
          expect(opened + is.towels.filter((towel) => towel.role === role && !towel.begun).length).toBeLessThanOrEqual(
            planned + (workers === 2 ? 1 : 0),
          );
        }
      }),
      { numRuns: runs(25) },
    );
  });

  it('goes on with the very thing that each person was at', () => {
    const mild = turns.filter(({ kind }) => kind !== 'workers' && kind !== 'leave');
    let checked = 0;
    fc.assert(
      fc.property(starts, fc.integer({ min: 0, max: 18 }), mild, ([workers, level], count, turn) => {
        const before = work(begun(workers, level), count);
        const after = noteEvent(before, turn);
        const [was, plan] = [runStatusOf(planRun(before), before.run!), planRun(after)];
        const now = runStatusOf(plan, after.run!);
        for (const { worker, now: task } of was.hands) {
          const isOn = (one: Task): boolean =>
            one.act === task!.act && one.parts.some(({ zoneId }) => task!.parts.some((part) => part.zoneId === zoneId));
          if (!task || !progressOf(plan, after.run!).open.some(isOn)) continue;
          checked++;
          const own = now.hands.find((one) => one.worker === worker)?.now;
          expect(own && isOn(own)).toBe(true);
        }
      }),
      { numRuns: runs(40) },
    );
    expect(checked).toBeGreaterThan(runs(20) / 3);
  });

  it('leaves what somebody has wetted to them, and all of it to the other when they leave', () => {
    let checked = 0;
    for (let count = 2; count < 20; count++) {
      const before = work(begun(2, 1), count);
      const [same, alone] = ([2, 1] as const).map((workers) =>
        planRun(noteEvent(before, { kind: 'workers', workers, at: START })),
      );
      for (const [id, { wet }] of same!.begun.zones) {
        if (wet.length === 0) continue;
        checked++;
        const wiping = (plan: Plan): readonly number[] =>
          plan.timeline.steps
            .filter(({ kind, zoneId }) => kind === 'wipe' && zoneId === id)
            .map(({ worker }) => worker);
        // Halves may be whose they are; what was wetted stays with its person.
        const own = same!.timeline.byWorker.flatMap((list, worker) =>
          list.flatMap(({ pieces }) =>
            pieces.filter(({ zone }) => zone.id === id).map(({ section }) => [section, worker] as const),
          ),
        );
        wet.forEach(({ worker }, i) => expect(own).toContainEqual([i + 1, worker]));
        expect(new Set(wiping(alone!))).toEqual(new Set([0]));
      }
    }
    expect(checked).toBeGreaterThan(0);
  });

  it('asks for no filling that stands ready, and for no station twice', () => {
    const rest = planRun(same);
    expect(rest.mix.mixes.every(({ fills }) => fills.length === 0)).toBe(true);
    expect(rest.timeline.steps.some(({ kind }) => kind === 'setup')).toBe(false);
  });

  it('gives up one side of the towel in hand when that is full, and the whole towel when it fell', () => {
    const start = begun(1, 1);
    const as = { role: 'wash', worker: 0, at: START } as const;
    const given = Array.from({ length: 8 }, (_, i) => {
      const now = work(start, 2 * i + 1);
      const left = (turn: ReplanEvent): number =>
        planRun(noteEvent(now, turn)).begun.towels.reduce((sum, one) => sum + one.left, 0);
      const untouched = left({ kind: 'workers', workers: 1, at: START });
      return {
        side: untouched - left({ kind: 'side-full', ...as }),
        towel: untouched - left({ kind: 'towel-out', ...as }),
      };
    });
    // On its last side a towel has no more to give up than that.
    for (const { side, towel } of given) expect([side >= 0, side <= 1, towel >= side]).toEqual([true, true, true]);
    expect(given.some(({ side }) => side === 1)).toBe(true);
    expect(given.some(({ side, towel }) => towel > side)).toBe(true);
  });

  it('mixes again where a vessel turns out emptier than reckoned, and goes another way without the product', () => {
    const [purpose] = planRun(half).mix.mixes.flatMap(({ content }) => (content === 'waterless' ? [content] : []));
    expect(purpose).toBe('waterless');
    const empty = planRun(noteEvent(half, { kind: 'mix-left', purpose: 'waterless', ml: ml(0), at: START }));
    expect(empty.mix.mixes.find(({ content }) => content === 'waterless')!.fills.length).toBeGreaterThan(0);
    const without = planRun(noteEvent(half, { kind: 'product-out', purpose: 'waterless', at: START }));
    const open = without.zones.filter(
      ({ zone }) => !without.begun.done.has(zone.id) && !without.begun.zones.has(zone.id),
    );
    expect(open.length).toBeGreaterThan(0);
    open.forEach(({ treatment }) => expect(treatment).not.toContain('waterless'));
  });

  it('takes longer rather than leave a car half washed', () => {
    const late = noteEvent(half, { kind: 'workers', workers: 1, at: START + 399 * MINUTE });
    const plan = planRun(late);
    expect(plan.method).not.toBe('decline');
    expect(plan.totals.minutes.value).toBeGreaterThan(1);
  });
});
