import type { Assumptions } from '../assumptions';
import type { Dimensions, Job, Order, ZoneId } from '../model';
import { type Chosen, type Lap, type Pass, Round, rinsedAtTurn, passesOf, piecesOf } from '../passes';
import { type Kit, type StandingPlace, type StartState, heldBy, setupMinutes } from '../rules';
import { Crew, type Step, type StepKind } from './crew';
import { type Sharing, sharedOut } from './share';
import { Tank } from './tank';
import { type Stop, type Timed, wetAhead } from './wet-ahead';

/** A section that would dry before it is done. */
export interface Late {
  readonly zoneId: ZoneId;
  readonly section: number;
  readonly lateS: number;
}

/** What is done in one go: rinsing, wetting and wiping, drying a body, or finishing glass. */
export type PassAct = 'flush' | 'wipe' | 'dry' | 'glass';

/** A part of a zone in a pass; of 0 is the zone as a whole. */
export interface PassPart {
  readonly zoneId: ZoneId;
  readonly section: number;
  readonly of: number;
}

/** A pass as it stands on the clock. */
export interface PlannedPass {
  /** From 1, in the order in which hands come to them. */
  readonly number: number;
  readonly act: PassAct;
  /** null for what is gone over at once. */
  readonly lap: Lap | null;
  readonly place: StandingPlace | null;
  readonly worker: number;
  readonly parts: readonly PassPart[];
  readonly areaM2: number;
  /** Seconds by hand. */
  readonly handS: number;
}

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
}

/** One school rinses where it is dirtiest first, so that it works longest there. */
const rinseOrder = (chosen: readonly Chosen[], order: Order): readonly Chosen[] =>
  order === 'top-down' ? chosen : [...chosen].sort((p, q) => q.option.loadBeforeGm2 - p.option.loadBeforeGm2);

/** What is set up before the work: stations, and the glass cleaner. */
export type Setup = Kit | 'glass';

/** Writes one worker's walk on the clock, step by step. */
class Recorder {
  private readonly passes: PlannedPass[] = [];

  constructor(readonly crew: Crew) {}

  /** @returns its number for now; they are put in order at the end */
  note(pass: Omit<PlannedPass, 'number'>): number {
    this.passes.push({ ...pass, number: this.passes.length + 1 });
    return this.passes.length;
  }

  /** Steps and passes, numbered in the order in which hands come to them. */
  inOrder(): { readonly steps: readonly Step[]; readonly passes: readonly PlannedPass[] } {
    const hands: ReadonlySet<StepKind> = new Set(['flush', 'wipe', 'dry', 'glass']);
    const steps = [...this.crew.steps].sort((p, q) => p.startS - q.startS || p.worker - q.worker);
    const place = new Map<number, number>();
    for (const { pass, kind } of steps) if (pass !== null && hands.has(kind) && !place.has(pass)) place.set(pass, place.size + 1);
    for (const { number } of this.passes) if (!place.has(number)) place.set(number, place.size + 1);
    return {
      steps: steps.map((step) => (step.pass === null ? step : { ...step, pass: place.get(step.pass)! })),
      passes: this.passes.map((pass) => ({ ...pass, number: place.get(pass.number)! })).sort((p, q) => p.number - q.number),
    };
  }
}

