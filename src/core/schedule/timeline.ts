import type { Assumptions } from '../assumptions';
import { type Job, type Order, partsOf } from '../model';
import { type Kit, type StartState, heldBy, setupMinutes } from '../rules';
import { Crew, type Step } from './crew';
import { atItsTurn } from './interleave';
import { piecesOf } from './piece';
import type { Ordered } from './run-order';
import { sharedOut } from './share-out';
import { type Late, Way } from './way';

export interface Timeline {
  readonly steps: readonly Step[];
  readonly elapsedS: number;
  readonly waitingS: number;
  /** Sections that would dry before they are done; nobody can be quick enough. */
  readonly late: readonly Late[];
  /** Zones in the order in which each worker wipes them. */
  readonly byWorker: readonly (readonly Ordered[])[];
}

/** One school flushes where it is dirtiest first, so that it works longest there. */
const flushOrder = (ordered: readonly Ordered[], order: Order): readonly Ordered[] =>
  order === 'top-down'
    ? ordered
    : [...ordered].sort((p, q) => q.option.loadAfterFlushGm2 - p.option.loadAfterFlushGm2);

/** A wand, a lance or a steamer has one nozzle: one person flushes with it. */
const hasOneNozzle = ({ option }: Ordered): boolean => {
  const { flush } = partsOf(option.treatment);
  return flush !== 'none' && flush !== 'pump' && flush !== 'hot-pump';
};

/** What is set up before the work: stations, and the glass cleaner. */
export type Setup = Kit | 'glass';

/**
 * The run as clock times: set-up, flush of everything that is flushed, then section by
 * section spray, dwell, wipe and finish, the drying of the whole body where that is the school, the glass
 * finish, and packing. Stretches of the car go to whoever
 * has least to do, and what somebody is at stays with them; waiting for a dwell is a step of its own.
 */
export function timelineOf(
  ordered: readonly Ordered[],
  setUp: readonly Setup[],
  { site: { workers }, choices }: Pick<Job, 'site' | 'choices'>,
  a: Assumptions,
  begun: Pick<StartState, 'inHand' | 'zones'>,
): Timeline {
  const crew = new Crew(workers);
  const byWorker = sharedOut(ordered, workers, a, heldBy(begun));
  const slow = 1 + a.walking;
  const share = (kind: 'flush' | 'dry' | 'glass', of: readonly Ordered[]): void => {
    const holder = ({ zone }: Ordered): number | undefined => begun.inHand.find(({ act, zoneId }) => act === kind && zoneId === zone.id)?.worker;
    const isHeld = (one: Ordered): boolean => holder(one) !== undefined;
    for (const one of [...of.filter(isHeld), ...of.filter((other) => !isHeld(other))]) {
      const seconds = one.option.work[kind === 'dry' ? 'finish' : kind] * slow;
      const worker = kind === 'flush' && hasOneNozzle(one) ? 0 : (holder(one) ?? crew.firstFree());
      crew.do(worker, { kind, zoneId: one.zone.id, section: 0, kit: null, seconds });
    }
  };
  const alone = { zoneId: null, section: 0 };
  for (const kit of setUp) {
    const minutes = kit === 'glass' ? a.setupSpray : setupMinutes(kit, a);
    crew.do(crew.firstFree(), { ...alone, kind: 'setup', kit, seconds: minutes * 60 });
  }
  crew.meet();
  share('flush', flushOrder(ordered.filter((one) => !atItsTurn(one)), choices.order));
  crew.meet();
  const ways = byWorker.map((list, worker) => new Way(piecesOf(list, a), worker, crew, a));
  ways.forEach((way) => way.walk());
  crew.meet();
  share('dry', ordered.filter(({ option }) => option.driedLater));
  crew.meet();
  share('glass', ordered);
  crew.meet();
  crew.do(0, { ...alone, kind: 'pack', kit: null, seconds: a.packing * 60 });
  return {
    steps: [...crew.steps].sort((p, q) => p.startS - q.startS || p.worker - q.worker),
    elapsedS: crew.elapsed(),
    waitingS: crew.steps
      .filter(({ kind }) => kind === 'wait')
      .reduce((sum, step) => sum + step.endS - step.startS, 0),
    late: ways.flatMap(({ late }) => late),
    byWorker,
  };
}
