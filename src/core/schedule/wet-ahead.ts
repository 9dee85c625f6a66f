import { type Pass, dwells, handS } from '../passes';

/** Times of one pass on its worker's clock, s. Where it is not wetted ahead, all of it happens when its turn has come. */
export interface Timed {
  readonly pass: Pass;
  /** Somebody goes there, and it is rinsed, when that is left to its turn. */
  readonly comesS: number;
  /** Wetted from here on; its spots are treated before. */
  readonly beganS: number;
  readonly readyS: number;
  /** Wiped from here on. */
  readonly startS: number;
  readonly doneS: number;
  /** By how much it would have dried before it is done. */
  readonly lateS: number;
}

/** A pass on its way round the car, with the walk that leads to it. */
export interface Stop {
  readonly pass: Pass;
  /** Seconds to come there, with filling a tank on the way. */
  readonly walkS: number;
  /** Seconds before the wipe in which somebody who finishes behind catches up, or comes to what is wet already. */
  readonly pauseS: number;
}

/** Seconds on a pass once it is ready. */
const onPassS = ({ pass, pauseS }: Stop): number => pauseS + handS(pass);

/** What one worker does, in order: wet a pass ahead of its turn, or do the next one. */
export interface Act {
  readonly kind: 'wet' | 'do';
  /** Place in the row. */
  readonly at: number;
}

/** A way through all passes, with the time it takes and the seconds that passes are late in it. */
export interface WettingWalk {
  readonly acts: readonly Act[];
  readonly timed: readonly Timed[];
  readonly seconds: number;
  readonly lateS: number;
}

const EPSILON = 1e-6;

/**
 * A pass is wetted once its turn is so many of its dwells away. One is just in time; more leaves less to
 * wait for where windows are wide, and less room where they are narrow.
 */
const AHEAD = [0, 0.6, 1, 1.3, 1.7, 2.5, 4, Infinity] as const;
/**
 * How late a pass is wetted that would dry if it were wetted now: no later than it must be, just in time
 * for its turn, or with room to wet one more before that; and perhaps work that is ready waits a little for it.
 */
const PAUSES = ['least', 'latest', 'room', 'longer'] as const;
type Pause = (typeof PAUSES)[number];
/** So long work that is ready may wait for a pass to be wetted, s. */
const LONGER_S = 20;
/** A second that a pass is late counts like so many of time. */
const LATE = 1000;

export const weight = ({ seconds, lateS }: Pick<WettingWalk, 'seconds' | 'lateS'>): number => seconds + LATE * lateS;

/** On a pass before it is sprayed or wiped. */
const beforeS = ({ rinsedAtTurn, work, leadS }: Pass): number =>
  (rinsedAtTurn ? work.flush : 0) + work.pretreat + leadS;

/** All seconds on a pass that is not wetted beforehand. */
const dryS = (stop: Stop): number => stop.walkS + beforeS(stop.pass) + stop.pass.softensS + onPassS(stop);

const lateBy = ({ pass, pauseS }: Stop, beganS: number, startS: number): number => {
  const late = startS + pauseS - beganS - pass.startsWithinS;
  return late > 10 * EPSILON ? late : 0;
};

/** A pass that is wet: when it was begun, and when its dwell is over. */
interface Wet {
  readonly comesS: number;
  readonly beganS: number;
  readonly readyS: number;
}

function wetted({ pass, walkS }: Stop, comesS: number): Wet {
  const beganS = comesS + walkS + beforeS(pass);
  return { comesS, beganS, readyS: beganS + Math.max(pass.softensS, pass.work.spray + pass.dwellS) };
}

/** A pass that was wet before the first act: its dwell goes on. */
const wetBefore = ({ pass: { wet, dwellS, softensS } }: Stop): Wet | undefined =>
  wet
    ? { comesS: wet.startS, beganS: wet.startS, readyS: Math.max(wet.startS + softensS, wet.endS + dwellS) }
    : undefined;

const wetEndS = ({ pass }: Stop, { beganS }: Wet): number => beganS + pass.work.spray;

