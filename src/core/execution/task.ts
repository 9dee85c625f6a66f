import type { RunAct, Tick, ZoneId } from '../model';
import type { Plan } from '../planning';
import type { Step, StepKind } from '../schedule';

/** One thing to do beside the car, ticked off as a whole. */
export interface Task {
  readonly act: RunAct;
  readonly zoneId: ZoneId;
  readonly section: number;
  /** Sections in all on which this is done; 0 for the zone as a whole. */
  readonly of: number;
  readonly worker: number;
  /** As planned, without waiting. */
  readonly seconds: number;
}

/** Steps that are ticked off together. */
const actOf: Readonly<Partial<Record<StepKind, RunAct>>> = {
  flush: 'flush',
  pretreat: 'wet',
  spray: 'wet',
  wipe: 'wipe',
  finish: 'wipe',
  dry: 'dry',
  glass: 'glass',
};

/** What a step is ticked off with; null for what is not. */
export function keyOfStep({ kind, zoneId, section }: Step): string | null {
  const act = actOf[kind];
  return act && zoneId ? taskKey({ act, zoneId, section }) : null;
}

interface Going extends Task {
  seconds: number;
  endS: number;
}

export const taskKey = ({ act, zoneId, section }: Pick<Task, 'act' | 'zoneId' | 'section'>): string => `${act}/${zoneId}/${section}`;

/** Ticks a task off, for whoever does it by the plan. */
export const tickOf = ({ act, zoneId, section, of, worker }: Task, at: number): Tick => ({ kind: act, zone: zoneId, section, of, by: worker, at });

export const keyOfTick = ({ kind, zone, section }: Tick): string => taskKey({ act: kind, zoneId: zone, section });

/** The plan as a list to tick off, each worker’s part in its order. */
export function tasksOf({ timeline }: Plan): readonly Task[] {
  const tasks = new Map<string, Going>();
  for (const { kind, zoneId, section, worker, startS, endS } of timeline.steps) {
    const act = actOf[kind];
    if (!act || !zoneId) continue;
    const key = taskKey({ act, zoneId, section });
    const task = tasks.get(key) ?? { act, zoneId, section, of: 0, worker, seconds: 0, endS };
    task.seconds += endS - startS;
    task.endS = Math.max(task.endS, endS);
    tasks.set(key, task);
  }
  const all = [...tasks.values()].sort((p, q) => p.endS - q.endS);
  const most = new Map<string, number>();
  for (const { act, zoneId, section } of all) most.set(`${act}/${zoneId}`, Math.max(section, most.get(`${act}/${zoneId}`) ?? 0));
  return all.map(({ endS: _endS, ...task }) => ({ ...task, of: most.get(`${task.act}/${task.zoneId}`)! }));
}
