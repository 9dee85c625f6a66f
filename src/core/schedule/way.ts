import type { Assumptions } from '../assumptions';
import type { MixPurpose } from '../model';
import { type Pass, type Round, dwells } from '../passes';
import { contactOf, washS } from '../rules';
import { Tank } from './tank';
import { type Act, type Stop, type Timed, type WettingWalk, retimed, wetAhead } from './wet-ahead';

/** What there is one of, and two people would spray with: the tank of a rinse, and the bottle or sprayer of each mix. */
type Sprayer = 'rinse' | MixPurpose;

/** When a sprayer is in somebody’s hand, s. */
export interface InHand {
  readonly sprayer: Sprayer;
  readonly fromS: number;
  readonly toS: number;
}

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

/** What a pass is rinsed and sprayed with, by its worker’s clock. */
function sprayersOf({ pass, comesS, beganS }: Timed, { walkS, heldS }: ToStop): readonly InHand[] {
  const { sprays } = contactOf(pass.pieces[0]!.option.treatment);
  const rinsedS = beganS - pass.work.pretreat - pass.leadS;
  return [
    ...(pass.rinsedAtTurn ? [{ sprayer: 'rinse' as const, fromS: comesS + walkS + heldS, toS: rinsedS }] : []),
    ...(sprays && dwells(pass) ? [{ sprayer: sprays, fromS: beganS, toS: beganS + pass.work.spray }] : []),
  ];
}

/** Where a pass needs a sprayer while the other person has it, by how much it has to wait. */
function clashS(at: number, { timed, toStop }: Way, beginsS: number, busy: readonly InHand[]): number {
  return Math.max(
    0,
    ...sprayersOf(timed[at]!, toStop[at]!).map(({ sprayer, fromS, toS }) => {
      const [from, to] = [beginsS + fromS, beginsS + toS];
      const other = busy.find((one) => one.sprayer === sprayer && one.fromS < to - SAME_S && one.toS > from + SAME_S);
      return other ? other.toS - from : 0;
    }),
  );
}

/** Metres to each pass from the one before it. */
const metresTo = (passes: readonly Pass[], round: Round): readonly number[] =>
  passes.map((pass, i) => (i === 0 ? 0 : round.metres(round.at(passes[i - 1]!), round.at(pass))));

/** Passes as stops; who finishes behind has to keep up. */
const stopsOf = (passes: readonly Pass[], toStop: readonly ToStop[]): readonly Stop[] =>
  passes.map((pass, i): Stop => {
    const { walkS, heldS, refillS } = toStop[i]!;
    const beforeS = i > 0 ? finishBehindS(passes[i - 1]!) : 0;
    const comesS = walkS + heldS + refillS;
    return { pass, walkS: comesS, pauseS: Math.max(pass.wet ? comesS : 0, beforeS - washS(pass.work)) };
  });

/** The way of one worker round the car; a sprayer that the other person has in hand is waited for. */
export function wayOf(
  passes: readonly Pass[],
  beginsS: number,
  round: Round,
  tank: Tank,
  busy: readonly InHand[],
  a: Assumptions,
): Way {
  const metres = metresTo(passes, round);
  const toStop = passes.map((pass, i) => ({
    walkS: metres[i]! / a.walkingSpeed,
    heldS: 0,
    refillS: pass.rinsedAtTurn ? tank.refillS(pass.pieces.map(({ option, of }) => ({ option, share: 1 / of }))) : 0,
  }));
  const walkedM = metres.reduce((sum, one) => sum + one, 0);
  let walk: WettingWalk | undefined;
  for (;;) {
    const stops = stopsOf(passes, toStop);
    // The same turns a little later, as long as nothing dries by that.
    walk = (walk && retimed(stops, walk)) ?? wetAhead(stops);
    const way: Way = { ...walk, stops, toStop, walkedM };
    const held = busy.length === 0 ? -1 : passes.findIndex((_pass, i) => clashS(i, way, beginsS, busy) > 0);
    if (held < 0) return way;
    toStop[held]!.heldS += clashS(held, way, beginsS, busy);
  }
}

/** When one worker has which sprayer in hand. */
export const sprayersIn = ({ timed, toStop }: Way, beginsS: number): readonly InHand[] =>
  timed.flatMap((one, i) =>
    sprayersOf(one, toStop[i]!).map(({ sprayer, fromS, toS }) => ({
      sprayer,
      fromS: beginsS + fromS,
      toS: beginsS + toS,
    })),
  );

/** A way on its own: nobody else has the sprayer, and it is never empty. */
export const alone = (passes: readonly Pass[], round: Round, a: Assumptions): Way =>
  wayOf(passes, 0, round, new Tank(Infinity, a), [], a);