/** One worker's passes, walked through by one rule for when to wet. */
class Walk {
  private clock = 0;
  private readonly wet: (Wet | undefined)[];
  private done = 0;
  /** Places of the passes that dwell, in order, and how many of them are wetted. */
  private readonly wetAt: readonly number[];
  private wettedCount = 0;
  private wetM2: number;
  private lateS = 0;
  private readonly acts: Act[] = [];
  private readonly timed: Timed[] = [];

  constructor(
    private readonly stops: readonly Stop[],
    private readonly ahead: number,
    private readonly pause: Pause,
  ) {
    this.wetAt = stops.flatMap(({ pass }, i) => (dwells(pass) ? [i] : []));
    this.wet = stops.map(wetBefore);
    this.wetM2 = stops.reduce((sum, { pass }, i) => sum + (this.wet[i] ? pass.areaM2 : 0), 0);
  }

  walk(): WettingWalk {
    while (this.done < this.stops.length) {
      const pauseS = this.mayWetIn();
      if (pauseS === undefined) this.serve();
      else this.wetNext(pauseS);
    }
    return { acts: this.acts, timed: this.timed, seconds: this.clock, lateS: this.lateS };
  }

  /** Seconds after which the next pass may be wetted; undefined while it may not. */
  private mayWetIn(): number | undefined {
    const at = this.wetAt[this.wettedCount];
    if (at === undefined) return undefined;
    // Its turn has come: it is wetted in any case. Before that, only if nothing dries for it.
    if (at === this.done) return 0;
    const stop = this.stops[at]!;
    const waitingM2 = this.wetM2 - (this.wet[this.done] ? this.stops[this.done]!.pass.areaM2 : 0);
    // One pass may always wait while another is worked on, unless it may not be wetted ahead at all.
    const mayWait = stop.pass.aheadM2 > 0 && (waitingM2 < EPSILON || waitingM2 + stop.pass.areaM2 <= stop.pass.aheadM2);
    if (!mayWait || !this.isDue(stop, at)) return undefined;
    const lateS = this.lateIn(stop, at, 0);
    if (lateS === 0) return 0;
    const { work } = stop.pass;
    const idleS = (this.wet[this.done]?.readyS ?? 0) - this.clock - stop.walkS - beforeS(stop.pass) - work.spray;
    const pauseS = Math.max(lateS + EPSILON, Math.min(idleS, this.wishedS(stop, at)));
    const mostS = Math.max(0, idleS) + (this.pause === 'longer' ? LONGER_S : 0);
    return pauseS <= mostS && this.lateIn(stop, at, pauseS) === 0 ? pauseS : undefined;
  }

  /** Its turn is near enough; or there is nothing to do but wait. */
  private isDue({ pass }: Stop, at: number): boolean {
    const own = this.wet[this.done];
    if (this.ahead === Infinity || (own && own.readyS > this.clock)) return true;
    const until = this.clock + this.ahead * (pass.work.spray + pass.dwellS);
    let now = this.clock;
    for (let i = this.done; i < at && now <= until; i++) now = this.after(i, now);
    return now <= until;
  }

  /** When a pass is done that is begun at this time. */
  private after(i: number, now: number): number {
    const [stop, wet] = [this.stops[i]!, this.wet[i]];
    return wet ? Math.max(wet.readyS, now) + onPassS(stop) : now + dryS(stop);
  }

  /** Seconds by which this pass would be late, were it wetted after a pause and all that is wet done in turn; Infinity where another one would dry for it. */
  private lateIn(stop: Stop, at: number, pauseS: number): number {
    const own = wetted(stop, this.clock + pauseS);
    let now = wetEndS(stop, own);
    let lateS = 0;
    for (let i = this.done; i <= at; i++) {
      const [next, wet] = [this.stops[i]!, i === at ? own : this.wet[i]];
      const startS = Math.max(now, wet?.readyS ?? 0);
      now = wet ? startS + onPassS(next) : now + dryS(next);
      if (wet) lateS = lateBy(next, wet.beganS, startS);
      if (lateS > 0 && i < at) return Infinity;
    }
    return lateS;
  }

