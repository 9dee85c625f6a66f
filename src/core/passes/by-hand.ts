import type { Assumptions } from '../assumptions';
import type { PartOfZone, PassChange } from '../model';
import { type Pass, handledAs, passOf } from './pass';

/** Why a change by hand does not hold: no such pass is planned, another place or treatment, a dirtier class before a cleaner one, or something dries. */
export type NotChanged = 'gone' | 'place' | 'class' | 'window';

/** A change by hand that the plan could not follow. */
export interface RefusedChange {
  readonly change: PassChange;
  readonly why: NotChanged;
}

/** Passes of each worker, in order. */
export type Rows = readonly (readonly Pass[])[];

const isPart =
  ({ zone, section, of }: PartOfZone): ((piece: Pass['pieces'][number]) => boolean) =>
  (piece) =>
    piece.zone.id === zone && piece.section === section && piece.of === of;

const passWith = (row: readonly Pass[], part: PartOfZone): Pass | undefined =>
  row.find(({ pieces }) => pieces.some(isPart(part)));

const classes = ({ pieces }: Pass): readonly [number, number] => {
  const all = pieces.map(({ zone }) => zone.cleanliness);
  return [Math.min(...all), Math.max(...all)];
};

/** At most one step dirtier: a towel that comes from it may touch the other. */
const mayPrecede = (first: Pass, then: Pass): boolean => classes(first)[1] <= classes(then)[0] + 1;

function split(row: readonly Pass[], part: PartOfZone, a: Assumptions): readonly Pass[] | NotChanged {
  const pass = passWith(row, part);
  const at = pass?.pieces.findIndex(isPart(part)) ?? 0;
  if (!pass || at === 0) return 'gone';
  const halves = [pass.pieces.slice(0, at), pass.pieces.slice(at)].map((pieces) => ({
    ...passOf(pieces, a),
    lap: pass.lap,
  }));
  return row.flatMap((one) => (one === pass ? halves : [one]));
}

function join(row: readonly Pass[], part: PartOfZone, to: PartOfZone, a: Assumptions): readonly Pass[] | NotChanged {
  const [pass, other] = [passWith(row, part), passWith(row, to)];
  if (!pass || !other || pass === other) return 'gone';
  if (handledAs(pass.pieces[0]!) !== handledAs(other.pieces[0]!)) return 'place';
  const pieces =
    row.indexOf(pass) < row.indexOf(other) ? [...pass.pieces, ...other.pieces] : [...other.pieces, ...pass.pieces];
  const one: Pass = { ...passOf(pieces, a), lap: other.lap };
  const [cleanest, dirtiest] = classes(one);
  return dirtiest - cleanest > 1
    ? 'class'
    : row.flatMap((each) => (each === pass ? [] : each === other ? [one] : [each]));
}

function move(row: readonly Pass[], part: PartOfZone, before: PartOfZone): readonly Pass[] | NotChanged {
  const [pass, next] = [passWith(row, part), passWith(row, before)];
  if (!pass || !next || pass === next) return 'gone';
  const others = row.filter((one) => one !== pass);
  const to = others.indexOf(next);
  const from = row.indexOf(pass);
  const [passed, isAllowed] =
    to < from
      ? [row.slice(to, from), (one: Pass) => mayPrecede(pass, one)]
      : [row.slice(from + 1, to + 1), (one: Pass) => mayPrecede(one, pass)];
  return passed.every(isAllowed) ? [...others.slice(0, to), pass, ...others.slice(to)] : 'class';
}

function changed(row: readonly Pass[], change: PassChange, a: Assumptions): readonly Pass[] | NotChanged {
  switch (change.kind) {
    case 'split':
      return split(row, change.part, a);
    case 'join':
      return join(row, change.part, change.with, a);
    case 'move':
      return move(row, change.part, change.before);
  }
}

/**
 * Passes as somebody has changed them, one change after the other, as far as places, classes and windows allow.
 * @param lateS seconds by which a row of passes dries before it is done
 */
export function byHand(
  rows: Rows,
  changes: readonly PassChange[],
  lateS: (row: readonly Pass[]) => number,
  a: Assumptions,
): { readonly rows: Rows; readonly refused: readonly RefusedChange[] } {
  let now = rows;
  const refused: RefusedChange[] = [];
  for (const change of changes) {
    const worker = now.findIndex((row) => passWith(row, change.part));
    const row = now[worker];
    const next = row ? changed(row, change, a) : 'gone';
    if (typeof next === 'string') refused.push({ change, why: next });
    else if (lateS(next) > lateS(row!)) refused.push({ change, why: 'window' });
    else now = now.map((one, i) => (i === worker ? next : one));
  }
  return { rows: now, refused };
}
