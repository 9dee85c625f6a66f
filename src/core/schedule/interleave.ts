import type { Assumptions } from '../assumptions';
import { type Contact, partsOf } from '../model';
import { spotDwellS } from '../rules';
import type { Piece } from './piece';

/** How much is wetted ahead of the wipe, so that it dwells while the neighbour is worked on. */
function aheadM2(contact: Contact, a: Assumptions): number {
  switch (contact) {
    case 'waterless':
      return a.sprayAhead;
    case 'foam':
      return a.foamAhead;
    case 'presoak-rinseless':
      return a.presoakAhead;
    case 'rinseless':
      return 0;
  }
}

/** In frost a flush is not left to freeze: the section is flushed when its turn has come. */
export const atItsTurn = ({ option }: Pick<Piece, 'option'>): boolean => option.work.flush > 0 && option.drying.freezeS !== null;

/** Sprayed beforehand, and then it dwells. */
export const dwells = ({ option }: Pick<Piece, 'option'>): boolean => option.work.spray > 0;

/** Seconds of wiping, and of finishing unless the whole body is dried later. */
const handS = ({ work, option }: Piece): number => work.wipe + (option.driedLater ? 0 : work.finish);

/** Until spots are soft, from when their liquid is on them. */
export const softensS = ({ option, section }: Piece): number => (section === 1 ? spotDwellS(option.spots) : 0);

const flushS = (piece: Piece): number => (atItsTurn(piece) ? piece.work.flush : 0);

/** All seconds on a section that is not wetted beforehand. */
const dryS = (piece: Piece): number => flushS(piece) + piece.work.pretreat + softensS(piece) + handS(piece);

/** A section that is wet: when its dwell is over, by when it has to be done. */
export interface Wet {
  readonly readyS: number;
  readonly dueS: number;
}

/** Wetted from this time on, its spots treated before. */
export const wetting = (piece: Piece, beganS: number): Wet => {
  const { option, work } = piece;
  return {
    readyS: Math.max(beganS + softensS(piece), beganS + work.spray + option.dwellS),
    dueS: beganS + option.drying.windowS,
  };
};

const HAIR = 1e-6;

/** By how much a section is not done in time. */
export const lateBy = ({ option }: Piece, { dueS }: Wet, startS: number, doneS: number): number => {
  const late = (option.drying.layered ? startS : doneS) - dueS;
  return late > 10 * HAIR ? late : 0;
};

/**
 * What a worker does next: wet the next section that dwells, or do the next section. Where there is
 * nothing to do but wait, a section may be wetted a little later than it could, so that it lasts.
 */
export interface Turn {
  readonly kind: 'wet' | 'do';
  /** Seconds to wait before it is wetted. */
  readonly pauseS: number;
}

/** A way through all sections, with the time it takes and the seconds that sections are late in it. */
interface Walk {
  readonly turns: readonly Turn[];
  readonly seconds: number;
  readonly lateS: number;
}

/**
 * A section is wetted once its turn is so many of its dwells away. One is just in time; more leaves
 * less to wait for where windows are wide, and less room where they are narrow.
 */
const AHEAD = [0, 0.6, 1, 1.3, 1.7, 2.5, 4, Infinity] as const;
/**
 * How late a section is wetted that would dry if it were wetted now: no later than it must be, just
 * in time for its turn, or with room to wet one more before that.
 */
type Pause = 'least' | 'latest' | 'room';
/** A second that a section is late counts like so many of time. */
const LATE = 1000;

const weight = ({ seconds, lateS }: Walk): number => seconds + LATE * lateS;

/** What the walks ask of a row of sections, side by side: they ask often. */
interface Row {
  readonly pieces: readonly Piece[];
  /** Places of the sections that dwell, in order. */
  readonly wetAt: readonly number[];
  readonly dwells: readonly boolean[];
  /** Seconds once its turn has come: by hand where it is wet, all of it where it is not wetted. */
  readonly ownS: Float64Array;
  /** Area that may be wet together with it. */
  readonly roomM2: Float64Array;
}

const rowOf = (pieces: readonly Piece[], a: Assumptions): Row => ({
  pieces,
  wetAt: pieces.flatMap((piece, i) => (dwells(piece) ? [i] : [])),
  dwells: pieces.map(dwells),
  ownS: Float64Array.from(pieces, (piece) => (dwells(piece) ? handS(piece) : dryS(piece))),
  roomM2: Float64Array.from(pieces, (piece) => (atItsTurn(piece) ? 0 : aheadM2(partsOf(piece.option.treatment).contact, a))),
});

/** One worker's sections, walked through by one rule for when to wet. */
class Interleaving {
  private clock = 0;
  /** By place: what is wet. */
  private readonly wet: Wet[] = [];
  /** Sections done, and sections that dwell wetted. */
  private done = 0;
  private wetted = 0;
  private wetM2 = 0;
  private lateS = 0;
  private readonly turns: Turn[] = [];

  constructor(
    private readonly row: Row,
    private readonly ahead: number,
    private readonly pause: Pause,
  ) {}