  /** Seconds that a pass would be ready before its turn, were it wetted now, and room for the next. */
  private wishedS({ pass, walkS }: Stop, at: number): number {
    if (this.pause === 'least' || this.pause === 'longer') return 0;
    let now = this.clock;
    for (let i = this.done; i < at; i++) now = this.after(i, now);
    const next = this.pause === 'room' ? (this.stops[this.wetAt[this.wettedCount + 1] ?? -1]?.pass.work.spray ?? 0) : 0;
    return now + next - this.clock - walkS - beforeS(pass) - pass.work.spray - pass.dwellS;
  }

  private wetNext(pauseS: number): void {
    const at = this.wetAt[this.wettedCount++]!;
    const stop = this.stops[at]!;
    const own = wetted(stop, this.clock + pauseS);
    this.wet[at] = own;
    this.clock = wetEndS(stop, own);
    this.wetM2 += stop.pass.areaM2;
    this.acts.push({ kind: 'wet', at });
  }

  private serve(): void {
    const i = this.done++;
    const stop = this.stops[i]!;
    const { pass } = stop;
    const wet = this.wet[i];
    this.acts.push({ kind: 'do', at: i });
    if (!wet) {
      const beganS = this.clock + stop.walkS + beforeS(pass);
      const startS = beganS + pass.softensS;
      this.timed[i] = {
        pass,
        comesS: this.clock,
        beganS,
        readyS: startS,
        startS,
        doneS: startS + onPassS(stop),
        lateS: 0,
      };
      this.clock = startS + onPassS(stop);
      return;
    }
    const startS = Math.max(this.clock, wet.readyS);
    this.clock = startS + onPassS(stop);
    const lateS = lateBy(stop, wet.beganS, startS);
    this.timed[i] = { pass, ...wet, startS, doneS: this.clock, lateS };
    this.wetM2 -= pass.areaM2;
    this.lateS += lateS;
  }
}

/** Rounds of putting off; each puts off at least one pass. */
const MOST_PUT_OFF = 12;

/**
 * The times of a way, each pass wetted as soon as it can be without drying before it is done.
 * @returns undefined where something dries all the same
 */
function timedBy(stops: readonly Stop[], acts: readonly Act[]): WettingWalk | undefined {
  const leastS = stops.map(() => 0);
  for (let round = 0; round < MOST_PUT_OFF; round++) {
    let [clock, isLate] = [0, false];
    const wet = stops.map(wetBefore);
    const timed: Timed[] = [];
    for (const { kind, at } of acts) {
      const stop = stops[at]!;
      const { pass, walkS } = stop;
      if (kind === 'wet') {
        const own = wetted(stop, Math.max(clock, leastS[at]!));
        wet[at] = own;
        clock = wetEndS(stop, own);
        continue;
      }
      const own = wet[at];
      const beganS = own?.beganS ?? clock + walkS + beforeS(pass);
      const startS = own ? Math.max(clock, own.readyS) : beganS + pass.softensS;
      timed[at] = {
        pass,
        comesS: own?.comesS ?? clock,
        beganS,
        readyS: own?.readyS ?? startS,
        startS,
        doneS: startS + onPassS(stop),
        lateS: 0,
      };
      clock = startS + onPassS(stop);
      const lateS = own ? lateBy(stop, beganS, startS) : 0;
      // What was wet before cannot be wetted later.
      if (lateS > 0 && pass.wet) return undefined;
      if (lateS > 0) [leastS[at], isLate] = [own!.comesS + lateS, true];
    }
    if (!isLate) return { acts, timed, seconds: clock, lateS: 0 };
  }
  return undefined;
}

/** The same turns with other seconds to each stop; undefined where something would dry for it. */
export const retimed = (stops: readonly Stop[], { acts, lateS }: WettingWalk): WettingWalk | undefined =>
  lateS > 0 ? undefined : timedBy(stops, acts);

/** No more is wet beside the pass that is next than may be. */
function isWithinArea(stops: readonly Stop[], acts: readonly Act[]): boolean {
  const wet = new Set(stops.flatMap(({ pass }, i) => (pass.wet ? [i] : [])));
  let done = 0;
  for (const { kind, at } of acts) {
    if (kind === 'do') {
      done = at + 1;
      wet.delete(at);
      continue;
    }
    const waitingM2 = [...wet].reduce((sum, i) => sum + (i === done ? 0 : stops[i]!.pass.areaM2), 0);
    const { areaM2, aheadM2 } = stops[at]!.pass;
    if (at !== done && !(aheadM2 > 0 && (waitingM2 < EPSILON || waitingM2 + areaM2 <= aheadM2))) return false;
    wet.add(at);
  }
  return true;
}

