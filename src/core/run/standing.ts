import type { Run, RunEvent, ZoneId } from '../model';
import type { Plan } from '../plan/plan';
import { type Task, taskKey, tasksOf } from './task';

/** The two clocks of a section that is wet, in milliseconds since 1970. */
export interface Clocks {
  readonly readyAt: number;
  /** Dry by then; null where it stays wet for an hour. */
  readonly dryAt: number | null;
}

/** What one person does now, and after that; null when there is nothing left. */
export interface Hand {
  readonly worker: number;
  readonly now: Task | null;
  readonly next: Task | null;
  readonly clocks: Clocks | null;
  readonly leftS: number;
}

/** How far a run has come. */
export interface Standing {
  readonly hands: readonly Hand[];
  readonly done: number;
  readonly all: number;
  /** Zones on which nothing is left to do. */
  readonly zonesDone: ReadonlySet<ZoneId>;
  /** By hand, for whoever has most left, s. */
  readonly leftS: number;
}

type Tick = Exclude<RunEvent, { readonly kind: 'again' }>;

/** What was ticked off and still holds: a zone that is done again begins anew. */
const ticksOf = ({ events }: Run): readonly Tick[] =>
  events.reduce<readonly Tick[]>(
    (ticks, event) => (event.kind === 'again' ? ticks.filter(({ zone }) => zone !== event.zone) : [...ticks, event]),
    [],
  );

/** When each task was ticked off last. */
const timesOf = (ticks: readonly Tick[]): ReadonlyMap<string, number> =>
  new Map(ticks.map(({ kind, zone, section, at }) => [taskKey({ act: kind, zoneId: zone, section }), at]));

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

/** Of a section that is to be wiped and was wetted; the film lies from the tick on. */
function clocksOf({ act, zoneId, section }: Task, ticked: ReadonlyMap<string, number>, { zones }: Plan): Clocks | null {
  const wettedAt = ticked.get(taskKey({ act: 'wet', zoneId, section }));
  const option = zones.find(({ zone }) => zone.id === zoneId)?.option;
  if (act !== 'wipe' || wettedAt === undefined || !option) return null;
  const { windowS } = option.drying;
  return { readyAt: wettedAt + option.dwellS * 1000, dryAt: windowS === Infinity ? null : wettedAt + windowS * 1000 };
}

/** Where a run stands against its plan. A plan that has changed meanwhile loses nothing that was ticked off. */
export function standingOf(plan: Plan, run: Run): Standing {
  const tasks = tasksOf(plan);
  const ticks = ticksOf(run);
  const [ticked, whole] = [timesOf(ticks), wholeOf(ticks)];
  const open = tasks.filter((task) => !ticked.has(taskKey(task)) && !whole.has(`${task.act}/${task.zoneId}`));
  const workers = [...new Set(tasks.map(({ worker }) => worker))].sort();
  const hands = workers.map((worker): Hand => {
    const own = open.filter((task) => task.worker === worker);
    const [now, next] = own;
    return {
      worker,
      now: now ?? null,
      next: next ?? null,
      clocks: now ? clocksOf(now, ticked, plan) : null,
      leftS: own.reduce((sum, { seconds }) => sum + seconds, 0),
    };
  });
  const waiting = new Set(open.map(({ zoneId }) => zoneId));
  return {
    hands,
    done: tasks.length - open.length,
    all: tasks.length,
    zonesDone: new Set(tasks.map(({ zoneId }) => zoneId).filter((id) => !waiting.has(id))),
    leftS: Math.max(0, ...hands.map(({ leftS }) => leftS)),
  };
}
