import { MOST_EXACT, exactTour } from './exact';
import { filled, gained } from './label';
import { tourInOrder } from './in-order';
import { nearlyTour } from './nearly';
import type { Stocks, Tour, TourProblem } from './problem';

/** An order, and by how much at most another costs less, as a share of its cost. */
export interface Ordered {
  readonly tour: Tour;
  readonly within: number;
}

const SAME = 1e-9;

/** Stocks of which more is taken in the day than there is in the morning: only these decide anything. */
const scarceIn = ({ stops, has }: TourProblem): readonly number[] =>
  has.flatMap((one, i) => (stops.reduce((sum, { takes }) => sum + takes[i]!, 0) > one + SAME ? [i] : []));

/** Nothing fills it up again. */
const isFinal = ({ stops, depots, gainsPerMin }: TourProblem, i: number): boolean =>
  gainsPerMin[i] === 0 && ![...stops, ...depots].some(({ gives }) => gives?.[i]);

const picked = <T>(list: readonly T[], of: readonly number[]): readonly T[] => of.map((i) => list[i]!);

/** The same day with only some stocks. */
const withOnly = (problem: TourProblem, of: readonly number[]): TourProblem => ({
  ...problem,
  stops: problem.stops.map((stop) => ({
    ...stop,
    takes: picked(stop.takes, of),
    ...(stop.gives ? { gives: picked(stop.gives, of) } : {}),
  })),
  depots: problem.depots.map((depot) => ({ ...depot, gives: picked(depot.gives, of) })),
  holds: picked(problem.holds, of),
  has: picked(problem.has, of),
  gainsPerMin: picked(problem.gainsPerMin, of),
});

/**
 * The best order of a day, exact up to twelve stops and a break; null where the van holds too little for any.
 * @param nearly a good one will do for now
 */
export function bestTour(problem: TourProblem, nearly = false): Ordered | null {
  const scarce = scarceIn(problem);
  if (scarce.some((i) => isFinal(problem, i))) return null;
  const reduced = withOnly(problem, scarce);
  if (nearly || problem.stops.length > MOST_EXACT) return nearlyTour(reduced);
  const tour = exactTour(reduced);
  return tour && { tour, within: 0 };
}

/**
 * The least cost of an order that somebody has put; what is not in it, as a break, is put where it costs least.
 * @param order numbers of stops
 */
export function inOrder(order: readonly number[], problem: TourProblem): Ordered | null {
  let found: readonly (readonly number[])[] = [order];
  for (const stop of problem.stops.keys()) {
    if (order.includes(stop)) continue;
    found = found.flatMap((one) =>
      Array.from({ length: one.length + 1 }, (_, at) => [...one.slice(0, at), stop, ...one.slice(at)]),
    );
  }
  const tours = found.flatMap((one) => tourInOrder(one, problem) ?? []).sort((p, q) => p.cost - q.cost);
  return tours[0] ? { tour: tours[0], within: 0 } : null;
}

/**
 * What the van has left after each leg of a tour; less than nothing where it is short.
 * @param takes of each leg, as it is really begun
 */
export function leftAlong({ legs }: Tour, problem: TourProblem, takes: readonly Stocks[]): readonly Stocks[] {
  let [left, place] = [problem.has, problem.startPlace];
  return legs.map(({ stop, depot }, leg) => {
    const { place: to, gives } = problem.stops[stop]!;
    if (depot !== null) {
      const by = problem.depots[depot]!;
      left = filled(gained(left, problem.travelMin[place]![by.place]!, problem), by.gives, problem.holds);
      place = by.place;
    }
    left = gained(left, problem.travelMin[place]![to ?? place]!, problem);
    place = to ?? place;
    left = filled(
      left.map((one, i) => one - takes[leg]![i]!),
      gives,
      problem.holds,
    );
    return left;
  });
}
