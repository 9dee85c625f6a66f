import { recent } from '../cache';
import type { Day, Job, Van } from '../model';
import type { Plan } from '../planning';
import type { Study } from '../studies';
import { type Ordered, bestTour, inOrder, leftAlong } from './best';
import type { Depot, Leg, Stocks, Tour, TourProblem, TourStop, Turn } from './problem';
import { Service } from './service';
import { type StockKind, gainsOf, givenBy, holdsOf, stockKinds, stocksOf } from './stocks';
import { END, START, rowOfRestock, rowOfStop, travelTable } from './travel';

/** A stop, the break, or hours that are taken, in its turn. Times are minutes from midnight. */
export interface DayLeg extends Omit<Leg, 'stop' | 'depot'> {
  /** In the van when it is done. */
  readonly left: Stocks;
  /** What it takes out of the van. */
  readonly takes: Stocks;
  /** Number of the stop in the day, from 0; null is a pause. */
  readonly stop: number | null;
  /** Number of the hours of the day that are taken; null is the break, or a stop. */
  readonly taken: number | null;
  /** Number of the place to restock at on the way; null goes straight there. */
  readonly restock: number | null;
  /** As it is begun then; null for a pause. */
  readonly visit: { readonly job: Job; readonly plan: Plan } | null;
}

/** What is short first along the best order there is. */
export interface FirstShortage {
  readonly stop: number;
  readonly kind: StockKind;
  readonly needs: number;
  readonly left: number;
}

/** A day put in order. */
export interface DayPlan {
  readonly legs: readonly DayLeg[];
  /** Stops that can be done at no hour of this day. */
  readonly cannot: readonly number[];
  readonly endMin: number;
  readonly lateMin: number;
  readonly cost: number;
  /** By how much at most another order costs less, as a share; 0 where this is the best. */
  readonly within: number;
  /** null where the van holds enough with what it is restocked with. */
  readonly shortage: FirstShortage | null;
}

/** How far a day has come. */
export interface Since {
  /** By the clock, minutes from midnight. */
  readonly atMin: number;
  /** Stops that are done, by their number; the van stands at the last one. */
  readonly done: readonly number[];
  /** What the van holds now. */
  readonly van: Van;
}

/** How a day is to be gone on with; nothing of it asks for the best order of all of it. */
export interface DayWay {
  /** Numbers of stops as they are to follow each other; null asks for the best order. */
  readonly order?: readonly number[] | null;
  readonly since?: Since | null;
}

const MINUTES_OF_DAY = 1440;
/** More hours than this are never looked at again. */
const MOST_ROUNDS = 60;

/** What a leg of a tour is of: a stop of the day, the break, or hours that are taken, each by its number. */
type Of = { readonly stop: number } | { readonly taken: number } | 'break';

const isStop = (of: Of): of is { readonly stop: number } => of !== 'break' && 'stop' in of;

/** What is served, and how surely in the time it is given. */
interface Served {
  readonly job: Job;
  readonly confidence: number;
}

/** Services of so many jobs are kept. */
const MOST_SERVICES = 60;

/** A day being planned: services are kept, whatever is changed of the rest. */
export class DayPlanner {
  private readonly serviceOf = recent<[Served], Service>(
    MOST_SERVICES,
    // Jobs that came from elsewhere are new objects each time.
    ({ job, confidence }) => `${confidence} ${JSON.stringify(job)}`,
    ({ job, confidence }) => new Service(job, confidence),
  );

  /** The best order, or the one that is asked for, with each stop planned at its hour. */
  *plan(day: Day, { order = null, since = null }: DayWay = {}): Study<DayPlan> {
    const services = day.stops.map(({ job }) => this.serviceOf({ job, confidence: day.confidence }));
    const round0: Asked = { day, services, order, since, nearly: true };
    let done = 0;
    const share = (): number => 1 - 1 / (1 + done / Math.max(1, day.stops.length));
    for (const [i, stop] of day.stops.entries()) {
      if (since?.done.includes(i)) continue;
      for (const atMin of looksAt(round0, stop)) {
        if (services[i]!.knows(atMin)) continue;
        services[i]!.learn(atMin);
        done++;
        yield share();
      }
    }
    // A good order first, until it knows all of its hours; then the best one.
    for (let [round, nearly] = [0, order === null]; ; round++) {
      const asked = { ...round0, nearly };
      const solved = solve(asked);
      const open = solved.tour.legs.flatMap(({ stop, beginMin }) => {
        const of = solved.of[stop];
        return of === undefined || !isStop(of) || services[of.stop]!.knows(beginMin) ? [] : [{ of: of.stop, beginMin }];
      });
      if (open.length === 0 && nearly) {
        nearly = false;
        continue;
      }
      if (open.length === 0 || round >= MOST_ROUNDS) return told(asked, solved);
      for (const { of, beginMin } of open) {
        services[of]!.learn(beginMin);
        done++;
        yield share();
      }
    }
  }
}

