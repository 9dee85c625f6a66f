import type { Kit } from '../method/kit';
import { setupMinutes } from '../method/kit';
import type { Assumptions } from '../assumptions';
import { type Contact, type ZoneId, partsOf } from '../model';
import type { Option } from '../method/option';
import type { Ordered } from './run-order';
import { totalWork } from './work';

export const stepKinds = [
  'setup',
  'flush',
  'pretreat',
  'spray',
  'wait',
  'wipe',
  'finish',
  'glass',
  'pack',
] as const;
export type StepKind = (typeof stepKinds)[number];

/** One thing that one worker does without a break. */
export interface Step {
  readonly kind: StepKind;
  readonly zoneId: ZoneId | null;
  /** What is set up, for set-up steps. */
  readonly kit: Kit | 'glass' | null;
  readonly worker: number;
  readonly startS: number;
  readonly endS: number;
}

export interface Timeline {
  readonly steps: readonly Step[];
  readonly elapsedS: number;
  readonly waitingS: number;
  /** Zones in the order in which each worker wipes them. */
  readonly byWorker: readonly (readonly Ordered[])[];
}

interface Task {
  readonly kind: StepKind;
  readonly zoneId: ZoneId | null;
  readonly kit: Step['kit'];
  readonly seconds: number;
}

/** Clocks of the workers; what is done next goes to whoever is free first. */
class Crew {
  readonly steps: Step[] = [];
  private readonly clocks: number[];

  constructor(workers: number) {
    this.clocks = new Array<number>(workers).fill(0);
  }

  firstFree(): number {
    return this.clocks.indexOf(Math.min(...this.clocks));
  }

  now(worker: number): number {
    return this.clocks[worker]!;
  }

  /** All wait for the last, e.g. before the first wipe after the flush. */
  meet(): void {
    this.clocks.fill(Math.max(...this.clocks));
  }

  do(worker: number, { kind, zoneId, kit, seconds }: Task): number {
    const startS = this.now(worker);
    const endS = startS + seconds;
    if (seconds > 0) this.steps.push({ kind, zoneId, kit, worker, startS, endS });
    this.clocks[worker] = endS;
    return endS;
  }

  waitUntil(worker: number, time: number, zoneId: ZoneId): void {
    this.do(worker, { kind: 'wait', zoneId, kit: null, seconds: Math.max(0, time - this.now(worker)) });
  }

  elapsed(): number {
    return Math.max(...this.clocks);
  }
}

/** How much is wetted ahead of the wipe, so that it dwells while the neighbour is worked on. */
function aheadM2(contact: Contact, a: Assumptions): number {
  switch (contact) {
    case 'waterless':
      return a.sprayAhead;
    case 'presoak-rinseless':
      return a.presoakAhead;
    case 'rinseless':
      return 0;
  }
}

const contactOf = ({ option }: Ordered): Contact => partsOf(option.treatment).contact;

/** Deals the car out in stretches, each to whoever has least to do so far. */
function shareOut(ordered: readonly Ordered[], workers: number, a: Assumptions): Ordered[][] {
  const lists: Ordered[][] = Array.from({ length: workers }, () => []);
  const load = new Array<number>(workers).fill(0);
  let worker = 0;
  let area = Infinity;
  for (const one of ordered) {
    if (area + one.zone.areaM2 > a.stretch) {
      worker = load.indexOf(Math.min(...load));
      area = 0;
    }
    area += one.zone.areaM2;
    load[worker]! += totalWork(one.option.work);
    lists[worker]!.push(one);
  }
  return lists;
}

/** In frost a flush is not left to freeze: the zone is flushed when its turn has come. */
const atItsTurn = ({ option }: Ordered): boolean =>
  option.work.flush > 0 && option.drying.freezeS !== null;

const dwells = ({ option }: Ordered): boolean => option.work.spray > 0;

/** One worker's way through a list of zones, wetting ahead so that dwells overlap with work. */
class Way {
  private readonly readyS = new Map<ZoneId, number>();
  private wetM2 = 0;
  private backlogS = 0;
  private next = 0;

  constructor(
    private readonly list: readonly Ordered[],
    private readonly worker: number,
    private readonly crew: Crew,
    private readonly a: Assumptions,
  ) {}

