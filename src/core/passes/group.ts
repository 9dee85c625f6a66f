import { cleanlinessOf } from '../model';
import type { Assumptions } from '../assumptions';
import { washS } from '../rules';
import { type Lap, lapAt, laps } from './lap';
import { type Pass, finishingOf, handledAs, keepsUp, kindOf, passOf, startsWithinS } from './pass';
import type { Piece } from './piece';

const EPSILON = 1e-9;
/** Rather than a pass that is too short, somebody takes another step: so many times the usual length (judged). */
const FURTHER = 1.5;
/** A pass that is too short for one, against one more of them. */
const SHORT = 3;
/** So much upper panel may go with a lower one, m²: a mirror, no bonnet (judged). */
const TAKEN_ALONG_M2 = 0.2;

/** What decides whether pieces may be one pass, and what that is worth: added up piece by piece. */
interface Span {
  readonly count: number;
  readonly areaM2: number;
  readonly fromM: number;
  readonly toM: number;
  readonly cleanest: number;
  readonly dirtiest: number;
  readonly uppers: number;
  readonly uppersM2: number;
  readonly isEnd: boolean;
  readonly handS: number;
  readonly sprayS: number;
  readonly dwellS: number;
  readonly windowS: number;
  readonly washSides: number;
}

type Growing = { -readonly [K in keyof Span]: Span[K] };

const nothing = (): Growing => ({
  count: 0,
  areaM2: 0,
  fromM: Infinity,
  toM: -Infinity,
  cleanest: Infinity,
  dirtiest: -Infinity,
  uppers: 0,
  uppersM2: 0,
  isEnd: false,
  handS: 0,
  sprayS: 0,
  dwellS: 0,
  windowS: Infinity,
  washSides: 0,
});

/** In place: rows are spanned from every piece to every other, and this is done for each step. */
function grow(span: Growing, { areaM2, fromM, toM, zone: { cleanliness }, lap, work, option }: Piece): Growing {
  const handS = washS(work) + (option.finishing === 'body' ? 0 : work.finish);
  span.count += 1;
  span.areaM2 += areaM2;
  span.fromM = Math.min(span.fromM, fromM);
  span.toM = Math.max(span.toM, toM);
  span.cleanest = Math.min(span.cleanest, cleanliness);
  span.dirtiest = Math.max(span.dirtiest, cleanliness);
  if (cleanliness <= cleanlinessOf.uppers) {
    span.uppers += 1;
    span.uppersM2 += areaM2;
  }
  span.isEnd ||= lap === 'ends';
  span.handS += handS;
  span.sprayS += work.spray;
  span.dwellS = Math.max(span.dwellS, option.dwellS);
  span.windowS = Math.min(span.windowS, option.drying.windowS, option.drying.lastS, option.wipeWithinS);
  span.washSides += option.washSides / option.sections;
  return span;
}

const spanOf = (pieces: readonly Piece[]): Span => pieces.reduce(grow, nothing());

/** Upper panels keep to themselves, but for small ones and at nose and tail, which are done whole. */
const keepsUppersClean = ({ uppers, count, isEnd, uppersM2 }: Span): boolean =>
  uppers === 0 || uppers === count || isEnd || uppersM2 <= TAKEN_ALONG_M2;

/** All is wiped, and then all is finished: what is sprayed before waits for all of it, and so does what the hand lays. */
function staysWet({ dwellS, sprayS, windowS }: Span, pieces: () => readonly Piece[]): boolean {
  if (windowS === Infinity) return true;
  const all = pieces();
  const finishing = finishingOf(all);
  return (
    keepsUp(all, finishing) && (dwellS + sprayS === 0 || dwellS + sprayS <= startsWithinS(all, finishing) + EPSILON)
  );
}

/** @param pieces of the span; asked for last, since most of them are cut out of a row in vain */
const fits = (span: Span, pieces: () => readonly Piece[], a: Assumptions, further: number): boolean =>
  span.count === 1 ||
  (span.areaM2 <= a.passArea + EPSILON &&
    span.toM - span.fromM <= (a.reachAlong + a.stepAside) * further + EPSILON &&
    span.dirtiest - span.cleanest <= 1 &&
    keepsUppersClean(span) &&
    staysWet(span, pieces));

/** By how much a pass is too short to be worth one, 0 to 1. */
const shortness = ({ handS }: Pick<Span, 'handS'>, a: Assumptions): number =>
  a.passLeast > 0 ? Math.max(0, 1 - handS / a.passLeast) : 0;

/** On glass and upper paint the next pass begins on a fresh side: what is left of the last one is lost. A lost side against one more pass. */
const LOST_SIDE = 0.1;

const lostSides = ({ uppers, count, washSides }: Span): number =>
  uppers < count ? 0 : Math.ceil(washSides - EPSILON) - washSides;

const costOf = (span: Span, a: Assumptions): number =>
  1 + SHORT * shortness(span, a) ** 2 + LOST_SIDE * lostSides(span);

/** Pieces of one pass, and what all of them together cost. */
interface Cut {
  readonly parts: readonly (readonly Piece[])[];
  readonly cost: number;
}