/** Puts a worker's passes on the clock, wetted ahead as far as windows allow. */
function workThrough(passes: readonly Pass[], worker: number, round: Round, tank: Tank, record: Recorder, a: Assumptions) {
  const { crew } = record;
  let [at, walkedM]: [number | null, number] = [null, 0];
  const refills: number[] = [];
  const stops = passes.map((pass): Stop => {
    const next = round.at(pass);
    const metres = at === null ? 0 : round.metres(at, next);
    at = next;
    walkedM += metres;
    const refillS = pass.rinsedAtTurn ? tank.refillS(pass.pieces.map(({ option, of }) => ({ option, share: 1 / of }))) : 0;
    refills.push(refillS);
    return { pass, walkS: metres / a.walkingSpeed + refillS };
  });
  const beginsS = crew.now(worker);
  const { acts, timed } = wetAhead(stops);
  const numbers = passes.map((pass) =>
    record.note({
      act: 'wipe',
      lap: pass.lap,
      place: pass.place,
      worker,
      parts: pass.pieces.map(({ zone, section, of }) => ({ zoneId: zone.id, section, of })),
      areaM2: pass.areaM2,
      handS: pass.work.pretreat + pass.work.spray + pass.work.wipe + (pass.driedLater ? 0 : pass.work.finish),
    }),
  );
  const each = (i: number, kind: 'flush' | 'pretreat' | 'spray' | 'wipe' | 'finish'): void => {
    for (const { zone, section, work } of passes[i]!.pieces) crew.do(worker, { zoneId: zone.id, section, pass: numbers[i]!, kit: null, kind, seconds: work[kind] });
  };
  const first = (i: number) => ({ zoneId: passes[i]!.pieces[0]!.zone.id, section: passes[i]!.pieces[0]!.section, pass: numbers[i]! });
  const come = (i: number): void => {
    crew.do(worker, { ...first(i), kind: 'walk', kit: null, seconds: stops[i]!.walkS - refills[i]! });
    crew.do(worker, { ...first(i), kind: 'refill', kit: null, seconds: refills[i]! });
    if (passes[i]!.rinsedAtTurn) each(i, 'flush');
    each(i, 'pretreat');
  };
  const wet = new Set<number>();
  let done = 0;
  for (const { kind, at: i } of acts) {
    const { comesS, readyS } = timed[i]!;
    if (kind === 'wet') {
      // What is waited for meanwhile.
      crew.waitUntil(worker, beginsS + comesS, first(done));
      come(i);
      each(i, 'spray');
      wet.add(i);
      continue;
    }
    if (!wet.has(i)) come(i);
    crew.waitUntil(worker, beginsS + readyS, first(i));
    each(i, 'wipe');
    if (!passes[i]!.driedLater) each(i, 'finish');
    done = i + 1;
  }
  return { walkedM, late: timed.filter(({ lateS }: Timed) => lateS > 0) };
}

/** Zones that are dried with the whole body, and have dried by themselves before somebody comes to it. */
function lateBody(chosen: readonly Chosen[], steps: readonly Step[]): readonly Late[] {
  return chosen.flatMap(({ zone, option }): Late[] => {
    const own = steps.filter(({ zoneId }) => zoneId === zone.id);
    const dry = own.find(({ kind }) => kind === 'dry');
    const wiped = own.find(({ kind }) => kind === 'wipe');
    if (!option.driedLater || !dry || !wiped) return [];
    const lateS = dry.endS - wiped.startS - option.drying.lastS;
    return lateS > 0 ? [{ zoneId: zone.id, section: 1, lateS }] : [];
  });
}

