import { leastCost } from './bound';
import { costInOrder, tourInOrder } from './in-order';
import type { Tour, TourProblem } from './problem';

const inserted = (order: readonly number[], stop: number, at: number): readonly number[] => [
  ...order.slice(0, at),
  stop,
  ...order.slice(at),
];

interface Ordered {
  readonly order: readonly number[];
  readonly cost: number;
}

/** The best place in an order for one more stop. */
function withStop(order: readonly number[], stop: number, problem: TourProblem): Ordered | null {
  let best: Ordered | null = null;
  for (let at = 0; at <= order.length; at++) {
    const next = inserted(order, stop, at);
    const cost = costInOrder(next, problem);
    if (Number.isFinite(cost) && (!best || cost < best.cost)) best = { order: next, cost };
  }
  return best;
}

/** Stops in the order in which they have to be begun, each where it costs least. */
function built(problem: TourProblem): Ordered | null {
  const byNeed = problem.stops
    .map((_stop, i) => i)
    .sort((p, q) => problem.stops[p]!.untilMin - problem.stops[q]!.untilMin);
  let found: Ordered | null = { order: [], cost: 0 };
  for (const stop of byNeed) {
    found = found && withStop(found.order, stop, problem);
  }
  return found;
}

/** Orders that differ in where one run of up to three stops stands, or which way round a stretch is gone. */
function* neighbours(order: readonly number[]): Generator<readonly number[]> {
  for (let from = 0; from < order.length; from++) {
    for (let length = 1; length <= 3 && from + length <= order.length; length++) {
      const run = order.slice(from, from + length);
      const rest = [...order.slice(0, from), ...order.slice(from + length)];
      for (let at = 0; at <= rest.length; at++)
        if (at !== from) yield [...rest.slice(0, at), ...run, ...rest.slice(at)];
    }
    for (let to = from + 2; to <= order.length; to++)
      yield [...order.slice(0, from), ...order.slice(from, to).reverse(), ...order.slice(to)];
  }
}

/** A good order, and by how much at most another could cost less. */
export interface NearlyTour {
  readonly tour: Tour;
  /** Share of its cost. */
  readonly within: number;
}

/** A good order of many stops: put together stop by stop, then changed as long as that helps; null where none is found. */
export function nearlyTour(problem: TourProblem): NearlyTour | null {
  let best = built(problem);
  if (!best) return null;
  for (let improved = true; improved;) {
    improved = false;
    for (const order of neighbours(best.order)) {
      const cost = costInOrder(order, problem);
      if (cost >= best.cost - 1e-6) continue;
      best = { order, cost };
      improved = true;
      break;
    }
  }
  const tour = tourInOrder(best.order, problem)!;
  return { tour, within: Math.max(0, 1 - leastCost(problem) / tour.cost) };
}
