import type { Depot, Leg, Stocks, Tour, TourProblem } from './problem';

type Done = Pick<Leg, 'stop' | 'depot' | 'arriveMin' | 'beginMin'>;

/** How far a day has come in one way: what it has cost, and what the van has left. */
export interface Label {
  readonly place: number;
  readonly atMin: number;
  readonly lateMin: number;
  readonly left: Stocks;
  /** The last thing done, and what came before it; null in the morning. */
  readonly done: Done | null;
  readonly before: Label | null;
}

const SAME = 1e-9;

export const first = ({ startPlace, startMin, has }: TourProblem): Label => ({
  place: startPlace,
  atMin: startMin,
  lateMin: 0,
  left: has,
  done: null,
  before: null,
});

export const filled = (left: Stocks, gives: readonly boolean[] | undefined, holds: Stocks): Stocks =>
  gives?.some(Boolean) ? left.map((one, i) => (gives[i] ? holds[i]! : one)) : left;

export const gained = (left: Stocks, minutes: number, { gainsPerMin, holds }: TourProblem): Stocks =>
  minutes > 0 && gainsPerMin.some((one) => one > 0)
    ? left.map((one, i) => Math.min(holds[i]!, one + gainsPerMin[i]! * minutes))
    : left;

/** A depot that gives nothing that is missing is not worth the way. */
const isUseful = ({ gives }: Depot, left: Stocks, { holds }: TourProblem): boolean =>
  gives.some((one, i) => one && left[i]! < holds[i]! - SAME);

/** Somewhere on the way, before the next work. */
interface Underway {
  readonly place: number;
  readonly atMin: number;
  readonly left: Stocks;
}

/** From where the next stop is driven to: straight, or from a depot; null where that is not worth it. */
function setOut(label: Label, depot: Depot | null, problem: TourProblem): Underway | null {
  if (!depot) return label;
  if (!isUseful(depot, label.left, problem)) return null;
  const minutes = problem.travelMin[label.place]![depot.place]!;
  return {
    place: depot.place,
    atMin: label.atMin + minutes + depot.minutes,
    left: filled(gained(label.left, minutes, problem), depot.gives, problem.holds),
  };
}

/**
 * All ways with a next stop, straight or by a depot, at each turn of its work; none where the van holds too little.
 * @param isWorth tells of a time and the lateness by then whether it may come to anything
 */
export function nexts(
  label: Label,
  index: number,
  problem: TourProblem,
  isWorth: (atMin: number, lateMin: number) => boolean = () => true,
): readonly Label[] {
  const found: Label[] = [];
  const { travelMin, stops, depots, holds } = problem;
  const stop = stops[index]!;
  for (let d = -1; d < depots.length; d++) {
    const from = setOut(label, d < 0 ? null : depots[d]!, problem);
    if (!from) continue;
    const place = stop.place ?? from.place;
    const minutes = travelMin[from.place]![place]!;
    const there = gained(from.left, minutes, problem);
    if (stop.takes.some((takes, i) => takes > there[i]! + SAME)) continue;
    const arriveMin = from.atMin + minutes;
    for (const { beginMin, endMin } of stop.turns(Math.max(arriveMin, stop.fromMin))) {
      const lateMin = label.lateMin + Math.max(0, beginMin - stop.untilMin);
      if (!isWorth(endMin, lateMin)) continue;
      const left =
        there.length === 0
          ? there
          : filled(
              there.map((one, i) => one - stop.takes[i]!),
              stop.gives,
              holds,
            );
      found.push({
        place,
        atMin: endMin,
        lateMin,
        left,
        done: { stop: index, depot: d < 0 ? null : d, arriveMin, beginMin },
        before: label,
      });
    }
  }
  return found;
}

/** Whatever the one can still do, the other can at no higher cost. */
function isBeatenBy(label: Label, other: Label): boolean {
  if (other.atMin > label.atMin + SAME || other.lateMin > label.lateMin + SAME) return false;
  for (let i = 0; i < label.left.length; i++) if (other.left[i]! < label.left[i]! - SAME) return false;
  return true;
}

/** Adds a way at one place with the same work done, unless another is as good; those it beats go. */
export function keep(labels: Label[], label: Label): void {
  for (const other of labels) if (isBeatenBy(label, other)) return;
  for (let i = labels.length - 1; i >= 0; i--) if (isBeatenBy(labels[i]!, label)) labels.splice(i, 1);
  labels.push(label);
}

const endAt = ({ place, atMin }: Label, { travelMin, endPlace }: TourProblem): number =>
  atMin + travelMin[place]![endPlace]!;

export const costOf = (label: Label, problem: TourProblem): number =>
  endAt(label, problem) - problem.startMin + problem.latePrice * label.lateMin;

/** The way to a label from the morning on, and back. */
function tourOf(label: Label, problem: TourProblem): Tour {
  const legs: Leg[] = [];
  for (let one: Label | null = label; one?.done; one = one.before)
    legs.unshift({ ...one.done, endMin: one.atMin, lateMin: one.lateMin - one.before!.lateMin });
  return { legs, endMin: endAt(label, problem), lateMin: label.lateMin, cost: costOf(label, problem) };
}

export const cheapest = (labels: readonly Label[], problem: TourProblem): Tour | null => {
  const [best] = [...labels].sort((p, q) => costOf(p, problem) - costOf(q, problem));
  return best ? tourOf(best, problem) : null;
};
