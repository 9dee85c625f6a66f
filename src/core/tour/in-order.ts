import { type Label, cheapest, first, keep, nexts } from './label';
import type { Tour, TourProblem } from './problem';

/** The least a day costs in one order: only where it fills up is chosen. */
export function tourInOrder(order: readonly number[], problem: TourProblem): Tour | null {
  let labels: Label[] = [first(problem)];
  for (const next of order) {
    const after: Label[] = [];
    for (const label of labels) for (const one of nexts(label, next, problem)) keep(after, one);
    labels = after;
  }
  return cheapest(labels, problem);
}
