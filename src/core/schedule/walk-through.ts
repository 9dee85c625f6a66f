import type { Assumptions } from '../assumptions';
import type { Pass, Piece, Round } from '../passes';
import { type WorkSeconds, washS } from '../rules';
import type { StepKind } from './crew';
import type { Recorder } from './recorder';
import type { Tank } from './tank';
import { type InHand, alone, sprayersIn, wayOf } from './way';
import type { Timed } from './wet-ahead';

/** Steps of a pass, and what of its work they are. */
const workOf = {
  flush: 'flush',
  pretreat: 'pretreat',
  spray: 'spray',
  'rinse-before': 'rinseBefore',
  wipe: 'wipe',
  'rinse-off': 'rinseOff',
  finish: 'finish',
} as const satisfies Partial<Record<StepKind, keyof WorkSeconds>>;

/** How one worker has got on. */
export interface Walked {
  readonly walkedM: number;
  readonly late: readonly Timed[];
  readonly sprayers: readonly InHand[];
}

/** Puts a worker’s passes on the clock, wetted ahead as far as windows allow; what is finished behind them is done by the other one. */
export function workThrough(
  passes: readonly Pass[],
  worker: number,
  round: Round,
  tank: Tank,
  record: Recorder,
  busy: readonly InHand[],
  a: Assumptions,
): Walked {
  const { crew } = record;
  const beginsS = crew.now(worker);
  const way = wayOf(passes, beginsS, round, tank, busy, a);
  const { acts, timed, stops, toStop } = way;
  const numbers = passes.map((pass) =>
    record.note({
      act: 'wipe',
      lap: pass.lap,
      place: pass.place,
      worker,
      parts: pass.pieces.map(({ zone, section, of }) => ({ zoneId: zone.id, section, of, share: 1 / of })),
      areaM2: pass.areaM2,
      handS:
        pass.work.pretreat + pass.work.spray + washS(pass.work) + (pass.finishing === 'in-pass' ? pass.work.finish : 0),
    }),
  );
  const each = (i: number, kind: keyof typeof workOf): void => {
    for (const { zone, section, work } of passes[i]!.pieces)
      crew.do(worker, { zoneId: zone.id, section, pass: numbers[i]!, kit: null, kind, seconds: work[workOf[kind]] });
  };
  const first = (i: number) => ({
    zoneId: passes[i]!.pieces[0]!.zone.id,
    section: passes[i]!.pieces[0]!.section,
    pass: numbers[i]!,
  });
  const come = (i: number): void => {
    const { walkS, heldS, refillS } = toStop[i]!;
    crew.do(worker, { ...first(i), kind: 'walk', kit: null, seconds: walkS });
    crew.do(worker, { ...first(i), kind: 'wait', kit: null, seconds: heldS });
    crew.do(worker, { ...first(i), kind: 'refill', kit: null, seconds: refillS });
    if (passes[i]!.rinsedAtTurn) each(i, 'flush');
    each(i, 'pretreat');
    crew.do(worker, { ...first(i), kind: 'wait', kit: null, seconds: passes[i]!.leadS });
  };
  const wet = new Set<number>();
  let done = 0;
  for (const { kind, at: i } of acts) {
    const { comesS, startS } = timed[i]!;
    if (kind === 'wet') {
      // What is waited for meanwhile.
      crew.waitUntil(worker, beginsS + comesS, first(done));
      come(i);
      each(i, 'spray');
      wet.add(i);
      continue;
    }
    if (!wet.has(i)) come(i);
    crew.waitUntil(worker, beginsS + startS + stops[i]!.pauseS, first(i));
    each(i, 'rinse-before');
    each(i, 'wipe');
    each(i, 'rinse-off');
    if (passes[i]!.finishing === 'in-pass') each(i, 'finish');
    else if (passes[i]!.finishing === 'behind')
      finishBehind(passes[i]!, 1 - worker, beginsS + timed[i]!.doneS, toStop[i]!.walkS, record);
    done = i + 1;
  }
  return { walkedM: way.walkedM, late: timed.filter(({ lateS }) => lateS > 0), sprayers: sprayersIn(way, beginsS) };
}

/** The other person comes and finishes what has just been lifted; in rain, say, there may be nothing to finish. */
function finishBehind(pass: Pass, worker: number, liftedS: number, walkS: number, record: Recorder): void {
  const { crew } = record;
  const unfinished = ({ option }: Piece): number => option.rest?.unfinished ?? 0;
  // A grille or a mirror may have nothing to finish.
  const pieces = pass.pieces.filter(({ work }) => work.finish > 0);
  const [head] = pieces;
  if (!head) return;
  const number = record.note({
    act: 'dry',
    lap: pass.lap,
    place: pass.place,
    worker,
    // What was lifted before is a part of its own.
    parts: pieces.map((piece) => ({
      zoneId: piece.zone.id,
      section: piece.section,
      of: piece.of + Math.ceil(unfinished(piece)),
      share: (1 - unfinished(piece)) / piece.of,
    })),
    areaM2: pieces.reduce((sum, { areaM2 }) => sum + areaM2, 0),
    handS: pass.work.finish,
  });
  const alone = { zoneId: head.zone.id, section: head.section, pass: number };
  crew.do(worker, {
    ...alone,
    kind: 'walk',
    kit: null,
    seconds: Math.min(walkS, Math.max(0, liftedS - crew.now(worker))),
  });
  crew.waitUntil(worker, liftedS, alone);
  for (const piece of pieces)
    crew.do(worker, {
      zoneId: piece.zone.id,
      section: piece.section,
      pass: number,
      kit: null,
      kind: 'dry',
      seconds: piece.work.finish,
    });
}

/** Seconds by which passes in this order dry before they are done. */
export const dryingS = (passes: readonly Pass[], round: Round, a: Assumptions): number => alone(passes, round, a).lateS;
