import type { Assumptions } from '../assumptions';
import { partsOf } from '../model';
import {
  type Finishing,
  type Sprayed,
  type StandingPlace,
  type WorkSeconds,
  spotDwellS,
  washS,
  contactOf,
} from '../rules';
import type { Lap } from './lap';
import type { Piece } from './piece';

/** One go by one person at one place: wetted, left to dwell, lifted or washed, finished or dried. */
export interface Pass {
  readonly lap: Lap;
  readonly place: StandingPlace;
  /** In the order of the hand. */
  readonly pieces: readonly Piece[];
  readonly areaM2: number;
  /** Seconds with folding and fetching in them. */
  readonly work: WorkSeconds;
  readonly dwellS: number;
  /** Between what comes first, rinse and spots, and the spray or the hand: a mist cools so long, and spots soften that outlast the film. */
  readonly leadS: number;
  /** Until spots are soft, from the spray on. */
  readonly softensS: number;
  /** The wipe begins no later than this after wetting, so that no piece dries before it is done; Infinity where all stays wet. */
  readonly startsWithinS: number;
  readonly finishing: Finishing;
  /** In frost a rinse is not left to freeze, nor a mist or steam to dry: it comes when the pass is due. */
  readonly rinsedAtTurn: boolean;
  /** From the first to the last spray on its pieces, before the plan begins; null where they are not wet. */
  readonly wet: Sprayed | null;
  /** Area that may be wet together with it. */
  readonly aheadM2: number;
}

const kinds = [
  'flush',
  'pretreat',
  'spray',
  'rinseBefore',
  'wipe',
  'rinseOff',
  'finish',
  'glass',
  'protect',
] as const satisfies readonly (keyof WorkSeconds)[];

const together = (pieces: readonly Piece[]): WorkSeconds =>
  Object.fromEntries(kinds.map((kind) => [kind, pieces.reduce((sum, { work }) => sum + work[kind], 0)])) as Record<
    keyof WorkSeconds,
    number
  >;

/** What is left to be rinsed when its turn comes. */
export const rinsedAtTurn = ({ option }: Pick<Piece, 'option'>): boolean => option.atTurn && option.work.flush > 0;

/** What cannot be in one pass: another place, what is wet and what is not, another contact, other towels, a rinse of its own. */
export const handledAs = ({ place, holder, wet, option }: Piece): string =>
  [place, holder, wet !== null, partsOf(option.treatment).contact, option.medium, rinsedAtTurn({ option })].join('/');

/** What is not in one pass unless it would be too short alone: glass has its own towels. */
export const kindOf = (piece: Piece): string => `${handledAs(piece)}/${piece.zone.surface === 'glass'}`;

/** All pieces are wiped in the order of the hand, and then finished, unless that is left to the end. */
const finishedAt = (finishing: Finishing, wipedS: number, allWipedS: number, finishedS: number): number =>
  finishing === 'body' ? wipedS : allWipedS + finishedS;

/** When each piece is sprayed, wiped and finished, counted from the first spray and from the first wipe. */
function* timesIn(pieces: readonly Piece[], finishing: Finishing) {
  const allWipedS = pieces.reduce((sum, { work }) => sum + washS(work), 0);
  let [sprayedS, wipedS, finishedS] = [0, 0, 0];
  for (const { work, option, wet } of pieces) {
    const wipesS = wipedS;
    wipedS += washS(work);
    finishedS += work.finish;
    yield { option, work, wet, sprayedS, wipesS, endsS: finishedAt(finishing, wipedS, allWipedS, finishedS) };
    sprayedS += work.spray;
  }
}

/**
 * Seconds after wetting begins within which the wipe has to begin. A piece is wet from its own spray on; it has to be
 * finished within its window or, where the wipe lays a new film, wiped from within it; and the hand comes before the
 * film is too thin for the dirt.
 * @param pieces of one pass, in the order of the hand
 */
