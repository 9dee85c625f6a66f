import type { Day, Job } from '../model';
import type { Plan } from '../planning';
import type { Study } from '../studies';
import { bestTour, leftAlong } from './best';
import type { Depot, Leg, Stocks, Tour, TourProblem, TourStop } from './problem';
import { Service } from './service';
import { type StockKind, gainsOf, givenBy, holdsOf, stockKinds, stocksOf } from './stocks';
import { END, START, rowOfRestock, rowOfStop, travelTable } from './travel';

/** A stop or the break, in its turn. Times are minutes from midnight. */
export interface DayLeg extends Omit<Leg, 'stop' | 'depot'> {
  /** In the van when it is done. */
  readonly left: Stocks;
  /** What it takes out of the van. */
  readonly takes: Stocks;
  /** Number of the stop in the day, from 0; null is the break. */
  readonly stop: number | null;
  /** Number of the place to restock at on the way; null goes straight there. */
  readonly restock: number | null;
  /** As it is begun then; null for the break. */
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

/** More hours than this are never looked at again. */
const MOST_ROUNDS = 60;
const BREAK = null;

/** A day being planned: services are kept, whatever is changed of the rest. */
export class DayPlanner {
  private readonly services = new Map<string, Service>();

  private serviceOf(job: Job, { confidence }: Day): Service {
    const known = this.services.get(job.id);
    if (known?.job === job && known.confidence === confidence) return known;
    const fresh = new Service(job, confidence);
    this.services.set(job.id, fresh);
    return fresh;
  }

  /** The best order with each stop planned at its hour. */
  *plan(day: Day): Study<DayPlan> {
    const services = day.stops.map(({ job }) => this.serviceOf(job, day));
    let done = 0;
    const share = (): number => 1 - 1 / (1 + done / Math.max(1, day.stops.length));
    for (const [i, { fromHour }] of day.stops.entries()) {
      services[i]!.learn(Math.max(fromHour, day.startHour) * 60);
      done++;
      yield share();
    }
    // A good order first, until it knows all of its hours; then the best one.
    for (let [round, nearly] = [0, true]; ; round++) {
      const solved = solve(day, services, nearly);
      const open = solved.tour.legs.flatMap(({ stop, beginMin }) => {
        const of = solved.ofStops[stop];
        return of === undefined || of === BREAK || services[of]!.knows(beginMin) ? [] : [{ of, beginMin }];
      });
      if (open.length === 0 && nearly) {
        nearly = false;
        continue;
      }
      if (open.length === 0 || round >= MOST_ROUNDS) return told(day, services, solved);
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
  readonly ofStops: readonly (number | null)[];
  readonly cannot: readonly number[];
}

const none: Stocks = stocksOf(() => 0);
const endless: Stocks = stocksOf(() => Infinity);

function tourStops(day: Day, services: readonly Service[], doable: readonly number[]): readonly TourStop[] {
  const stops = doable.map((i): TourStop => {
    const { fromHour, untilHour, job } = day.stops[i]!;
    const tap = job.site.tap ? (['water'] as const) : [];
    return { place: rowOfStop(i), fromMin: fromHour * 60, untilMin: untilHour * 60, turns: (at) => services[i]!.turns(at), takes: services[i]!.takes(), gives: givenBy(tap) };
  });
  if (!day.break) return stops;
  const { minutes, fromHour, untilHour } = day.break;
  return [...stops, { place: null, fromMin: fromHour * 60, untilMin: untilHour * 60, turns: (beginMin) => [{ beginMin, endMin: beginMin + minutes }], takes: none }];
}

function problemOf(day: Day, services: readonly Service[], doable: readonly number[]): TourProblem {
  return {
    travelMin: travelTable(day),
    startPlace: START,
    endPlace: END,
    startMin: day.startHour * 60,
    stops: tourStops(day, services, doable),
    depots: day.restocking.map(({ minutes, gives }, i): Depot => ({ place: rowOfRestock(day, i), minutes, gives: givenBy(gives) })),
    holds: holdsOf(day.van),
    has: holdsOf(day.van),
    gainsPerMin: gainsOf(day.van),
    latePrice: day.latePrice,
  };
}

/** The best order of some stops; where the van holds too little for any, as if it held more, to say what is short first. */
function solveFor(day: Day, services: readonly Service[], doable: readonly number[], nearly: boolean): Solved | null {
  const problem = problemOf(day, services, doable);
  const ofStops = [...doable, ...(day.break ? [BREAK] : [])];
  const cannot = day.stops.map((_stop, i) => i).filter((i) => !doable.includes(i));
  const found = bestTour(problem, nearly) ?? bestTour({ ...problem, holds: endless, has: endless, depots: [] }, nearly);
  return found && { ...found, ofStops, cannot };
}

/** Stops that need the same few hours stand in each other’s way: the one with the fewest hours is left, until the others can be done. */
function solve(day: Day, services: readonly Service[], nearly: boolean): Solved {
  let doable = day.stops.map((_stop, i) => i).filter((i) => services[i]!.hoursLeft(day.startHour) > 0);
  for (;;) {
    const solved = solveFor(day, services, doable, nearly);
    if (solved) return solved;
    const fewest = [...doable].sort((p, q) => services[p]!.hoursLeft(day.startHour) - services[q]!.hoursLeft(day.startHour))[0];
    doable = doable.filter((i) => i !== fewest);
  }
}

/** The first stop at which the van has less than that takes. */
function firstShortage(lefts: readonly Stocks[], { tour, ofStops }: Solved, problem: TourProblem): FirstShortage | null {
  for (const [leg, left] of lefts.entries()) {
    const at = left.findIndex((one) => one < -1e-9);
    if (at < 0) continue;
    const { stop } = tour.legs[leg]!;
    const needs = problem.stops[stop]!.takes[at]!;
    return { stop: ofStops[stop]!, kind: stockKinds[at]!, needs, left: Math.max(0, needs + left[at]!) };
  }
  return null;
}

function told(day: Day, services: readonly Service[], solved: Solved): DayPlan {
  const { tour, within, ofStops, cannot } = solved;
  const doable = ofStops.filter((of) => of !== BREAK);
  const problem = problemOf(day, services, doable);
  const lefts = leftAlong(tour, problem);
  const legs = tour.legs.map(({ stop, depot, ...leg }, i): DayLeg => {
    const of = ofStops[stop]!;
    const visit = of === BREAK ? null : { job: services[of]!.at(leg.beginMin), plan: services[of]!.learn(leg.beginMin).plan };
    return { ...leg, left: lefts[i]!.map((one) => Math.max(0, one)), takes: problem.stops[stop]!.takes, stop: of, restock: depot, visit };
  });
  return { legs, cannot, endMin: tour.endMin, lateMin: tour.lateMin, cost: tour.cost, within, shortage: firstShortage(lefts, solved, problem) };
}