/** What is gone over at once: rinsing and drying view by view, glass in one round for each person. */
function rounds(act: 'flush' | 'dry' | 'glass', chosen: readonly Chosen[], workers: number): readonly (readonly Chosen[])[] {
  const groups = new Map<string, Chosen[]>();
  for (const one of chosen) {
    const key = act !== 'glass' ? one.zone.view : workers > 1 && one.zone.view === 'right' ? 'right' : 'all';
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return withoutShort([...groups.values()], act);
}

/** A shorter one goes with the next round the car, s (judged). */
const SHORT_S = { flush: 90, dry: 20, glass: 20 } as const;
const workOf = { flush: 'flush', dry: 'finish', glass: 'glass' } as const;

function withoutShort(groups: readonly (readonly Chosen[])[], act: keyof typeof SHORT_S): readonly (readonly Chosen[])[] {
  const secondsOf = (group: readonly Chosen[]): number => group.reduce((sum, { option }) => sum + option.work[workOf[act]], 0);
  const found: Chosen[][] = [];
  for (const group of groups) {
    const last = found.at(-1);
    if (last && (secondsOf(last) < SHORT_S[act] || secondsOf(group) < SHORT_S[act])) last.push(...group);
    else found.push([...group]);
  }
  return found;
}

/**
 * The run as clock times: set-up, the rinse of everything that is rinsed, then pass by pass wetting, dwell, wipe and
 * finish, the drying of the whole body where that is asked for, the glass finish, and packing. Passes go lap by lap
 * round the car; two people take a side each, and what somebody is at stays with them; waiting for a dwell is a step of
 * its own.
 */
export function timelineOf(
  chosen: readonly Chosen[],
  setUp: readonly Setup[],
  { site: { workers }, choices, vehicle }: Pick<Job, 'site' | 'choices'> & { readonly vehicle: { readonly dimensions: Dimensions } },
  a: Assumptions,
  begun: Pick<StartState, 'inHand' | 'zones'>,
  sharing: Sharing = 'sides',
  tankMl = Infinity,
  packMin = a.packing,
): Timeline {
  const crew = new Crew(workers);
  const tank = new Tank(tankMl, a);
  const record = new Recorder(crew);
  const slow = 1 + a.walking;
  const atOnce = (act: 'flush' | 'dry' | 'glass', of: readonly Chosen[]): void => {
    const work = act === 'dry' ? 'finish' : act;
    const holder = ({ zone }: Chosen): number | undefined => begun.inHand.find((one) => one.act === act && one.zoneId === zone.id)?.worker;
    const busy = of.filter(({ option }) => option.work[work] > 0);
    const isHeld = (one: Chosen): boolean => holder(one) !== undefined;
    for (const group of rounds(act, [...busy.filter(isHeld), ...busy.filter((one) => !isHeld(one))], workers)) {
      // A tank, a washer or a steamer has one nozzle: one person rinses with it.
      const worker = act === 'flush' ? 0 : (group.map(holder).find((one) => one !== undefined) ?? crew.firstFree());
      const pass = record.note({
        act,
        lap: null,
        place: null,
        worker,
        parts: group.map(({ zone }) => ({ zoneId: zone.id, section: 0, of: 0 })),
        areaM2: group.reduce((sum, { zone }) => sum + zone.areaM2, 0),
        handS: group.reduce((sum, { option }) => sum + option.work[work] * slow, 0),
      });
      for (const { zone, option } of group) {
        const refillS = act === 'flush' ? tank.refillS([{ option, share: 1 }]) : 0;
        crew.do(worker, { kind: 'refill', zoneId: zone.id, section: 0, pass, kit: null, seconds: refillS });
        crew.do(worker, { kind: act, zoneId: zone.id, section: 0, pass, kit: null, seconds: option.work[work] * slow });
      }
    }
  };
  const alone = { zoneId: null, section: 0, pass: null };
  for (const kit of setUp) {
    const minutes = kit === 'glass' ? a.setupSpray : setupMinutes(kit, a);
    crew.do(crew.firstFree(), { ...alone, kind: 'setup', kit, seconds: minutes * 60 });
  }
  crew.meet();
  atOnce('flush', rinseOrder(chosen.filter((one) => !rinsedAtTurn(one)), choices.order));
  crew.meet();
  const round = new Round(vehicle.dimensions, a);
  const wiped = chosen.filter(({ option: { work } }) => work.wipe + work.finish + work.spray + work.pretreat > 0);
  const held = heldBy(begun);
  const passes = passesOf(wiped.flatMap((one) => piecesOf(one, vehicle.dimensions.lengthM, held, a)), a);
  const byWorker = sharedOut(passes, workers, sharing).map((own) => (own.length > 0 ? round.inLaps(own) : own));
  const walks = byWorker.map((own, worker) => workThrough(own, worker, round, tank, record, a));
  crew.meet();
  atOnce('dry', chosen.filter(({ option }) => option.driedLater));
  crew.meet();
  atOnce('glass', chosen);
  crew.meet();
  crew.do(0, { ...alone, kind: 'pack', kit: null, seconds: packMin * 60 });
  return {
    ...record.inOrder(),
    elapsedS: crew.elapsed(),
    waitingS: crew.steps.filter(({ kind }) => kind === 'wait').reduce((sum, step) => sum + step.endS - step.startS, 0),
    walkedM: walks.reduce((sum, { walkedM }) => sum + walkedM, 0),
    late: [
      ...walks.flatMap(({ late }) => late.flatMap(({ pass, lateS }) => pass.pieces.map(({ zone, section }): Late => ({ zoneId: zone.id, section, lateS })))),
      ...lateBody(chosen, crew.steps),
    ],
    byWorker,
  };
}
