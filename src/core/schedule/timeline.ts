import type { Assumptions } from '../assumptions';
import type { Dimensions, Job, Order } from '../model';
import {
  type Chosen,
  type Pass,
  type Piece,
  type RefusedChange,
  Round,
  type Rows,
  byHand,
  piecesOf,
  rinsedAtTurn,
} from '../passes';
import { type Guarding, type Kit, type StartState, careOrder, heldBy, setupMinutes, washS, loosenedBy } from '../rules';
import { stepsBefore } from './before';
import { Crew, type Step } from './crew';
import { type Late, lateIn } from './late';
import { type PassPart, type PlannedPass, Recorder } from './recorder';
import { type Sharing, stagesOf } from './share';
import { Tank } from './tank';
import { type Walked, dryingS, workThrough } from './walk-through';

export interface Timeline {
  readonly steps: readonly Step[];
  readonly passes: readonly PlannedPass[];
  readonly elapsedS: number;
  readonly waitingS: number;
  /** Walked round the car between passes by all together, m. */
  readonly walkedM: number;
  /** Sections that would dry before they are done; nobody can be quick enough. */
  readonly late: readonly Late[];
  /** Passes in the order in which each worker wipes them. */
  readonly byWorker: readonly (readonly Pass[])[];
  /** Changes by hand that the plan could not follow. */
  readonly refused: readonly RefusedChange[];
}

/** One approach rinses where it is dirtiest first, so that it works longest there. */
const rinseOrder = (chosen: readonly Chosen[], order: Order): readonly Chosen[] =>
  order === 'top-down' ? chosen : [...chosen].sort((p, q) => q.option.loadBeforeGm2 - p.option.loadBeforeGm2);

/** What is set up before the work: stations, and the glass cleaner. */
export type Setup = Kit | 'glass' | Guarding;

