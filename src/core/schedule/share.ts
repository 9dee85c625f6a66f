import type { Assumptions } from '../assumptions';
import type { PairWay } from '../model';
import { type Pass, type Piece, type Round, type Rows, laps, passesOf } from '../passes';
import { washS } from '../rules';
import { soonest } from './soonest';

const workOf = ({ work }: Pass): number => work.pretreat + work.spray + washS(work) + work.finish;

/** One side is so much longer than the other before passes change hands. */
const UNEVEN = 1.15;

/** Pieces of a pass have one holder, or none. */
const holderOf = ({ pieces }: Pass): number | null => pieces[0]!.holder;

/** How two people share a car: each a side, or one the wheels and the other all else, which takes fewer towels. */
export const sharings = ['sides', 'wheels'] as const;
export type Sharing = (typeof sharings)[number];

const isWheels = ({ lap }: Pass): boolean => lap === 'wheels-first' || lap === 'wheels-last';

/**
 * Shares passes out between two people: each a side of the car, nose and tail to whoever has less. Only where one side
 * is much more work do passes change hands, as few as will do. What somebody is at stays theirs.
 */
function sharedOut(passes: readonly Pass[], workers: number, sharing: Sharing): readonly (readonly Pass[])[] {
  if (workers < 2) return [passes];
  if (sharing === 'wheels')
    return [0, 1].map((worker) => passes.filter((pass) => (holderOf(pass) ?? Number(isWheels(pass))) === worker));
  const load = [0, 0];
  const owner = new Map<Pass, number>();
  const give = (pass: Pass, to: number): void => {
    owner.set(pass, to);
    load[to]! += workOf(pass);
  };
  for (const pass of passes) {
    const holder = holderOf(pass);
    if (holder !== null) give(pass, holder);
    else if (pass.place === 'left' || pass.place === 'right') give(pass, pass.place === 'left' ? 0 : 1);
  }
  for (const pass of passes) if (!owner.has(pass)) give(pass, load[0]! <= load[1]! ? 0 : 1);
  for (const _round of passes) {
    const from = load[0]! >= load[1]! ? 0 : 1;
    const [more, less] = [load[from]!, load[1 - from]!];
    if (more <= less * UNEVEN) break;
    const free = passes.filter((pass) => owner.get(pass) === from && holderOf(pass) === null);
    const after = (pass: Pass): number => Math.max(more - workOf(pass), less + workOf(pass));
    const best = free.reduce<Pass | undefined>((p, q) => (p && after(p) <= after(q) ? p : q), undefined);
    if (!best || after(best) >= more - 1e-9) break;
    owner.set(best, 1 - from);
    load[from]! -= workOf(best);
    load[1 - from]! += workOf(best);
  }
  return [0, 1].map((worker) => passes.filter((pass) => owner.get(pass) === worker));
}

const inLaps = (rows: Rows, round: Round, a: Assumptions): Rows =>
  rows.map((row) => (row.length > 0 ? soonest(round.inLaps(row), round, a) : row));

/** Wheels and door shuts have nothing to finish: both do their share of them. */
const isShared = ({ lap, work }: Pass): boolean =>
  work.finish === 0 && ['wheels-first', 'shuts', 'wheels-last'].includes(lap);

/** One wets and lifts all that is finished, the other finishes it; wheels and shuts are shared out before and after. */
function liftAndFinish(passes: readonly Pass[], round: Round, a: Assumptions): readonly Rows[] {
  const shared = (of: readonly Pass[]): Rows => inLaps(sharedOut(of, 2, 'sides'), round, a);
  const rest = passes.filter(isShared);
  return [
    shared(rest.filter(({ lap }) => lap === 'wheels-first')),
    inLaps([passes.filter((pass) => !isShared(pass)), []], round, a),
    shared(rest.filter(({ lap }) => lap !== 'wheels-first')),
  ];
}

/** Each a half of every panel; what is not cut goes to whoever has less by then. */
function halvesOf(pieces: readonly Piece[]): readonly (readonly Piece[])[] {
  const load = [0, 0];
  const owned = pieces.map((piece) => {
    const half = piece.of % 2 === 0 ? Number(piece.section > piece.of / 2) : Number(load[1]! < load[0]!);
    const owner = piece.holder ?? half;
    load[owner]! += washS(piece.work) + piece.work.finish;
    return { piece, owner };
  });
  return [0, 1].map((worker) => owned.flatMap(({ piece, owner }) => (owner === worker ? [piece] : [])));
}

/** Both go round the car the way of the first. */
function onOnePanel(pieces: readonly Piece[], round: Round, a: Assumptions): readonly Rows[] {
  const [first, second] = halvesOf(pieces).map((own) => passesOf(own, a));
  const [row] = inLaps([first!], round, a);
  const turn = new Map(row!.flatMap((pass, i) => pass.pieces.map(({ zone }) => [zone.id, i] as const)));
  const turnOf = (pass: Pass): number => Math.min(...pass.pieces.map(({ zone }) => turn.get(zone.id) ?? Infinity));
  const [alone] = inLaps([second!], round, a);
  const inTurn = [...alone!].sort(
    (p, q) =>
      laps.indexOf(p.lap) - laps.indexOf(q.lap) || Math.min(turnOf(p), row!.length) - Math.min(turnOf(q), row!.length),
  );
  return [[row!, inTurn]];
}

/**
 * All passes in the rows of one or two people, in the order in which they go round the car. Rows that stand together are
 * worked at the same time; whoever is done waits for the other before the next ones.
 */
export function stagesOf(
  pieces: readonly Piece[],
  workers: number,
  pair: PairWay,
  sharing: Sharing,
  round: Round,
  a: Assumptions,
): readonly Rows[] {
  if (workers === 2 && pair === 'one-panel') return onOnePanel(pieces, round, a);
  const passes = passesOf(pieces, a);
  if (workers === 2 && pair === 'lift-finish') return liftAndFinish(passes, round, a);
  return [inLaps(sharedOut(passes, workers, sharing), round, a)];
}
