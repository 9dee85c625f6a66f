import type { Assumptions } from '../assumptions';
import type { Pass, Round } from '../passes';
import { washS } from '../rules';
import { Tank } from './tank';
import { type Act, type Stop, type Timed, wetAhead } from './wet-ahead';

/** When a sprayer is in somebody’s hand, s. */
export type Interval = readonly [fromS: number, toS: number];

/** Of the seconds to a stop: walking, waiting for the sprayer, and filling it. */
interface ToStop {
  readonly walkS: number;
  readonly heldS: number;
  readonly refillS: number;
}

/** One person’s passes as stops on the way round, and how they are worked through. */
export interface Way {
  readonly stops: readonly Stop[];
  readonly acts: readonly Act[];
  readonly timed: readonly Timed[];
  readonly toStop: readonly ToStop[];
  readonly walkedM: number;
  readonly seconds: number;
  /** By which passes dry before they are done. */
  readonly lateS: number;
}

/** Seconds of finishing that the other person does behind a pass. */
const finishBehindS = ({ finishing, work }: Pass): number => (finishing === 'behind' ? work.finish : 0);

const SAME_S = 1e-6;

/** Where a rinse at its turn needs the sprayer while the other person has it, by how much that pass has to wait. */
function clashS(at: number, { timed, toStop }: Way, beginsS: number, busy: readonly Interval[]): number {
  const { pass, comesS } = timed[at]!;
  if (!pass.rinsedAtTurn) return 0;
  const { walkS, heldS } = toStop[at]!;
  const fromS = beginsS + comesS + walkS + heldS;
  const untilS = beginsS + timed[at]!.beganS - pass.work.pretreat;
  const other = busy.find(([from, to]) => from < untilS - SAME_S && to > fromS + SAME_S);
  return other ? other[1] - fromS : 0;
}

/** Metres to each pass from the one before it. */
const metresTo = (passes: readonly Pass[], round: Round): readonly number[] =>
  passes.map((pass, i) => (i === 0 ? 0 : round.metres(round.at(passes[i - 1]!), round.at(pass))));

/** Passes as stops; who finishes behind has to keep up. */
const stopsOf = (passes: readonly Pass[], toStop: readonly ToStop[]): readonly Stop[] =>
  passes.map((pass, i): Stop => {
    const { walkS, heldS, refillS } = toStop[i]!;
    const beforeS = i > 0 ? finishBehindS(passes[i - 1]!) : 0;
    return { pass, walkS: walkS + heldS + refillS, pauseS: Math.max(0, beforeS - washS(pass.work)) };
  });

/** The way of one worker round the car; a sprayer that the other person has in hand is waited for. */
export function wayOf(
  passes: readonly Pass[],
  beginsS: number,
  round: Round,
  tank: Tank,
  busy: readonly Interval[],
  a: Assumptions,
): Way {
  const metres = metresTo(passes, round);
  const toStop = passes.map((pass, i) => ({
    walkS: metres[i]! / a.walkingSpeed,
    heldS: 0,
    refillS: pass.rinsedAtTurn ? tank.refillS(pass.pieces.map(({ option, of }) => ({ option, share: 1 / of }))) : 0,
  }));
  const walkedM = metres.reduce((sum, one) => sum + one, 0);
  for (;;) {
    const stops = stopsOf(passes, toStop);
    const way: Way = { ...wetAhead(stops), stops, toStop, walkedM };
    const held = passes.findIndex((_pass, i) => clashS(i, way, beginsS, busy) > 0);
    if (held < 0) return way;
    toStop[held]!.heldS += clashS(held, way, beginsS, busy);
  }
}

/** When one worker has the sprayer for passes that are rinsed at their turn. */
export const sprayerIn = ({ timed, toStop }: Way, beginsS: number): readonly Interval[] =>
  timed.flatMap(({ pass, comesS, beganS }, i): Interval[] =>
    pass.rinsedAtTurn
      ? [[beginsS + comesS + toStop[i]!.walkS + toStop[i]!.heldS, beginsS + beganS - pass.work.pretreat]]
      : [],
  );

/** A way on its own: nobody else has the sprayer, and it is never empty. */
export const alone = (passes: readonly Pass[], round: Round, a: Assumptions): Way =>
  wayOf(passes, 0, round, new Tank(Infinity, a), [], a);