/** A tour with the stops of the day that its own stand for. */
interface Solved {
  readonly tour: Tour;
  readonly within: number;
  /** What each stop of the tour is of. */
  readonly of: readonly Of[];
  readonly cannot: readonly number[];
}

/** A day with all that its order hangs on. */
interface Asked {
  readonly day: Day;
  readonly services: readonly Service[];
  readonly order: readonly number[] | null;
  readonly since: Since | null;
  /** A good order will do for now. */
  readonly nearly: boolean;
}

const none: Stocks = stocksOf(() => 0);
const endless: Stocks = stocksOf(() => Infinity);

const startOf = ({ day, since }: Asked): number => Math.max(day.startHour * 60, since?.atMin ?? 0);

/** Hours of a stop that are planned before any order is known, so far apart (judged). */
const LOOK_MIN = 180;

/** From the first time at which it may be begun to the last. */
function looksAt(asked: Asked, { fromHour, untilHour }: Day['stops'][number]): readonly number[] {
  const first = Math.max(fromHour * 60, startOf(asked));
  const last = Math.max(first, Math.min(untilHour, asked.day.endHour) * 60);
  return [...Array.from({ length: Math.ceil((last - first) / LOOK_MIN) }, (_, i) => first + i * LOOK_MIN), last].filter(
    (atMin) => atMin < MINUTES_OF_DAY,
  );
}

/** In the open nothing is begun that is not done before the rain. */
const dryUntilMin = ({ day }: Asked, { job }: Day['stops'][number]): number =>
  day.rainFromHour === null || job.site.indoors ? Infinity : day.rainFromHour * 60;

const hoursLeft = (asked: Asked, i: number): number =>
  asked.services[i]!.hoursLeft(startOf(asked) / 60, dryUntilMin(asked, asked.day.stops[i]!) / 60);

/** Pauses that are still ahead: whoever is past the time for one has had it. */
function pausesOf({ day, since }: Asked): readonly { readonly of: Of; readonly stop: TourStop }[] {
  const isAhead = ({ untilHour }: { readonly untilHour: number }): boolean => !since || since.atMin <= untilHour * 60;
  const pause = (of: Of, fromMin: number, untilMin: number, endMin: (beginMin: number) => number) => ({
    of,
    stop: {
      place: null,
      fromMin,
      untilMin,
      turns: (beginMin: number) => [{ beginMin, endMin: endMin(beginMin) }],
      takes: none,
    },
  });
  const rest =
    day.break && isAhead(day.break)
      ? [pause('break', day.break.fromHour * 60, day.break.untilHour * 60, (beginMin) => beginMin + day.break!.minutes)]
      : [];
  const taken = day.taken.flatMap((hours, i) => {
    const from = Math.max(hours.fromHour, day.startHour) * 60;
    // Whoever comes late to it leaves it when it is over all the same.
    return isAhead(hours) && hours.untilHour * 60 > from && hours.fromHour < day.endHour
      ? [pause({ taken: i }, from, from, (beginMin) => Math.max(beginMin, hours.untilHour * 60))]
      : [];
  });
  return [...rest, ...taken];
}

function tourStops(asked: Asked, doable: readonly number[]): readonly TourStop[] {
  const { day, services } = asked;
  const stops = doable.map((i): TourStop => {
    const { fromHour, untilHour, job } = day.stops[i]!;
    const tap = job.site.tap ? (['water'] as const) : [];
    const dryMin = dryUntilMin(asked, day.stops[i]!);
    const turns = (at: number): readonly Turn[] => services[i]!.turns(at).filter(({ endMin }) => endMin <= dryMin);
    return {
      place: rowOfStop(i),
      fromMin: fromHour * 60,
      untilMin: untilHour * 60,
      turns,
      takes: services[i]!.takes(),
      gives: givenBy(tap),
    };
  });
  return [...stops, ...pausesOf(asked).map(({ stop }) => stop)];
}