/** Passes are wetted and done in their order, and nothing is done before it is wet. */
function isInOrder(stops: readonly Stop[], acts: readonly Act[]): boolean {
  let [wet, done] = [-1, -1];
  for (const { kind, at } of acts) {
    if (kind === 'wet' ? at <= wet : at <= done || (dwells(stops[at]!.pass) && at > wet)) return false;
    if (kind === 'wet') wet = at;
    else done = at;
  }
  return true;
}

/** Less is not worth another way, s. */
export const WORTH_S = 0.5;

/** Ways that are looked at more closely, the quickest first. */
const STARTS = 2;

/** How many places a wetting is moved at a time; with it perhaps the next one by a place. */
const MOVES = [-1, 1, -2, 2, -3, 3] as const;
const NEXT = [0, -1, 1] as const;

/** One act so many places further on, or back. */
function moved(acts: readonly Act[], from: number, by: number): readonly Act[] {
  const others = acts.filter((_one, k) => k !== from);
  return [...others.slice(0, from + by), acts[from]!, ...others.slice(from + by)];
}

/** A way that differs in when one pass is wetted, or two that follow each other. */
function* neighbours(acts: readonly Act[]): Generator<readonly Act[]> {
  for (const next of NEXT)
    for (let i = 0; i < acts.length; i++) {
      if (acts[i]!.kind !== 'wet') continue;
      for (const by of MOVES) {
        if (i + by < 0 || i + by >= acts.length) continue;
        const one = moved(acts, i, by);
        if (next === 0) yield one;
        const after = one.findIndex(({ kind, at }) => kind === 'wet' && at > acts[i]!.at);
        if (next !== 0 && after >= 0 && after + next < acts.length) yield moved(one, after, next);
      }
    }
}

/** Passes are wetted a little sooner or later as long as that gets through sooner. */
function improved(stops: readonly Stop[], first: WettingWalk): WettingWalk {
  let best = (first.lateS > 0 ? undefined : timedBy(stops, first.acts)) ?? first;
  for (let found: WettingWalk | undefined = best; found;) {
    found = undefined;
    for (const acts of neighbours(best.acts)) {
      const other = isInOrder(stops, acts) && isWithinArea(stops, acts) ? timedBy(stops, acts) : undefined;
      if (!other || weight(other) >= weight(best) - WORTH_S) continue;
      [best, found] = [other, other];
      break;
    }
  }
  return best;
}

/**
 * The way in which one worker gets through a row of passes, none drying before it is done where that can be: they are
 * done in their order, and each is wetted ahead of its turn as far as area and windows allow. Of a few rules for
 * how far ahead, those that are through first are looked at more closely, wetting by wetting.
 */
export function wetAhead(stops: readonly Stop[]): WettingWalk {
  const just = new Walk(stops, AHEAD[0], 'least').walk();
  if (!stops.some(({ pass }) => dwells(pass))) return just;
  // Without any waiting nothing is quicker.
  const leastS = stops.reduce(
    (sum, stop) => sum + (stop.pass.wet ? 0 : stop.walkS + beforeS(stop.pass) + stop.pass.work.spray) + onPassS(stop),
    0,
  );
  const isLeast = (walk: WettingWalk): boolean => weight(walk) <= leastS + WORTH_S;
  if (isLeast(just)) return just;
  const walks = AHEAD.slice(1).flatMap((ahead) => PAUSES.map((pause) => new Walk(stops, ahead, pause).walk()));
  const distinct = new Map(
    [just, ...walks].map((walk) => [walk.acts.map(({ kind, at }) => `${kind}${at}`).join(), walk]),
  );
  const starts = [...distinct.values()].sort((p, q) => weight(p) - weight(q)).slice(0, STARTS);
  if (isLeast(starts[0]!)) return starts[0]!;
  return starts.map((walk) => improved(stops, walk)).reduce((p, q) => (weight(q) < weight(p) - EPSILON ? q : p));
}