/** A row of pieces of one kind in as few passes as can be, none too short where that can be helped; undefined where a pass cannot be. */
function inPasses(row: readonly Piece[], a: Assumptions, further = 1): Cut | undefined {
  const best: ({ readonly cost: number; readonly begin: number } | undefined)[] = [{ cost: 0, begin: 0 }];
  for (let end = 1; end <= row.length; end++) {
    const span = nothing();
    for (let begin = end - 1; begin >= 0; begin--) {
      grow(span, row[begin]!);
      if (!fits(span, () => row.slice(begin, end), a, further)) break;
      const before = best[begin];
      if (!before) continue;
      const cost = before.cost + costOf(span, a);
      const known = best[end];
      if (!known || cost < known.cost) best[end] = { cost, begin };
    }
  }
  const last = best[row.length];
  if (!last) return undefined;
  const parts: (readonly Piece[])[] = [];
  for (let end = row.length; end > 0; end = best[end]!.begin) parts.unshift(row.slice(best[end]!.begin, end));
  return { parts, cost: last.cost };
}

/** From the nose backwards, and from clean to dirty. */
const along = (p: Piece, q: Piece): number => middleCm(p) - middleCm(q) || p.zone.cleanliness - q.zone.cleanliness;
const middleCm = ({ fromM, toM }: Piece): number => Math.round((fromM + toM) * 50);

/** Pieces that are a pass for now. */
interface Group {
  /** Names it among all of a car. */
  readonly id: number;
  readonly pieces: readonly Piece[];
  readonly lap: Lap;
  readonly span: Span;
  readonly handled: string;
  readonly kind: string;
}

/** In the latest lap of its pieces, so that no towel has to come back up. */
function groupOf(pieces: readonly Piece[], id: number): Group {
  const lap = laps[Math.max(...pieces.map((piece) => lapAt[piece.lap]))]!;
  return { id, pieces, lap, span: spanOf(pieces), handled: handledAs(pieces[0]!), kind: kindOf(pieces[0]!) };
}

/** All pieces of some groups shared out anew: two one after the other, more of them along the car. */
function sharedAnew(groups: readonly Group[], a: Assumptions): Cut | undefined {
  const inOrder = [...groups].sort((p, q) => lapAt[p.lap] - lapAt[q.lap]).flatMap(({ pieces }) => pieces);
  const isOneLap = new Set(groups.map(({ lap }) => lap)).size === 1;
  return inPasses(groups.length > 2 || isOneLap ? inOrder.sort(along) : inOrder, a, FURTHER);
}

/** Another way to have the pieces of a pass that is too short: with one neighbour that is handled alike, or shared out among all of its kind that lie beside it in a lap. */
function* otherWays(short: Group, groups: readonly Group[]): Generator<readonly Group[]> {
  const beside = groups.filter((other) => other !== short && other.handled === short.handled);
  for (const other of beside) yield [short, other];
  const alike = beside.filter(({ kind }) => kind === short.kind);
  for (const lap of laps) {
    const own = alike.filter((other) => other.lap === lap || other.lap === short.lap);
    if (own.length > 1 && own.some((other) => other.lap === lap)) yield [short, ...own];
  }
}

/** Groups shared out anew, by their ids: after each that went to its neighbours nearly all of the others are asked about again. */
type Tried = Map<string, Cut | undefined>;

function triedAnew(set: readonly Group[], a: Assumptions, tried: Tried): Cut | undefined {
  const key = set.map(({ id }) => id).join();
  if (!tried.has(key)) tried.set(key, sharedAnew(set, a));
  return tried.get(key);
}

/** What is too short for a pass of its own goes to neighbours at the same place, those of its lap or the next ones first. */
function withoutShort(groups: readonly Group[], a: Assumptions, tried: Tried = new Map()): readonly Group[] {
  const fresh = Math.max(0, ...groups.map(({ id }) => id)) + 1;
  const short = groups.filter(({ span }) => shortness(span, a) > 0).sort((p, q) => p.span.handS - q.span.handS);
  for (const one of short) {
    const far = (set: readonly Group[]): number =>
      Math.max(...set.map(({ lap }) => Math.abs(lapAt[lap] - lapAt[one.lap])));
    const ways = [...otherWays(one, groups)]
      .flatMap((set) => {
        const anew = triedAnew(set, a, tried);
        const saves = anew ? set.reduce((sum, { span }) => sum + costOf(span, a), 0) - anew.cost : 0;
        return anew && saves > EPSILON ? [{ set, anew, saves, far: far(set) }] : [];
      })
      .sort((p, q) => p.far - q.far || p.set.length - q.set.length || q.saves - p.saves);
    const [best] = ways;
    if (best)
      return withoutShort(
        [
          ...groups.filter((group) => !best.set.includes(group)),
          ...best.anew.parts.map((pieces, i) => groupOf(pieces, fresh + i)),
        ],
        a,
        tried,
      );
  }
  return groups;
}

/** All passes of a car, in no particular order: pieces of one lap, place and kind that lie beside each other. */
export function passesOf(pieces: readonly Piece[], a: Assumptions): readonly Pass[] {
  const rows = new Map<string, Piece[]>();
  for (const piece of pieces) {
    const key = `${piece.lap}/${kindOf(piece)}`;
    const row = rows.get(key);
    if (row) row.push(piece);
    else rows.set(key, [piece]);
  }
  // One piece alone always makes a pass.
  const groups = [...rows.values()].flatMap((row) => inPasses([...row].sort(along), a)?.parts ?? []).map(groupOf);
  return withoutShort(groups, a).map(({ pieces: own, lap }) => ({ ...passOf(own, a), lap }));
}
