import type { Assumptions } from '../assumptions';
import type { ZoneId } from '../model';
import { totalWork } from '../rules';
import { interleavedS } from './interleave';
import { type Piece, piecesOf } from './piece';
import type { Ordered } from './run-order';

type Lists = readonly (readonly Ordered[])[];

/** Zones that somebody is at: they do not change hands. */
type Held = ReadonlyMap<ZoneId, number>;

/** Deals the car out in stretches, each to whoever has least to do so far. */
function inStretches(ordered: readonly Ordered[], workers: number, a: Assumptions, held: Held): Lists {
  const lists: Ordered[][] = Array.from({ length: workers }, () => []);
  const load = new Array<number>(workers).fill(0);
  const give = (one: Ordered, to: number): void => {
    load[to]! += totalWork(one.option.work);
    lists[to]!.push(one);
  };
  let worker = 0;
  let area = Infinity;
  for (const one of ordered) {
    const holder = held.get(one.zone.id);
    if (holder !== undefined) {
      give(one, holder);
      continue;
    }
    if (area + one.zone.areaM2 > a.stretch) {
      worker = load.indexOf(Math.min(...load));
      area = 0;
    }
    area += one.zone.areaM2;
    give(one, worker);
  }
  return lists;
}

/** Two piles of work with the time that each takes on the clock. */
interface Halves {
  readonly lists: readonly [readonly Ordered[], readonly Ordered[]];
  readonly seconds: readonly [number, number];
}

/** Zones that change hands: from whoever is longer at it, and perhaps one back. */
interface Exchange {
  readonly give: Ordered;
  readonly take: Ordered | null;
  /** Time of the longer pile afterwards, by the work alone. */
  readonly about: number;
}

/** Times that zones change hands at the most. */
const ROUNDS = 12;
/** So few zones are looked at more closely: with many, waiting for dwells hardly counts, and what looks best by the work alone is. */
const FEW = 12;
/** Exchanges that are looked at closely each time. */
const triesFor = ({ lists: [p, q] }: Halves): number => (p.length + q.length <= FEW ? 16 : 3);
/** A gain that is worth a zone’s changing hands. */
const WORTH = 0.005;

const longer = ({ seconds: [p, q] }: Halves): 0 | 1 => (p >= q ? 0 : 1);

function exchanges(halves: Halves, from: 0 | 1, { a, held }: Clockwork): readonly Exchange[] {
  const { lists, seconds } = halves;
  const to = from === 0 ? 1 : 0;
  const slow = 1 + a.walking;
  const free = (list: readonly Ordered[]): readonly Ordered[] => list.filter(({ zone }) => !held.has(zone.id));
  const takes = [null, ...free(lists[to])].map((take) => ({ take, workS: take ? totalWork(take.option.work) * slow : 0 }));
  const gives = free(lists[from]).map((give) => ({ give, workS: totalWork(give.option.work) * slow }));
  // At best all waiting goes with the zone that is given.
  const waitingS = seconds[from] - lists[from].reduce((sum, { option }) => sum + totalWork(option.work) * slow, 0);
  const most = triesFor(halves);
  const best: Exchange[] = [];
  for (const { give, workS: given } of gives)
    for (const { take, workS: taken } of takes) {
      const about = Math.max(seconds[from] - given + taken, seconds[to] + given - taken);
      if (about - waitingS >= seconds[from] * (1 - WORTH)) continue;
      if (best.length === most && about >= best[most - 1]!.about) continue;
      const at = best.findIndex((other) => other.about > about);
      best.splice(at < 0 ? best.length : at, 0, { give, take, about });
      if (best.length > most) best.pop();
    }
  return best;
}

/** Time of each pile; sections are cut once. */
class Clockwork {
  private readonly pieces: ReadonlyMap<Ordered, readonly Piece[]>;

  constructor(
    readonly ordered: readonly Ordered[],
    readonly a: Assumptions,
    readonly held: Held,
  ) {
    this.pieces = new Map(ordered.map((one) => [one, piecesOf([one], a)]));
  }

  timed(first: readonly Ordered[], second: readonly Ordered[]): Halves {
    const seconds = (list: readonly Ordered[]): number => interleavedS(list.flatMap((one) => this.pieces.get(one)!), this.a);
    return { lists: [first, second], seconds: [seconds(first), seconds(second)] };
  }
}

function exchanged(clockwork: Clockwork, { lists }: Halves, from: 0 | 1, { give, take }: Exchange): Halves {
  const mine = new Set(lists[from]);
  mine.delete(give);
  if (take) mine.add(take);
  const own = clockwork.ordered.filter((one) => mine.has(one));
  const others = clockwork.ordered.filter((one) => !mine.has(one));
  return from === 0 ? clockwork.timed(own, others) : clockwork.timed(others, own);
}

/** The first exchange, of those that look best, after which both are through sooner. */
function oneBetter(clockwork: Clockwork, halves: Halves): Halves | undefined {
  const from = longer(halves);
  for (const exchange of exchanges(halves, from, clockwork)) {
    const next = exchanged(clockwork, halves, from, exchange);
    if (Math.max(...next.seconds) < Math.max(...halves.seconds) * (1 - WORTH)) return next;
  }
  return undefined;
}

/** Zones change hands until both are through at about the same time. */
function evened(clockwork: Clockwork, [first, second]: Lists): Halves {
  let halves = clockwork.timed(first!, second!);
  for (let round = 0; round < ROUNDS; round++) {
    const better = oneBetter(clockwork, halves);
    if (!better) break;
    halves = better;
  }
  return halves;
}

/** One zone to each in turn: a second way to begin where there are few, as changing hands may end at a poor place. */
const inTurn = (ordered: readonly Ordered[], held: Held): Lists =>
  [0, 1].map((worker) => ordered.filter(({ zone }, i) => (held.get(zone.id) ?? i % 2) === worker));

const quicker = (p: Halves, q: Halves): Halves => (Math.max(...q.seconds) < Math.max(...p.seconds) ? q : p);

/**
 * Shares the car out among the workers: in stretches that stay together, and then zone by zone
 * until nobody would be done much sooner for another’s taking one over. What somebody is at stays theirs.
 */
export function sharedOut(ordered: readonly Ordered[], workers: number, a: Assumptions, held: Held): Lists {
  const lists = inStretches(ordered, workers, a, held);
  if (workers !== 2) return lists;
  const clockwork = new Clockwork(ordered, a, held);
  const starts = ordered.length <= FEW ? [lists, inTurn(ordered, held)] : [lists];
  return starts.map((start) => evened(clockwork, start)).reduce(quicker).lists;
}