export function startsWithinS(pieces: readonly Piece[], finishing: Finishing): number {
  let leastS = Infinity;
  for (const { option, work, sprayedS, wipesS, endsS } of timesIn(pieces, finishing)) {
    const { drying, wipeWithinS } = option;
    leastS = Math.min(
      leastS,
      sprayedS + drying.windowS - (drying.layered ? wipesS : endsS),
      sprayedS + wipeWithinS - wipesS + (work.spray - work.wipe) / 2,
    );
  }
  return leastS;
}

/** What the hand lays on each piece lasts until a towel has finished it. */
export function keepsUp(pieces: readonly Piece[], finishing: Finishing): boolean {
  if (finishing === 'body') return true;
  for (const { option, work, wet, wipesS, endsS } of timesIn(pieces, finishing)) {
    const lays = option.drying.layered || (work.spray === 0 && wet === null);
    if (lays && endsS - wipesS > option.drying.lastS + 1e-9) return false;
  }
  return true;
}

/**
 * Seconds between rinse and spots and what comes next: a mist or steam cools, and what softens longer than the film
 * lasts begins before it.
 */
function leadOf(pieces: readonly Piece[], { pretreat, spray }: WorkSeconds, spotsS: number, withinS: number): number {
  let [afterS, beforeS, leadS] = [pieces.reduce((sum, { work }) => sum + work.flush, 0), 0, 0];
  for (const { work, option } of pieces) {
    afterS -= work.flush;
    leadS = Math.max(leadS, option.settleS - afterS - pretreat - beforeS);
    beforeS += spray > 0 ? work.spray : washS(work);
  }
  return Math.max(leadS, spray > 0 ? spotsS - Math.max(0, withinS) : spotsS);
}

/** What has nothing to finish goes with the others. */
export const finishingOf = (pieces: readonly Piece[]): Finishing =>
  pieces.map(({ option }) => option.finishing).find((one) => one !== 'in-pass') ?? 'in-pass';

function sprayedBefore(pieces: readonly Piece[]): Sprayed | null {
  const times = pieces.flatMap(({ wet }) => wet ?? []);
  if (times.length === 0) return null;
  return { startS: Math.min(...times.map((one) => one.startS)), endS: Math.max(...times.map((one) => one.endS)) };
}

/** @param pieces of one kind, at least one */
export function passOf(pieces: readonly Piece[], a: Assumptions): Pass {
  const [first] = pieces as readonly [Piece, ...Piece[]];
  const options = pieces.map(({ option }) => option);
  const finishing = finishingOf(pieces);
  const atTurn = pieces.some(rinsedAtTurn);
  const work = together(pieces);
  const withinS = startsWithinS(pieces, finishing);
  const spotsS = Math.max(
    ...options.map(({ spots, bugs, cleaner }) => Math.max(spotDwellS(spots), bugs?.dwellS ?? 0, cleaner?.dwellS ?? 0)),
  );
  const wet = sprayedBefore(pieces);
  const leadS = wet ? 0 : leadOf(pieces, work, spotsS, withinS);
  return {
    lap: first.lap,
    place: first.place,
    pieces,
    areaM2: pieces.reduce((sum, piece) => sum + piece.areaM2, 0),
    work,
    dwellS: Math.max(...options.map(({ dwellS }) => dwellS)),
    leadS,
    softensS: Math.max(0, spotsS - leadS),
    startsWithinS: withinS,
    finishing,
    rinsedAtTurn: atTurn,
    wet,
    aheadM2: atTurn ? 0 : contactOf(first.option.treatment).aheadM2(a),
  };
}

/** Sprayed beforehand, and then it dwells. */
export const dwells = ({ work }: Pick<Pass, 'work'>): boolean => work.spray > 0;

/** Seconds of wiping, and of finishing where that is done in the pass. */
export const handS = ({ work, finishing }: Pick<Pass, 'work' | 'finishing'>): number =>
  washS(work) + (finishing === 'in-pass' ? work.finish : 0);