  walk(): Walk {
    const { length } = this.row.pieces;
    while (this.done < length) {
      const pauseS = this.mayWetIn();
      if (pauseS === undefined) this.serve();
      else this.moisten(pauseS);
      this.turns.push({ kind: pauseS === undefined ? 'do' : 'wet', pauseS: pauseS ?? 0 });
    }
    return { turns: this.turns, seconds: this.clock, lateS: this.lateS };
  }

  /** Seconds after which the next section may be wetted; undefined while it may not. */
  private mayWetIn(): number | undefined {
    const at = this.row.wetAt[this.wetted];
    if (at === undefined) return undefined;
    // Its turn has come: it is wetted in any case. Before that, only if nothing dries for it.
    if (at === this.done) return 0;
    const piece = this.row.pieces[at]!;
    if (this.wetM2 + piece.areaM2 > this.row.roomM2[at]! || !this.isDue(piece, at)) return undefined;
    const lateS = this.lateIn(piece, at, 0);
    if (lateS === 0) return 0;
    const idleS = (this.wet[this.done]?.readyS ?? 0) - this.clock - piece.work.pretreat - piece.work.spray;
    const pauseS = Math.max(lateS + HAIR, Math.min(idleS, this.wishedS(piece, at)));
    return pauseS <= idleS && this.lateIn(piece, at, pauseS) === 0 ? pauseS : undefined;
  }

  /** Its turn is near enough; or there is nothing to do but wait. */
  private isDue({ work, option }: Piece, at: number): boolean {
    const own = this.wet[this.done];
    if (this.ahead === Infinity || (own && own.readyS > this.clock)) return true;
    const until = this.clock + this.ahead * (work.spray + option.dwellS);
    let now = this.clock;
    for (let i = this.done; i < at && now <= until; i++) now = this.after(i, now);
    return now <= until;
  }

  /** When a section is done that is begun at this time. */
  private after(i: number, now: number): number {
    const wet = this.wet[i];
    return (wet && wet.readyS > now ? wet.readyS : now) + this.row.ownS[i]!;
  }

  /**
   * Seconds by which this section would be late, were it wetted after a pause and all that is wet
   * done in turn; Infinity where another one would dry for it.
   */
  private lateIn(piece: Piece, at: number, pauseS: number): number {
    const { pieces, dwells: dwelling } = this.row;
    const beganS = this.clock + pauseS + piece.work.pretreat;
    const wet = wetting(piece, beganS);
    let now = beganS + piece.work.spray;
    let lateS = 0;
    for (let i = this.done; i <= at; i++) {
      const own = i === at ? wet : this.wet[i];
      const startS = Math.max(now, own?.readyS ?? 0);
      now = startS + this.row.ownS[i]!;
      if (dwelling[i]) lateS = lateBy(pieces[i]!, own!, startS, now);
      if (lateS > 0 && i < at) return Infinity;
    }
    return lateS;
  }

  /** Seconds that a section would be ready before its turn, were it wetted now, and room for the next. */
  private wishedS({ work, option }: Piece, at: number): number {
    if (this.pause === 'least') return 0;
    let now = this.clock;
    for (let i = this.done; i < at; i++) now = this.after(i, now);
    const next = this.pause === 'room' ? (this.row.pieces[this.row.wetAt[this.wetted + 1] ?? -1]?.work.spray ?? 0) : 0;
    return now + next - this.clock - work.pretreat - work.spray - option.dwellS;
  }

  private moisten(pauseS: number): void {
    const at = this.row.wetAt[this.wetted++]!;
    const piece = this.row.pieces[at]!;
    const beganS = this.clock + pauseS + flushS(piece) + piece.work.pretreat;
    this.clock = beganS + piece.work.spray;
    this.wet[at] = wetting(piece, beganS);
    this.wetM2 += piece.areaM2;
  }

  private serve(): void {
    const i = this.done++;
    const wet = this.wet[i];
    const startS = Math.max(this.clock, wet?.readyS ?? 0);
    this.clock = this.after(i, this.clock);
    if (!wet) return;
    const piece = this.row.pieces[i]!;
    this.wetM2 -= piece.areaM2;
    this.lateS += lateBy(piece, wet, startS, this.clock);
  }
}

function bestWalk(pieces: readonly Piece[], a: Assumptions): Walk {
  const row = rowOf(pieces, a);
  let best = new Interleaving(row, AHEAD[0], 'least').walk();
  if (row.wetAt.length === 0) return best;
  const better = (walk: Walk): void => {
    if (weight(walk) < weight(best) - HAIR) best = walk;
  };
  for (const ahead of AHEAD.slice(1)) {
    const walk = new Interleaving(row, ahead, 'least').walk();
    better(walk);
    if (walk.turns.some(({ pauseS }) => pauseS > 0))
      for (const pause of ['latest', 'room'] as const) better(new Interleaving(row, ahead, pause).walk());
  }
  return best;
}

/**
 * The turns in which one worker gets through a row of sections, none drying before it is done where
 * that can be: sections are done in their order, and each is wetted ahead of its turn as far as area
 * and windows allow. Of a few rules for how far ahead, the one that is through first.
 */
export const interleaved = (pieces: readonly Piece[], a: Assumptions): readonly Turn[] => bestWalk(pieces, a).turns;

/** Seconds of that way; a second that a section is late counts a thousandfold. */
export const interleavedS = (pieces: readonly Piece[], a: Assumptions): number => weight(bestWalk(pieces, a));
