import type { RunAct, Tick, ZoneId } from '../model';
import type { Plan } from '../planning';
import type { PassPart, PlannedPass, Step, StepKind } from '../schedule';

/** A pass to be ticked off as a whole: one press. */
export interface Task extends Pick<PlannedPass, 'act' | 'lap' | 'place' | 'worker' | 'parts'> {
  /** Number of the pass. */
  readonly pass: number;
  /** By hand as planned, without waiting. */
  readonly seconds: number;
  /** Of waiting in it for a dwell. */
  readonly waitS: number;
}

/** Acts that steps belong to. */
const actOf: Readonly<Partial<Record<StepKind, RunAct>>> = {
  flush: 'flush',
  pretreat: 'wet',
  spray: 'wet',
  'rinse-before': 'wipe',
  wipe: 'wipe',
  'rinse-off': 'wipe',
  finish: 'wipe',
  dry: 'dry',
  glass: 'glass',
  protect: 'protect',
};

/** Something that is done to a part of a zone; section 0 is the zone as a whole. */
export interface Act {
  readonly act: RunAct;
  readonly zoneId: ZoneId;
  readonly section: number;
}

export const actKey = ({ act, zoneId, section }: Act): string => `${act}/${zoneId}/${section}`;

export const keyOfTick = ({ kind, zone, section }: Tick): string => actKey({ act: kind, zoneId: zone, section });

/** What a step is ticked off with; null for what is not. In frost a rinse belongs to its section. */
export function keyOfStep({ kind, zoneId, section }: Step): string | null {
  const act = actOf[kind];
  return act && zoneId ? actKey({ act, zoneId, section }) : null;
}

/** All that is done in a task, part by part. */
export const actsOf = ({ act, parts }: Pick<Task, 'act' | 'parts'>): readonly (Act & Pick<PassPart, 'share'>)[] =>
  parts.map(({ zoneId, section, share }) => ({ act, zoneId, section, share }));

const lasts = (steps: readonly Step[]): number => steps.reduce((sum, { startS, endS }) => sum + endS - startS, 0);

/** The plan as passes to tick off, in the order in which they end. */
export function tasksOf({ timeline: { passes, steps } }: Plan): readonly Task[] {
  const own = new Map<number, Step[]>();
  for (const step of steps) if (step.pass !== null) own.set(step.pass, [...(own.get(step.pass) ?? []), step]);
  const endOf = (pass: number): number => Math.max(...(own.get(pass) ?? []).map(({ endS }) => endS));
  return passes
    .map(({ number, act, lap, place, worker, parts }): Task => {
      const all = own.get(number) ?? [];
      const waits = all.filter(({ kind }) => kind === 'wait');
      return { pass: number, act, lap, place, worker, parts, seconds: lasts(all) - lasts(waits), waitS: lasts(waits) };
    })
    .sort((p, q) => endOf(p.pass) - endOf(q.pass));
}

/**
 * Ticks a pass off, for whoever does it by the plan; with it what the plan has wetted ahead by then, at the time at which
 * that should have been.
 * @param at milliseconds since 1970
 */
export function ticksOf({ timeline: { steps, passes } }: Plan, task: Task, at: number): readonly Tick[] {
  const { act, parts, worker, pass } = task;
  const done = parts.map(({ zoneId, section, of }): Tick => ({ kind: act, zone: zoneId, section, of, by: worker, at }));
  if (act !== 'wipe') return done;
  const own = steps.filter((step) => step.worker === worker);
  const [startS, endS] = [
    Math.max(
      0,
      ...own
        .filter((step) => step.pass !== null && step.pass < pass && (step.kind === 'wipe' || step.kind === 'finish'))
        .map((step) => step.endS),
    ),
    Math.max(...own.filter((step) => step.pass === pass).map((step) => step.endS)),
  ];
  const ofPass = new Map(passes.map((one) => [one.number, one.parts]));
  const ahead = own
    .filter(
      (step) => step.kind === 'spray' && step.pass !== pass && step.startS >= startS - 1e-6 && step.endS <= endS + 1e-6,
    )
    .map((step): Tick => {
      const of = ofPass
        .get(step.pass!)!
        .find(({ zoneId, section }) => zoneId === step.zoneId && section === step.section)!.of;
      return {
        kind: 'wet',
        zone: step.zoneId!,
        section: step.section,
        of,
        by: worker,
        at: at - Math.round((endS - step.startS) * 1000),
      };
    });
  return [...done, ...ahead];
}
