import type { Pace, RunAct, Tick } from '../model';
import type { Plan } from '../planning';
import type { Progress } from './progress';
import { type Task, keyOfTick, taskKey } from './task';

/** Ticked within so short a time, things were done together and ticked afterwards: judged. */
const TOGETHER_MS = 3000;
/** Whoever takes so many times as long, or as short, was called away or ticked at another time: judged. */
const NOT_THE_WORK = 5;

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
    if (last && tick.at - last.at(-1)!.at <= TOGETHER_MS) last.push(tick);
    else groups.push([tick]);
  }
  return groups.slice(1).map((group, i) => ({ before: groups[i]!.at(-1)!, ticks: group }));
}

/** When the work of a bout could begin: after what came before, and not before the dwell was over. */
function beganAt({ before, ticks: [first] }: Bout, { ticked }: Progress, { zones }: Plan): number {
  const { kind, zone: id, section } = first!;
  const wettedAt = kind === 'wipe' ? ticked.get(taskKey({ act: 'wet', zoneId: id, section })) : undefined;
  const dwellS = zones.find(({ zone }) => zone.id === id)?.option?.dwellS ?? 0;
  return wettedAt === undefined ? before.at : Math.max(before.at, wettedAt + dwellS * 1000);
}

/** What a bout tells of one act; null where it tells nothing. */
function paceOf(bout: Bout, seconds: ReadonlyMap<string, number>, progress: Progress, plan: Plan): Pace | null {
  const acts = new Set(bout.ticks.map(({ kind }) => kind));
  const [act] = acts;
  const planned = bout.ticks.map((tick) => seconds.get(keyOfTick(tick)) ?? NaN);
  const plannedS = planned.reduce((sum, one) => sum + one, 0);
  const tookS = (bout.ticks.at(-1)!.at - beganAt(bout, progress, plan)) / 1000;
  const isTheWork = tookS > plannedS / NOT_THE_WORK && tookS < plannedS * NOT_THE_WORK;
  return acts.size === 1 && isTheWork ? { act: act!, plannedS, tookS } : null;
}

/** Sums of several, act by act. */
export function pacesTogether(paces: readonly Pace[]): readonly Pace[] {
  const sums = new Map<RunAct, Pace>();
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
  const seconds = new Map(progress.tasks.map((task: Task) => [taskKey(task), task.seconds]));
  const bouts = [0, 1].flatMap((worker) => boutsOf(once(ticks).filter((tick) => tick.by === worker)));
  return pacesTogether(bouts.flatMap((bout) => paceOf(bout, seconds, progress, plan) ?? []));
}
