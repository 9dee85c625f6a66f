import type { Pace, PacedAct, Tick } from '../model';
import type { Plan } from '../planning';
import type { Progress } from './progress';
import { type Task, actKey, actsOf, keyOfStep, keyOfTick } from './task';

/** Ticked within so short a time, things were done together and ticked afterwards: judged. */
const TOGETHER_MS = 3000;
/** Whoever takes so many times as long, or as short, was called away or ticked at another time: judged. */
const NOT_THE_WORK = 5;

/** So long may what was planned have taken: nobody was called away, and it was noted in its time. */
export const isTheWork = (tookS: number, plannedS: number): boolean =>
  tookS > plannedS / NOT_THE_WORK && tookS < plannedS * NOT_THE_WORK;

/** What was ticked off in one go, with the tick before it. */
interface Bout {
  readonly before: Tick;
  readonly ticks: readonly Tick[];
}

/** The first tick of each thing. */
function once(ticks: readonly Tick[]): readonly Tick[] {
  const known = new Set<string>();
  return ticks.filter((tick) => !known.has(keyOfTick(tick)) && known.add(keyOfTick(tick)));
}

/** One person’s ticks in bouts; when the first of them was begun nobody knows. */
function boutsOf(ticks: readonly Tick[]): readonly Bout[] {
  const groups: Tick[][] = [];
  for (const tick of ticks) {
    const last = groups.at(-1);
    // What was wetted ahead is noted with the pass after which it was.
    if (last && (tick.kind === 'wet' || tick.at - last[0]!.at <= TOGETHER_MS)) last.push(tick);
    else groups.push([tick]);
  }
  return groups.slice(1).map((group, i) => ({ before: groups[i]![0]!, ticks: group }));
}

/** What the plan has for what was ticked off: by hand, and waiting for its own dwell. */
interface Planned {
  readonly seconds: ReadonlyMap<string, number>;
  readonly waits: ReadonlyMap<string, number>;
}

function plannedOf({ timeline: { steps } }: Plan, tasks: readonly Task[]): Planned {
  const seconds = new Map<string, number>();
  for (const step of steps) {
    // Walking there belongs to the pass.
    const key =
      step.kind === 'walk' && step.zoneId
        ? actKey({ act: 'wipe', zoneId: step.zoneId, section: step.section })
        : keyOfStep(step);
    if (key) seconds.set(key, (seconds.get(key) ?? 0) + step.endS - step.startS);
  }
  return { seconds, waits: new Map(tasks.flatMap((task) => actsOf(task).map((one) => [actKey(one), task.waitS]))) };
}

/** When the work of a bout could begin: after what came before, and not before the dwell was over. */
function beganAt({ before, ticks: [first] }: Bout, { ticked }: Progress, { zones }: Plan, { waits }: Planned): number {
  const { kind, zone: id, section } = first!;
  const wettedAt = kind === 'wipe' ? ticked.get(actKey({ act: 'wet', zoneId: id, section })) : undefined;
  const dwellS = zones.find(({ zone }) => zone.id === id)?.option?.dwellS ?? 0;
  return wettedAt === undefined
    ? before.at + (waits.get(keyOfTick(first!)) ?? 0) * 1000
    : Math.max(before.at, wettedAt + dwellS * 1000);
}

/** Seconds of what was ticked off; what is wiped was wetted in the same go, unless it was noted before. */
function secondsFor(ticks: readonly Tick[], { seconds }: Planned, wettedBefore: (key: string) => boolean): number {
  return ticks.reduce((sum, tick) => {
    const own = seconds.get(keyOfTick(tick)) ?? NaN;
    const wet = actKey({ act: 'wet', zoneId: tick.zone, section: tick.section });
    return sum + own + (tick.kind === 'wipe' && !wettedBefore(wet) ? (seconds.get(wet) ?? 0) : 0);
  }, 0);
}

/** What a bout tells of one act; null where it tells nothing. */
function paceOf(bout: Bout, planned: Planned, progress: Progress, plan: Plan): Pace | null {
  // What was wetted ahead was done in the same time.
  const acts = new Set(
    bout.ticks.map(({ kind }) => kind).filter((kind, _i, all) => kind !== 'wet' || !all.includes('wipe')),
  );
  const [act] = acts;
  const plannedS = secondsFor(bout.ticks, planned, (key) => progress.ticked.has(key));
  const tookS = (Math.max(...bout.ticks.map(({ at }) => at)) - beganAt(bout, progress, plan, planned)) / 1000;
  return acts.size === 1 && isTheWork(tookS, plannedS) ? { act: act!, plannedS, tookS } : null;
}

/** Sums of several, act by act. */
export function pacesTogether(paces: readonly Pace[]): readonly Pace[] {
  const sums = new Map<PacedAct, Pace>();
  for (const { act, plannedS, tookS } of paces) {
    const sum = sums.get(act) ?? { act, plannedS: 0, tookS: 0 };
    sums.set(act, { act, plannedS: sum.plannedS + plannedS, tookS: sum.tookS + tookS });
  }
  return [...sums.values()];
}

/**
 * How long acts took, from when things were ticked off after the plan was made: from one tick of a
 * person to the next, without waiting for a dwell. The first tick of each says nothing, nor does what
 * was ticked off with other acts in one go.
 */
export function pacesSince(plan: Plan, progress: Progress, ticks: readonly Tick[]): readonly Pace[] {
  const planned = plannedOf(plan, progress.tasks);
  const bouts = [0, 1].flatMap((worker) => boutsOf(once(ticks).filter((tick) => tick.by === worker)));
  return pacesTogether(bouts.flatMap((bout) => paceOf(bout, planned, progress, plan) ?? []));
}
