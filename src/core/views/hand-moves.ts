import type { TowelRole } from '../model';
import type { Plan } from '../planning';
import type { UsedSide, UsedTowel } from '../towel';

/** How a towel comes to a pass: fresh from the pile, with its next side up, on the side that is up, or taken up again for something dirtier. */
type HowHeld = 'fresh' | 'turned' | 'same' | 'demoted';

/** A towel in a pass: how it comes to it, its sides in order, and whether it is done after it. */
export interface HandMove {
  /** Number of the towel, and whose it is. */
  readonly towel: number;
  readonly worker: number;
  readonly role: TowelRole;
  readonly how: HowHeld;
  readonly sides: readonly number[];
  readonly done: boolean;
}

const isIn =
  (pass: number) =>
  (side: UsedSide): boolean =>
    side.entries.some((entry) => entry.pass === pass);

/** Side numbers go up while a towel is in a hand; going back, or to another hand, it has been taken up again. */
const isTakenUp = (side: UsedSide, before: UsedSide): boolean =>
  side.number <= before.number || side.slot !== before.slot;

function howHeld(towel: UsedTowel, at: number, pass: number): HowHeld {
  const [side, before] = [towel.sides[at]!, towel.sides[at - 1]];
  if (side.entries[0]!.pass < pass) return 'same';
  if (before) return isTakenUp(side, before) ? 'demoted' : 'turned';
  if (!towel.begun) return 'fresh';
  return towel.demoted ? 'demoted' : 'turned';
}

/** The towels that are in a hand in a pass, in the order in which they come into it. */
export function handMovesIn({ towels }: Pick<Plan, 'towels'>, pass: number): readonly HandMove[] {
  return towels.flatMap((towel): HandMove[] => {
    const own = towel.sides.filter(isIn(pass));
    if (own.length === 0) return [];
    const last = Math.max(...towel.sides.flatMap(({ entries }) => entries.map((entry) => entry.pass)));
    const { number, worker, role } = towel;
    return [
      {
        towel: number,
        worker,
        role,
        how: howHeld(towel, towel.sides.indexOf(own[0]!), pass),
        sides: [...new Set(own.map((side) => side.number))],
        done: last === pass,
      },
    ];
  });
}
