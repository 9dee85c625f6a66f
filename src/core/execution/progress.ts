import { type Run, type RunAct, type Tick, type ZoneId, isTick } from '../model';
import type { Plan } from '../planning';
import { type Task, keyOfTick, taskKey, tasksOf } from './task';

/** What of a plan is done, and what is still to do. */
export interface Progress {
  readonly tasks: readonly Task[];
  readonly open: readonly Task[];
  /** Done since the plan was made. */
  readonly done: readonly Task[];
  /** By act and zone, the share that is done. */
  readonly shares: ReadonlyMap<string, number>;
  /** When each task was ticked off last; what is wet from before the plan counts, too. */
  readonly ticked: ReadonlyMap<string, number>;
}

/** Ticks that came after the plan. */
export const ticksSince = ({ begun }: Plan, { events }: Run): readonly Tick[] => events.slice(begun.events).filter(isTick);

/** Sections that were wetted before the plan, and go on being wet in it: the first of their zone. */
const carried = ({ begun, zones }: Plan): readonly (readonly [string, number])[] =>
  zones.flatMap(({ zone, treatment }) => {
    const going = begun.zones.get(zone.id);
    if (going?.treatment !== treatment) return [];
    return going.wet.map(({ at }, i) => [taskKey({ act: 'wet', zoneId: zone.id, section: i + 1 }), at] as const);
  });

/** What was done on a zone in all its sections of that time: it stays done, however a later plan cuts it. */
function wholeOf(ticks: readonly Tick[]): ReadonlySet<string> {
  const sections = new Map<string, Set<number>>();
  for (const { kind, zone, section, of } of ticks) {
    const key = `${kind}/${zone}/${of}`;
    sections.set(key, (sections.get(key) ?? new Set()).add(section));
  }
  const whole = [...sections].filter(([key, done]) => done.size >= Math.max(1, Number(key.split('/')[2])));
  return new Set(whole.map(([key]) => key.slice(0, key.lastIndexOf('/'))));
}

/** What was in hand goes on, and what has dwelt by then dries: both come before whatever a new plan would begin with. */
function asGoingOn({ begun, zones }: Plan, open: readonly Task[], wet: ReturnType<typeof carried>): readonly Task[] {
  if (begun.at === null) return open;
  const dwell = new Map(zones.map(({ zone, option }) => [zone.id, (option?.dwellS ?? 0) * 1000]));
  const wetted = new Map(wet);
  const isReady = ({ act, zoneId, section }: Task): boolean => {
    const at = wetted.get(taskKey({ act: 'wet', zoneId, section }));
    return act === 'wipe' && at !== undefined && at + dwell.get(zoneId)! <= begun.at!;
  };
  const inHand = ({ act, zoneId }: Task): boolean => begun.inHand.some((one) => one.act === act && one.zoneId === zoneId);
  const rank = (task: Task): number => (inHand(task) ? 0 : isReady(task) ? 1 : 2);
  return [...open].sort((p, q) => rank(p) - rank(q));
}

const countsOf = (tasks: readonly Task[]): ReadonlyMap<string, number> => {
  const counts = new Map<string, number>();
  for (const { act, zoneId } of tasks) counts.set(`${act}/${zoneId}`, (counts.get(`${act}/${zoneId}`) ?? 0) + 1);
  return counts;
};

function sharesOf(tasks: readonly Task[], open: readonly Task[]): Progress['shares'] {
  const left = countsOf(open);
  return new Map([...countsOf(tasks)].map(([key, all]) => [key, 1 - (left.get(key) ?? 0) / all]));
}

/** How far a plan has come by what was ticked off after it was made. */
export function progressOf(plan: Plan, run: Run): Progress {
  const tasks = tasksOf(plan);
  const ticks = ticksSince(plan, run);
  const before = carried(plan);
  const ticked = new Map([...before, ...ticks.map((tick) => [keyOfTick(tick), tick.at] as const)]);
  const [whole, wet] = [wholeOf(ticks), new Set(before.map(([key]) => key))];
  const isOpen = (task: Task): boolean => !ticked.has(taskKey(task)) && !whole.has(`${task.act}/${task.zoneId}`);
  const open = asGoingOn(plan, tasks.filter(isOpen), before);
  return { tasks, open, ticked, done: tasks.filter((task) => !isOpen(task) && !wet.has(taskKey(task))), shares: sharesOf(tasks, open) };
}

/** Share of an act on a zone that is done, of what the plan has of it. */
export const shareDone = ({ shares }: Progress, act: RunAct, zoneId: ZoneId): number => shares.get(`${act}/${zoneId}`) ?? 0;