function problemOf(asked: Asked, doable: readonly number[]): TourProblem {
  const { day, since } = asked;
  const last = since?.done.at(-1);
  return {
    travelMin: travelTable(day),
    startPlace: last === undefined ? START : rowOfStop(last),
    endPlace: END,
    startMin: startOf(asked),
    stops: tourStops(asked, doable),
    depots: day.restocking.map(({ minutes, gives }, i): Depot => ({
      place: rowOfRestock(day, i),
      minutes,
      gives: givenBy(gives),
    })),
    holds: holdsOf(day.van),
    has: holdsOf(since?.van ?? day.van),
    gainsPerMin: gainsOf(day.van),
    latePrice: day.latePrice,
  };
}

/** The best order of some stops, or the one asked for; null where the van holds too little for it. */
const ordered = (problem: TourProblem, order: readonly number[] | null, nearly: boolean): Ordered | null =>
  order ? inOrder(order, problem) : bestTour(problem, nearly);

/** The order of some stops; where the van holds too little, as if it held more, to say what is short first. */
function solveFor(asked: Asked, doable: readonly number[]): Solved | null {
  const { day, order, nearly } = asked;
  const problem = problemOf(asked, doable);
  const of: readonly Of[] = [...doable.map((stop) => ({ stop })), ...pausesOf(asked).map((pause) => pause.of)];
  const done = asked.since?.done ?? [];
  const cannot = day.stops.map((_stop, i) => i).filter((i) => !doable.includes(i) && !done.includes(i));
  const asPut = order && order.flatMap((i) => (doable.includes(i) ? [doable.indexOf(i)] : []));
  const found =
    ordered(problem, asPut, nearly) ?? ordered({ ...problem, holds: endless, has: endless, depots: [] }, asPut, nearly);
  return found && { ...found, of, cannot };
}

/** Stops that need the same few hours stand in each other’s way: the one with the fewest hours is left, until the others can be done. */
function solve(asked: Asked): Solved {
  const open = asked.day.stops.map((_stop, i) => i).filter((i) => !asked.since?.done.includes(i));
  let doable = open.filter((i) => hoursLeft(asked, i) > 0);
  for (;;) {
    const solved = solveFor(asked, doable);
    if (solved) return solved;
    const fewest = [...doable].sort((p, q) => hoursLeft(asked, p) - hoursLeft(asked, q))[0];
    doable = doable.filter((i) => i !== fewest);
  }
}

/** The first stop at which the van has less than that takes. */
function firstShortage(lefts: readonly Stocks[], takes: readonly Stocks[], { tour, of }: Solved): FirstShortage | null {
  for (const [leg, left] of lefts.entries()) {
    const at = left.findIndex((one) => one < -1e-9);
    if (at < 0) continue;
    const legOf = of[tour.legs[leg]!.stop]!;
    // A pause takes nothing.
    if (!isStop(legOf)) continue;
    const needs = takes[leg]![at]!;
    return { stop: legOf.stop, kind: stockKinds[at]!, needs, left: Math.max(0, needs + left[at]!) };
  }
  return null;
}

function told(asked: Asked, solved: Solved): DayPlan {
  const { services } = asked;
  const { tour, within, cannot } = solved;
  const doable = solved.of.flatMap((of) => (isStop(of) ? [of.stop] : []));
  const problem = problemOf(asked, doable);
  const atHour = tour.legs.map(({ stop, beginMin }) => {
    const of = solved.of[stop]!;
    return isStop(of) ? services[of.stop]!.learn(beginMin) : null;
  });
  // The order was found with the most that each may take; told is what it takes at its hour.
  const takes = atHour.map((one) => one?.takes ?? none);
  const lefts = leftAlong(tour, problem, takes);
  const legs = tour.legs.map(({ stop, depot, ...leg }, i): DayLeg => {
    const of = solved.of[stop]!;
    const visit = isStop(of) ? { job: services[of.stop]!.at(leg.beginMin), plan: atHour[i]!.plan } : null;
    const left = lefts[i]!.map((one) => Math.max(0, one));
    return {
      ...leg,
      left,
      takes: takes[i]!,
      stop: isStop(of) ? of.stop : null,
      taken: of !== 'break' && 'taken' in of ? of.taken : null,
      restock: depot,
      visit,
    };
  });
  return {
    legs,
    cannot,
    endMin: tour.endMin,
    lateMin: tour.lateMin,
    cost: tour.cost,
    within,
    shortage: firstShortage(lefts, takes, solved),
  };
}
