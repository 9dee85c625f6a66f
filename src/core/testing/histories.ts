import fc from 'fast-check';
import { noteEvent, noteEvents, startRun } from '../edit';
import { planRun, runStatusOf, ticksOf } from '../execution';
import type { Task } from '../execution/task';
import { type Choices, type Job, type ReplanEvent, type TowelRole, type ZoneId, weatherChanges } from '../model';
import type { Plan } from '../planning';
import { celsius, ml } from '../units';
import { anyJobWith } from './any-job';

/** When every run of a history starts, in ms. */
export const HISTORY_START = 1_900_000_000_000;
const TICK_MS = 20_000;
const WAIT_MS = 3000;

/** Whatever may turn out otherwise beside a car. */
const events = fc.oneof(
  fc.record({
    kind: fc.constantFrom('towel-out', 'side-full'),
    role: fc.constantFrom<TowelRole>('wash', 'finish'),
    worker: fc.constantFrom(0, 1),
  }),
  fc.record({ kind: fc.constant('workers'), workers: fc.constantFrom(1, 2) }),
  fc.record({ kind: fc.constant('panels'), panelC: fc.integer({ min: -5, max: 60 }).map((c) => celsius(c)) }),
  fc.record({
    kind: fc.constant('soil'),
    zone: fc.constantFrom<ZoneId>('bonnet', 'roof', 'left-front-door-upper', 'left-sill'),
    steps: fc.constantFrom(1, -1),
  }),
  fc.record({ kind: fc.constant('weather'), weather: fc.constantFrom(...weatherChanges) }),
  fc.record({
    kind: fc.constant('mix-left'),
    purpose: fc.constantFrom('waterless', 'wash'),
    ml: fc.integer({ min: 0, max: 400 }).map((amount) => ml(amount)),
  }),
  fc.record({
    kind: fc.constant('leave'),
    zones: fc.constantFrom<readonly ZoneId[]>(['left-sill'], ['boot-sill', 'grille']),
  }),
) as unknown as fc.Arbitrary<ReplanEvent>;

/**
 * Jobs with time enough for whatever happens.
 * @param workers who starts; an event may change it
 */
export const jobsOf = (...workers: readonly (1 | 2)[]): fc.Arbitrary<Job> =>
  anyJobWith({
    site: { workers: fc.constantFrom(...workers) },
    choices: {
      pair: fc.constantFrom<Choices['pair']>('lift-finish', 'one-panel', 'sides'),
      drying: fc.constantFrom<Choices['drying']>('panel', 'body'),
    },
  }).map((job) => ({ ...job, site: { ...job.site, minutes: 400 } }) as Job);

/** Ticks off so many passes of its plan from a time in ms, turn about. */
export function work(job: Job, plan: Plan, count: number, from: number): Job {
  let now = job;
  for (let i = 0; i < count; i++) {
    const hands = runStatusOf(plan, now.run!).hands.flatMap((hand) => hand.now ?? []);
    if (hands.length === 0) return now;
    now = noteEvents(now, ticksOf(plan, hands[i % hands.length]!, from + i * TICK_MS));
  }
  return now;
}

/**
 * Ticks off so many passes at the times at which the plan has them done.
 * @param from when the plan begins, in ms
 * @returns the job, and when the last of them was done
 */
export function workOnTime(job: Job, count: number, from: number): { readonly job: Job; readonly at: number } {
  const plan = planRun(job);
  let [now, at] = [job, from];
  for (let i = 0; i < count; i++) {
    const hands = runStatusOf(plan, now.run!).hands.flatMap((hand) => hand.now ?? []);
    const endOf = ({ pass }: Task): number =>
      Math.max(...plan.timeline.steps.filter((step) => step.pass === pass).map((step) => step.endS));
    const [next] = hands.sort((p, q) => endOf(p) - endOf(q));
    if (!next) break;
    at = from + Math.round(endOf(next) * 1000);
    now = noteEvents(now, ticksOf(plan, next, at));
  }
  return { job: now, at };
}

/** Passes to tick off, and then what turns out otherwise after a wait. */
const steps = fc.array(fc.tuple(fc.nat(12), fc.nat(100), events), { minLength: 1, maxLength: 4 });

/** A run in which things happen between its passes. */
export const anyHistory = (...workers: readonly (1 | 2)[]): fc.Arbitrary<History> =>
  fc.record({ start: jobsOf(...workers), steps });

interface History {
  readonly start: Job;
  readonly steps: readonly (readonly [count: number, wait: number, event: ReplanEvent])[];
}

/**
 * Works through a history, planning again after everything that happens.
 * @returns how many plans there were to go on with, and whether it ended in a refusal that gives a reason
 * @throws whatever a plan throws; a refusal without a reason
 */
export function workThrough({ start, steps }: History): { readonly planned: number; readonly isDeclined: boolean } {
  let [job, at, planned] = [startRun(start, HISTORY_START), HISTORY_START, 0];
  for (const [count, wait, event] of steps) {
    const plan = planRun(job);
    if (plan.method === 'decline') {
      if (plan.verdicts.length === 0) throw new Error('Refused without a reason');
      return { planned, isDeclined: true };
    }
    planned++;
    job = work(job, plan, count, at);
    at += count * TICK_MS + wait * WAIT_MS;
    job = noteEvent(job, { ...event, at } as never);
  }
  planRun(job);
  return { planned, isDeclined: false };
}
