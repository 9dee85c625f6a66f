import type { TourProblem, TourStop } from './problem';

const MINUTES_OF_DAY = 1440;
const STEP_MIN = 5;

/** The least that a stop ever takes, whenever it is begun: looked at every few minutes, and never sooner in between. */
function leastMinutes({ fromMin, turns }: TourStop, startMin: number): number {
  let least = Infinity;
  for (let at = Math.max(fromMin, startMin); at < 2 * MINUTES_OF_DAY; at += STEP_MIN) {
    // A turn after this look and before the next is over no sooner than one at this look.
    for (const { endMin } of turns(at)) least = Math.min(least, endMin - at - STEP_MIN);
  }
  return Math.max(0, least);
}

/** Work that is left, with the shortest way into each: what it takes at least, and when each could begin at the soonest. */
interface Rest {
  readonly leastMin: number;
  /** Minutes from now to the begin of the first, the second …, in the quickest order; and until when each may begin. */
  readonly beginsMin: readonly number[];
  readonly untilMin: readonly number[];
}

/** What a day costs at least from somewhere on. */
export class Bound {
  private readonly least: readonly number[];
  private readonly into: readonly number[];
  private readonly home: number;
  private readonly rests = new Map<number, Rest>();

  constructor(private readonly problem: TourProblem) {
    const { stops, travelMin, startPlace, endPlace, startMin, depots } = problem;
    const places = [
      ...new Set([startPlace, ...depots.map(({ place }) => place), ...stops.flatMap(({ place }) => place ?? [])]),
    ];
    this.least = stops.map((stop) => leastMinutes(stop, startMin));
    this.into = stops.map(({ place }, i) =>
      place === null
        ? 0
        : Math.min(
            ...places
              .filter((from) => from !== place || stops.some((other, j) => j !== i && other.place === place))
              .map((from) => travelMin[from]![place]!),
          ),
    );
    const ends = places.map((from) => travelMin[from]![endPlace]!);
    this.home = Math.min(...ends);
  }

  private rest(open: number): Rest {
    const known = this.rests.get(open);
    if (known) return known;
    const of = this.problem.stops.map((_stop, i) => i).filter((i) => open & (1 << i));
    const pieces = of.map((i) => this.least[i]! + this.into[i]!).sort((p, q) => p - q);
    const way = Math.min(...of.map((i) => this.into[i]!), Infinity);
    let sum = 0;
    const beginsMin = pieces.map((piece) => {
      const begins = sum + way;
      sum += piece;
      return begins;
    });
    const rest = {
      leastMin: sum,
      beginsMin,
      untilMin: of.map((i) => this.problem.stops[i]!.untilMin).sort((p, q) => p - q),
    };
    this.rests.set(open, rest);
    return rest;
  }

  /**
   * No way on costs less: the quickest work and the shortest ways, and the lateness of the quickest first against the
   * windows that close first.
   * @param open stops that are still to do, a bit each
   */
  from(atMin: number, lateMin: number, open: number): number {
    const { startMin, latePrice } = this.problem;
    const { leastMin, beginsMin, untilMin } = this.rest(open);
    let late = lateMin;
    for (let k = 0; k < beginsMin.length; k++) late += Math.max(0, atMin + beginsMin[k]! - untilMin[k]!);
    return atMin + leastMin + this.home - startMin + latePrice * late;
  }
}

/** No order of all stops costs less. */
export const leastCost = (problem: TourProblem): number =>
  new Bound(problem).from(problem.startMin, 0, 2 ** problem.stops.length - 1);