  walk(): void {
    for (const one of this.list) {
      if (atItsTurn(one)) this.do(one, 'flush');
      if (dwells(one)) this.await(one);
      else {
        this.wetAheadOf(one);
        this.do(one, 'pretreat');
      }
      this.do(one, 'wipe');
      this.do(one, 'finish');
      if (!dwells(one)) continue;
      this.wetM2 -= one.zone.areaM2;
      this.backlogS -= this.handS(one.option);
    }
  }

  /** Wets the zone if that has not been done, and others while it dwells; then waits for the rest. */
  private await(one: Ordered): void {
    while (!this.readyS.has(one.zone.id)) this.wet();
    const ready = this.readyS.get(one.zone.id)!;
    while (this.crew.now(this.worker) < ready && this.mayWet()) this.wet();
    this.crew.waitUntil(this.worker, ready, one.zone.id);
  }

  /** A long dwell begins before work that needs none. */
  private wetAheadOf(one: Ordered): void {
    while (this.mayWet() && this.upcoming()!.option.dwellS > totalWork(one.option.work)) this.wet();
  }

  /** The next zone that is to be wetted; zones that are not are passed over. */
  private upcoming(): Ordered | undefined {
    while (this.next < this.list.length && !dwells(this.list[this.next]!)) this.next++;
    return this.list[this.next];
  }

  private mayWet(): boolean {
    const one = this.upcoming();
    if (!one || atItsTurn(one)) return false;
    return this.wetM2 + one.zone.areaM2 <= aheadM2(contactOf(one), this.a) && this.inTime(one);
  }

  /** What is wet already can be wiped, and this zone's first section too, before it dries. */
  private inTime({ zone, option }: Ordered): boolean {
    const { windowS, sectionM2 } = option.drying;
    const own = this.handS(option) * Math.min(1, sectionM2 / zone.areaM2);
    return Math.max(option.dwellS, this.backlogS) + own <= windowS;
  }

  /** Seconds of wiping and finishing. */
  private handS({ work }: Option): number {
    return (work.wipe + work.finish) * (1 + this.a.walking);
  }

  private wet(): void {
    const one = this.upcoming()!;
    this.next++;
    this.do(one, 'pretreat');
    this.readyS.set(one.zone.id, this.do(one, 'spray') + one.option.dwellS);
    this.wetM2 += one.zone.areaM2;
    this.backlogS += this.handS(one.option);
  }

  private do(one: Ordered, kind: 'flush' | 'pretreat' | 'spray' | 'wipe' | 'finish'): number {
    const seconds = one.option.work[kind] * (1 + this.a.walking);
    return this.crew.do(this.worker, { kind, zoneId: one.zone.id, kit: null, seconds });
  }
}

/**
 * The run as clock times: set-up, flush of everything that is flushed, then zone by zone
 * spray, dwell, wipe and finish, the glass finish, and packing. Stretches of the car go to whoever
 * has least to do; waiting for a dwell is a step of its own.
 */
export function timelineOf(
  ordered: readonly Ordered[],
  kits: readonly Kit[],
  workers: number,
  a: Assumptions,
): Timeline {
  const crew = new Crew(workers);
  const byWorker = shareOut(ordered, workers, a);
  const slow = 1 + a.walking;
  const share = (kind: 'flush' | 'glass', of: readonly Ordered[]): void =>
    of.forEach(({ zone, option }) =>
      crew.do(crew.firstFree(), { kind, zoneId: zone.id, kit: null, seconds: option.work[kind] * slow }),
    );
  const glass = ordered.some(({ option }) => option.work.glass > 0);
  for (const kit of kits)
    crew.do(crew.firstFree(), { kind: 'setup', zoneId: null, kit, seconds: setupMinutes(kit, a) * 60 });
  if (glass) crew.do(crew.firstFree(), { kind: 'setup', zoneId: null, kit: 'glass', seconds: a.setupSpray * 60 });
  crew.meet();
  share('flush', ordered.filter((one) => !atItsTurn(one)));
  crew.meet();
  byWorker.forEach((list, worker) => new Way(list, worker, crew, a).walk());
  crew.meet();
  share('glass', ordered);
  crew.meet();
  crew.do(0, { kind: 'pack', zoneId: null, kit: null, seconds: a.packing * 60 });
  return {
    steps: [...crew.steps].sort((p, q) => p.startS - q.startS || p.worker - q.worker),
    elapsedS: crew.elapsed(),
    waitingS: crew.steps
      .filter(({ kind }) => kind === 'wait')
      .reduce((sum, step) => sum + step.endS - step.startS, 0),
    byWorker,
  };
}
