import type { Run, ZoneId } from '../model';
import type { Lap } from '../passes';
import type { Plan } from '../planning';
import { progressOf } from './progress';
import { type Task, actKey } from './task';

/** The two clocks of a section that is wet, in milliseconds since 1970. */
export interface Clocks {
  /** When the first of it was wetted. */
  readonly wetAt: number;
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
export interface RunStatus {
  readonly hands: readonly Hand[];
  readonly done: number;
  readonly all: number;
  /** Zones on which nothing is left to do. */
  readonly zonesDone: ReadonlySet<ZoneId>;
  /** The first panels are wiped: they are compared with the others before these are. */
  readonly timeToCompare: boolean;
  /** By hand, for whoever has most left, s. */
  readonly leftS: number;
}

/** Of a pass that is to be wiped and was wetted; the film lies from the tick on. */
function clocksOf({ act, parts }: Task, ticked: ReadonlyMap<string, number>, { zones }: Plan): Clocks | null {
  if (act !== 'wipe') return null;
  const options = new Map(zones.map(({ zone, option }) => [zone.id, option]));
  const clocks = parts.flatMap(({ zoneId, section }): Clocks[] => {
    const [wettedAt, option] = [ticked.get(actKey({ act: 'wet', zoneId, section })), options.get(zoneId)];
    if (wettedAt === undefined || !option) return [];
    const { windowS } = option.drying;
    return [
      {
        wetAt: wettedAt,
        readyAt: wettedAt + option.dwellS * 1000,
        dryAt: windowS === Infinity ? null : wettedAt + windowS * 1000,
      },
    ];
  });
  if (clocks.length === 0) return null;
  const dry = clocks.flatMap(({ dryAt }) => dryAt ?? []);
  return {
    wetAt: Math.min(...clocks.map(({ wetAt }) => wetAt)),
    readyAt: Math.max(...clocks.map(({ readyAt }) => readyAt)),
    dryAt: dry.length > 0 ? Math.min(...dry) : null,
  };
}

/** Wheels and door shuts are no panels to compare. */
const offBody: readonly Lap[] = ['blow-out', 'wheels-first', 'shuts', 'wheels-last'];

/** Wiped bodywork or glass. */
const isOnBody = ({ act, lap }: Task): boolean => act === 'wipe' && lap !== null && !offBody.includes(lap);

const sum = (values: Iterable<number>): number => [...values].reduce((total, one) => total + one, 0);

/** Where a run stands against its plan. A plan that has changed meanwhile loses nothing that was ticked off. */
export function runStatusOf(plan: Plan, run: Run): RunStatus {
  const { tasks, open, done, ticked } = progressOf(plan, run);
  const workers = [...new Set(tasks.map(({ worker }) => worker))].sort();
  const hands = workers.map((worker): Hand => {
    const own = open.filter((task) => task.worker === worker);
    const [now, next] = own;
    return {
      worker,
      now: now ?? null,
      next: next ?? null,
      clocks: now ? clocksOf(now, ticked, plan) : null,
      leftS: sum(own.map(({ seconds }) => seconds)),
    };
  });
  const zonesOf = (list: readonly Task[]): readonly ZoneId[] =>
    list.flatMap(({ parts }) => parts.map(({ zoneId }) => zoneId));
  const waiting = new Set(zonesOf(open));
  const before = sum(plan.begun.ticked.values());
  return {
    hands,
    done: before + done.length,
    all: before + done.length + open.length,
    timeToCompare: before === 0 && done.filter(isOnBody).length === 1,
    zonesDone: new Set([...plan.begun.done, ...zonesOf(tasks).filter((id) => !waiting.has(id))]),
    leftS: Math.max(0, ...hands.map(({ leftS }) => leftS)),
  };
}
