import { type Label, cheapest, costOf, first, keep, nexts } from './label';
import type { Tour, TourProblem } from './problem';

/** All ways to go through a day in one order that are not beaten by another. */
function waysInOrder(order: readonly number[], problem: TourProblem): readonly Label[] {
  let labels: Label[] = [first(problem)];
  for (const next of order) {
    const after: Label[] = [];
    for (const label of labels) for (const one of nexts(label, next, problem)) keep(after, one);
    labels = after;
  }
  return labels;
}

/** The least a day costs in one order: only where it fills up is chosen. */
export const tourInOrder = (order: readonly number[], problem: TourProblem): Tour | null =>
  cheapest(waysInOrder(order, problem), problem);

/** The same without saying how; Infinity where the van holds too little for it. */
export const costInOrder = (order: readonly number[], problem: TourProblem): number =>
  waysInOrder(order, problem).reduce((least, label) => Math.min(least, costOf(label, problem)), Infinity);
