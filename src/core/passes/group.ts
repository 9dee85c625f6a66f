import type { Assumptions } from '../assumptions';
import { laps } from './lap';
import { type Pass, handS, inWindowS, kindOf, passOf } from './pass';
import type { Piece } from './piece';

const EPSILON = 1e-9;
/** Rather than a pass that is too short, somebody takes another step: so many times the usual length (judged). */
const FURTHER = 1.5;
/** A pass that is too short for one, against one more of them. */
const SHORT = 3;

function fits(pass: Pass, a: Assumptions, further = 1): boolean {
  if (pass.pieces.length === 1) return true;
  const from = Math.min(...pass.pieces.map(({ fromM }) => fromM));
  const to = Math.max(...pass.pieces.map(({ toM }) => toM));
  const steps = new Set(pass.pieces.map(({ zone }) => zone.cleanliness));
  return (
    pass.areaM2 <= a.passArea + EPSILON &&
    to - from <= (a.reachAlong + a.stepAside) * further + EPSILON &&
    Math.max(...steps) - Math.min(...steps) <= 1 &&
    inWindowS(pass) <= pass.windowS + EPSILON
  );
}

/** By how much a pass is too short to be worth one, 0 to 1. */
const shortness = (pass: Pass, a: Assumptions): number => (a.passLeast > 0 ? Math.max(0, 1 - handS(pass) / a.passLeast) : 0);

/** A row of pieces of one kind in as few passes as can be, none too short where that can be helped. */
function inPasses(row: readonly Piece[], a: Assumptions): readonly Pass[] {
  const best: { readonly cost: number; readonly passes: readonly Pass[] }[] = [{ cost: 0, passes: [] }];
  for (let end = 1; end <= row.length; end++) {
    for (let begin = end - 1; begin >= 0; begin--) {
      const pass = passOf(row.slice(begin, end), a);
      if (!fits(pass, a)) break;
      const before = best[begin]!;
      const cost = before.cost + 1 + SHORT * shortness(pass, a) ** 2;
      const known = best[end];
      if (!known || cost < known.cost) best[end] = { cost, passes: [...before.passes, pass] };
    }
  }
  return best[row.length]!.passes;
}

/** From the nose backwards, and from clean to dirty. */
const along = (p: Piece, q: Piece): number => middleCm(p) - middleCm(q) || p.zone.cleanliness - q.zone.cleanliness;
const middleCm = ({ fromM, toM }: Piece): number => Math.round((fromM + toM) * 50);

/** The pass with another one’s pieces, in the later lap, so that no towel has to come back up; undefined where that cannot be. */
function joined(p: Pass, q: Pass, a: Assumptions): Pass | undefined {
  if (kindOf(p.pieces[0]!) !== kindOf(q.pieces[0]!)) return undefined;
  const [first, second] = laps.indexOf(p.lap) <= laps.indexOf(q.lap) ? [p, q] : [q, p];
  const pieces = [...first.pieces, ...second.pieces];
  const both = passOf(first.lap === second.lap ? pieces.sort(along) : pieces, a);
  return fits(both, a, FURTHER) ? { ...both, lap: second.lap } : undefined;
}

/** What is too short for a pass of its own goes to a neighbour at the same place, in the lap before or after. */
function withoutShort(passes: readonly Pass[], a: Assumptions): readonly Pass[] {
  const short = passes.filter((pass) => shortness(pass, a) > 0).sort((p, q) => handS(p) - handS(q));
  for (const one of short) {
    const homes = passes
      .filter((other) => other !== one)
      .flatMap((other) => {
        const both = joined(one, other, a);
        return both ? [{ other, both, far: Math.abs(laps.indexOf(other.lap) - laps.indexOf(one.lap)) }] : [];
      })
      .sort((p, q) => p.far - q.far || p.both.areaM2 - q.both.areaM2);
    const [home] = homes;
    if (home) return withoutShort([...passes.filter((pass) => pass !== one && pass !== home.other), home.both], a);
  }
  return passes;
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
  return withoutShort([...rows.values()].flatMap((row) => inPasses([...row].sort(along), a)), a);
}
