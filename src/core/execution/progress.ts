import { type Run, type RunAct, type Tick, type ZoneId, isTick } from '../model';
import type { Plan } from '../planning';
import type { PassPart } from '../schedule';
import { type Act, type Task, actKey, actsOf, keyOfTick, tasksOf } from './task';

/** What of a plan is done, and what is still to do. */
export interface Progress {
  readonly tasks: readonly Task[];
  readonly open: readonly Task[];
  /** Done since the plan was made. */
  readonly done: readonly Task[];
  /** Keys of all that is still to do, part by part; what only waits to be wiped is not to be wetted any more. */
  readonly openKeys: ReadonlySet<string>;
  /** By act and zone, the share that is done. */
  readonly shares: ReadonlyMap<string, number>;
  /** When each task was ticked off last; what is wet from before the plan counts, too. */
  readonly ticked: ReadonlyMap<string, number>;
}

/** Ticks that came after the plan. */
export const ticksSince = ({ begun }: Plan, { events }: Run): readonly Tick[] =>
  events.slice(begun.events).filter(isTick);

/** Sections that were wetted before the plan, and go on being wet in it: the first of their zone. */
const carried = ({ zones }: Plan): readonly (readonly [string, number])[] =>
  zones.flatMap(({ zone, option }) =>
    (option?.rest?.begun.wet ?? []).map(
      ({ at }, i) => [actKey({ act: 'wet', zoneId: zone.id, section: i + 1 }), at] as const,
    ),
  );

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

/** What was in hand goes on. */
function asGoingOn({ begun }: Plan, open: readonly Task[]): readonly Task[] {
  const inHand = ({ act, parts }: Task): boolean =>
    begun.inHand.some((one) => one.act === act && parts.some(({ zoneId }) => zoneId === one.zoneId));
  return [...open].sort((p, q) => Number(inHand(q)) - Number(inHand(p)));
}

/** An act with its share of what is to be done of it on the zone. */
type Weighed = Act & Pick<PassPart, 'share'>;

/** Acts that a plan has, with the share of each zone’s parts that is done. */
function sharesOf(keys: readonly Weighed[], openKeys: ReadonlySet<string>): Progress['shares'] {
  const [all, open] = [new Map<string, number>(), new Map<string, number>()];
  for (const one of keys) {
    const key = `${one.act}/${one.zoneId}`;
    all.set(key, (all.get(key) ?? 0) + one.share);
    if (openKeys.has(actKey(one))) open.set(key, (open.get(key) ?? 0) + one.share);
  }
  return new Map([...all].map(([key, sum]) => [key, 1 - (open.get(key) ?? 0) / sum]));
}

/** What is done on a part before it is wiped, in the same pass: wetting, and in frost the rinse; each in equal parts. */
const beforeWiping = ({ timeline }: Plan): readonly Weighed[] =>
  timeline.steps.flatMap(({ kind, zoneId, section }): Weighed[] => {
    if (!zoneId || section === 0) return [];
    return kind === 'spray'
      ? [{ act: 'wet', zoneId, section, share: 1 }]
      : kind === 'flush'
        ? [{ act: 'flush', zoneId, section, share: 1 }]
        : [];
  });

/** How far a plan has come by what was ticked off after it was made. */
export function progressOf(plan: Plan, run: Run): Progress {
  const tasks = tasksOf(plan);
  const ticks = ticksSince(plan, run);
  const before = carried(plan);
  const ticked = new Map([...before, ...ticks.map((tick) => [keyOfTick(tick), tick.at] as const)]);
  const whole = wholeOf(ticks);
  const isOpen = (one: Act): boolean => !ticked.has(actKey(one)) && !whole.has(`${one.act}/${one.zoneId}`);
  const acts = tasks.flatMap(actsOf);
  const first = beforeWiping(plan);
  const openActs = new Set(acts.filter(isOpen).map(actKey));
  // What is wiped was wetted, noted or not.
  const openFirst = first.filter((one) => isOpen(one) && openActs.has(actKey({ ...one, act: 'wipe' })));
  const openKeys = new Set([...openActs, ...openFirst.map(actKey)]);
  const open = asGoingOn(
    plan,
    tasks.filter((task) => actsOf(task).some((one) => openActs.has(actKey(one)))),
  );
  return {
    tasks,
    open,
    ticked,
    openKeys,
    done: tasks.filter((task) => !open.includes(task)),
    shares: sharesOf([...acts, ...first], openKeys),
  };
}

/** Share of an act on a zone that is done, of what the plan has of it. */
export const shareDone = ({ shares }: Progress, act: RunAct, zoneId: ZoneId): number =>
  shares.get(`${act}/${zoneId}`) ?? 0;
