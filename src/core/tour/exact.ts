import { Bound } from './bound';
import { type Label, cheapest, first, keep, nexts } from './label';
import { nearlyTour } from './nearly';
import type { Tour, TourProblem } from './problem';

/** More things to do than this, twelve stops and a break, are put in order nearly. */
export const MOST_EXACT = 13;

const SAME = 1e-6;

/**
 * The order of a day that costs least, and where it fills up: dynamic programming over what is done and where one is, with all ways
 * kept that are not beaten in time, lateness and every stock. Exact, as work never ends sooner for a later begin.
 * @returns null where no order does all of it with what the van holds
 */
export function exactTour(problem: TourProblem): Tour | null {
  const { stops } = problem;
  const all = 2 ** stops.length - 1;
  if (stops.length === 0) return cheapest([first(problem)], problem);
  const bound = new Bound(problem);
  // A good order found quickly: what must cost more is not followed.
  const most = (nearlyTour(problem)?.tour.cost ?? Infinity) + SAME;
  // By what is done, then by where one is.
  const done: Map<number, Label[]>[] = Array.from({ length: all + 1 }, () => new Map<number, Label[]>());
  done[0]!.set(problem.startPlace, [first(problem)]);
  for (let set = 0; set < all; set++) {
    for (const labels of done[set]!.values()) {
      for (let next = 0; next < stops.length; next++) {
        if (set & (1 << next)) continue;
        const into = done[set | (1 << next)]!;
        const open = all & ~set & ~(1 << next);
        const isWorth = (atMin: number, lateMin: number): boolean => bound.from(atMin, lateMin, open) <= most;
        for (const label of labels) {
          for (const one of nexts(label, next, problem, isWorth)) {
            const known = into.get(one.place);
            if (known) keep(known, one);
            else into.set(one.place, [one]);
          }
        }
      }
    }
    // What was come from is not looked at again; ways keep what they need of it.
    done[set] = new Map();
  }
  return cheapest([...done[all]!.values()].flat(), problem);
}