/** What is gone over at once: rinsing and drying view by view, glass in one round for each person. */
function rounds(act: AtOnce, chosen: readonly Chosen[], workers: number): readonly (readonly Chosen[])[] {
  const groups = new Map<string, Chosen[]>();
  for (const one of chosen) {
    const key = keyOf(act, one, workers);
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return withoutShort([...groups.values()], act);
}

/** With air, and dry. */
const isBlownOut = ({ option }: Pick<Chosen, 'option'>): boolean => loosenedBy(option.treatment) === 'air';

/** What is gone over in one round. */
function keyOf(act: AtOnce, { zone: { view }, option }: Chosen, workers: number): string {
  const side = workers > 1 && view === 'right' ? 'right' : 'all';
  if (act === 'protect') return `${option.care!.use}/${side}`;
  if (act === 'flush' && isBlownOut({ option })) return 'air';
  return act === 'glass' ? side : view;
}

/** A shorter one goes with the next round the car, s (judged). */
const SHORT_S = { flush: 150, dry: 20, glass: 20, protect: 0 } as const;
const workOf = { flush: 'flush', dry: 'finish', glass: 'glass', protect: 'protect' } as const;

function withoutShort(
  groups: readonly (readonly Chosen[])[],
  act: keyof typeof SHORT_S,
): readonly (readonly Chosen[])[] {
  const secondsOf = (group: readonly Chosen[]): number =>
    group.reduce((sum, { option }) => sum + option.work[workOf[act]], 0);
  const found: Chosen[][] = [];
  for (const group of groups) {
    const last = found.at(-1);
    if (last && (secondsOf(last) < SHORT_S[act] || secondsOf(group) < SHORT_S[act])) last.push(...group);
    else found.push([...group]);
  }
  return found;
}

/** One thing after the other is put on. */
const inRound = (act: AtOnce, of: readonly Chosen[]): readonly Chosen[] =>
  act === 'protect' ? [...of].sort((p, q) => careOrder(p.option.care!.use) - careOrder(q.option.care!.use)) : of;

/** What is done to zones as a whole, one after the other. */
type AtOnce = 'flush' | 'dry' | 'glass' | 'protect';

/** The job, its sprayer, and what was begun, as far as the clock needs to know them. */
export interface Scheduled {
  readonly job: Pick<Job, 'site' | 'choices'> & { readonly vehicle: { readonly dimensions: Dimensions } };
  readonly begun: Pick<StartState, 'at' | 'inHand' | 'zones'> & { readonly spent: Pick<StartState['spent'], 'laidMl'> };
  readonly a: Assumptions;
  /** A filling of the sprayer, mL; Infinity where water does not come out of one. */
  readonly tankMl?: number;
  readonly packMin?: number;
  readonly sharing?: Sharing;
}

/** Of the finish of a zone, what is done to it as a whole: all of it at the end, or what was lifted before a new plan. */
const wholeShare = (act: AtOnce, { option: { finishing, rest } }: Chosen): number =>
  act === 'dry' && finishing !== 'body' ? (rest?.unfinished ?? 0) : 1;

/** Minutes to set one thing up. */
function setupOf(kit: Setup, a: Assumptions): number {
  switch (kit) {
    case 'glass':
      return a.setupSpray;
    case 'covers':
      return a.setupCovers;
    case 'cones':
      return a.setupCones;
    default:
      return setupMinutes(kit, a);
  }
}

/** One clock that is filled from set-up to packing. */
class Clock {
  readonly crew: Crew;
  readonly record: Recorder;
  readonly tank: Tank;
  readonly round: Round;

  constructor(private readonly on: Scheduled) {
    const { job, begun, a, tankMl = Infinity } = on;
    this.crew = new Crew(job.site.workers);
    this.record = new Recorder(this.crew);
    this.tank = new Tank(tankMl, a, begun.spent.laidMl.water);
    this.round = new Round(job.vehicle.dimensions, a);
  }

  private holder(act: AtOnce, { zone }: Chosen): number | undefined {
    return this.on.begun.inHand.find((one) => one.act === act && one.zoneId === zone.id)?.worker;
  }

  setUp(kits: readonly Setup[]): void {
    for (const kit of kits) {
      const minutes = setupOf(kit, this.on.a);
      this.crew.do(this.crew.firstFree(), { ...OF_THE_JOB, kind: 'setup', kit, seconds: minutes * 60 });
    }
    this.crew.meet();
  }

  /** View by view, what somebody is at first. */
  atOnce(act: AtOnce, of: readonly Chosen[]): void {
    const { crew, record, tank, on } = this;
    const secondsOf = (one: Chosen): number => one.option.work[workOf[act]] * wholeShare(act, one) * (1 + on.a.walking);
    const busy = inRound(
      act,
      of.filter((one) => secondsOf(one) > 0),
    );
    const isHeld = (one: Chosen): boolean => this.holder(act, one) !== undefined;
    for (const group of rounds(
      act,
      [...busy.filter(isHeld), ...busy.filter((one) => !isHeld(one))],
      on.job.site.workers,
    )) {
      // A tank, a washer or a steamer has one nozzle: one person rinses with it.
      const worker =
        act === 'flush'
          ? 0
          : (group.map((one) => this.holder(act, one)).find((one) => one !== undefined) ?? crew.firstFree());
      const parts = group.map((one): PassPart => wholePart(act, one));
      const pass = record.note({
        act,
        lap: act === 'flush' && group.every(isBlownOut) ? 'blow-out' : null,
        place: null,
        worker,
        parts,
        areaM2: group.reduce((sum, { zone }) => sum + zone.areaM2, 0),
        handS: group.reduce((sum, one) => sum + secondsOf(one), 0),
      });
      group.forEach((one, i) => {
        const { zoneId, section } = parts[i]!;
        const refillS = act === 'flush' ? tank.refillS([{ option: one.option, share: 1 }]) : 0;
        crew.do(worker, { kind: 'refill', zoneId, section, pass, kit: null, seconds: refillS });
        crew.do(worker, { kind: act, zoneId, section, pass, kit: null, seconds: secondsOf(one) });
      });
    }
    crew.meet();
  }

  /** Stage by stage, pass by pass. */
  workThrough(stages: readonly Rows[]): readonly Walked[] {
    return stages.flatMap((rows) => {
      const walks: Walked[] = [];
      rows.forEach((row, worker) => {
        const busy = walks.flatMap(({ sprayers }) => sprayers);
        walks.push(workThrough(row, worker, this.round, this.tank, this.record, busy, this.on.a));
      });
      this.crew.meet();
      return walks;
    });
  }
}

const OF_THE_JOB = { zoneId: null, section: 0, pass: null } as const;

/** A zone as a whole; where only what was lifted before is finished, that is a part besides those of its passes. */
function wholePart(act: AtOnce, one: Chosen): PassPart {
  const { zone, option } = one;
  const share = wholeShare(act, one);
  const parts = act === 'dry' && option.finishing !== 'body' ? option.sections + 1 : 0;
  return { zoneId: zone.id, section: parts, of: parts, share };
}

/** What is wet, and then the others, without a break where the first of them are reached. */
function inOne(wet: readonly Rows[], others: readonly Rows[]): readonly Rows[] {
  const [last, [first, ...later]] = [wet.at(-1), others];
  if (!last || !first) return [...wet, ...others];
  const rows = Array.from({ length: Math.max(last.length, first.length) }, (_, worker) => [
    ...(last[worker] ?? []),
    ...(first[worker] ?? []),
  ]);
  return [...wet.slice(0, -1), rows, ...later];
}

/** Stages with the changes made by hand. */
function asChanged(
  stages: readonly Rows[],
  { job: { choices }, a }: Scheduled,
  round: Round,
): { readonly stages: readonly Rows[]; readonly refused: readonly RefusedChange[] } {
  if (choices.passes.length === 0) return { stages, refused: [] };
  const changed = stages.map((rows) => byHand(rows, choices.passes, (row) => dryingS(row, round, a), a));
  // What none of the stages could follow; what just is not in one of them is in another.
  const refused = choices.passes.flatMap((change) => {
    const whys = changed.map((one) => one.refused.find((other) => other.change === change)?.why);
    return whys.includes(undefined) ? [] : [{ change, why: whys.find((why) => why !== 'gone') ?? 'gone' } as const];
  });
  return { stages: changed.map(({ rows }) => rows), refused };
}

/**
 * The run as clock times: set-up, the rinse of everything that is rinsed, then pass by pass wetting, dwell, wipe and
 * finish, the drying of the whole body where that is asked for, the glass finish, what is put onto the clean car, and packing. Passes go lap by lap
 * round the car; two people share them as was chosen, and what somebody is at stays with them; waiting for a dwell is a
 * step of its own.
 */
export function timelineOf(chosen: readonly Chosen[], setUp: readonly Setup[], on: Scheduled): Timeline {
  const { job, begun, a, sharing = 'sides', packMin = a.packing } = on;
  const {
    site: { workers },
    choices,
    vehicle: { dimensions },
  } = job;
  const clock = new Clock(on);
  const { crew, round, record } = clock;
  const wiped = chosen.filter(({ option: { work } }) => washS(work) + work.finish + work.spray + work.pretreat > 0);
  const held = heldBy(begun);
  const pieces = wiped.flatMap((one) => piecesOf(one, dimensions.lengthM, held, a));
  const staged = (of: readonly Piece[]): readonly Rows[] =>
    of.length > 0 ? stagesOf(of, workers, choices.pair, sharing, round, a) : [];
  const flushed = chosen.filter((one) => !rinsedAtTurn(one));
  // What is wet dries: it comes before all that a new plan begins with or, where that is nothing, once it has dwelt.
  const isAtOnce = setUp.length === 0 && flushed.every(({ option }) => option.work.flush === 0);
  const isFirst = ({ wet, option }: Piece): boolean => wet !== null && (!isAtOnce || wet.endS + option.dwellS <= 0);
  const wetStages = staged(pieces.filter(isFirst));
  const others = staged(pieces.filter((piece) => !isFirst(piece)));
  const { stages, refused } = asChanged(isAtOnce ? inOne(wetStages, others) : [...wetStages, ...others], on, round);
  const wetCount = isAtOnce ? 0 : wetStages.length;
  const walks = [...clock.workThrough(stages.slice(0, wetCount))];
  clock.setUp(setUp);
  // Dust is blown out before anything is wet for it to stick to.
  clock.atOnce('flush', flushed.filter(isBlownOut));
  clock.atOnce(
    'flush',
    rinseOrder(
      flushed.filter((one) => !isBlownOut(one)),
      choices.order,
    ),
  );
  const isBody = ({ option }: Chosen): boolean => option.finishing === 'body';
  clock.atOnce(
    'dry',
    chosen.filter((one) => !isBody(one)),
  );
  walks.push(...clock.workThrough(stages.slice(wetCount)));
  clock.atOnce('dry', chosen.filter(isBody));
  clock.atOnce('glass', chosen);
  clock.atOnce('protect', chosen);
  crew.do(0, { ...OF_THE_JOB, kind: 'pack', kit: null, seconds: packMin * 60 });
  return {
    ...record.inOrder(),
    elapsedS: crew.elapsed(),
    waitingS: crew.steps.filter(({ kind }) => kind === 'wait').reduce((sum, step) => sum + step.endS - step.startS, 0),
    walkedM: walks.reduce((sum, { walkedM }) => sum + walkedM, 0),
    late: lateIn(chosen, [...stepsBefore(chosen, begun), ...crew.steps]),
    byWorker: Array.from({ length: workers }, (_, worker) => stages.flatMap((rows) => rows[worker] ?? [])),
    refused,
  };
}
