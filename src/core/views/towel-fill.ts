import type { Plan } from '../planning';
import type { Step, StepKind } from '../schedule';
import type { SideEntry, SideUse, UsedSide, UsedTowel } from '../towel';

/** Steps in which a side takes something up. */
const takenIn: Readonly<Record<SideUse, readonly StepKind[]>> = {
  wash: ['wipe'],
  // Whoever finishes behind another dries; so does who finishes the whole body at the end.
  finish: ['finish', 'dry', 'glass'],
  drying: ['finish', 'dry'],
  protect: ['protect'],
};

/** Which share of some steps of a zone is over. */
type Over = (steps: readonly Step[]) => number;

/** By the clock. */
function overAt(steps: readonly Step[], seconds: number): number {
  const all = steps.reduce((sum, { startS, endS }) => sum + endS - startS, 0);
  const past = steps.reduce((sum, { startS, endS }) => sum + Math.min(endS, Math.max(startS, seconds)) - startS, 0);
  return all > 0 ? past / all : Number((steps[0]?.endS ?? 0) <= seconds);
}

/** An entry with the share of its zone’s wiping in that pass that it is, and that others have done before it. */
interface Turn {
  readonly entry: SideEntry;
  readonly before: number;
  readonly own: number;
  readonly steps: readonly Step[];
}

const share = ({ before, own, steps }: Turn, over: Over): number =>
  Math.min(1, Math.max(0, (over(steps) - before) / own));

const partOf = (turns: readonly Turn[], over: Over, of: (entry: SideEntry) => number): number => {
  const all = turns.reduce((sum, { entry }) => sum + of(entry), 0);
  return all > 0 ? turns.reduce((sum, turn) => sum + of(turn.entry) * share(turn, over), 0) / all : 0;
};

function sideAt(side: UsedSide, turns: readonly Turn[], over: Over): UsedSide {
  const [dirt, liquid] = [partOf(turns, over, ({ dirtG }) => dirtG), partOf(turns, over, ({ liquidMl }) => liquidMl)];
  return {
    ...side,
    dirtShare: side.dirtShare * dirt,
    liquidShare: side.liquidShare * liquid,
    reachShare: side.reachShare * dirt,
    entries: turns.filter((turn) => share(turn, over) > 1e-9).map(({ entry }) => entry),
  };
}

/**
 * How full every towel side is when so much of the work is over: what its zones have given up by
 * then, side after side as they are dealt out. At the end it is the plan's own ledger.
 */
export function towelFillAfter({ towels, timeline }: Plan): (over: Over) => readonly UsedTowel[] {
  const stepsOf = ({ zoneId, pass }: SideEntry, use: SideUse): readonly Step[] => {
    const own = timeline.steps.filter((step) => step.pass === pass && step.zoneId === zoneId);
    const taken = own.filter(({ kind }) => takenIn[use].includes(kind));
    return taken.length > 0 ? taken : own.filter(({ kind }) => kind === 'wipe');
  };
  const keyOf = ({ zoneId, pass }: SideEntry, { use }: UsedSide): string =>
    `${zoneId}/${pass}/${use === 'wash'}/${use === 'protect'}`;
  const all = new Map<string, number>();
  const sides = towels.flatMap((towel) => towel.sides);
  for (const side of sides)
    for (const entry of side.entries) all.set(keyOf(entry, side), (all.get(keyOf(entry, side)) ?? 0) + entry.share);
  const given = new Map<string, number>();
  const turns = new Map(
    sides.map((side): [UsedSide, readonly Turn[]] => [
      side,
      side.entries.map((entry): Turn => {
        const key = keyOf(entry, side);
        const [before, own] = [given.get(key) ?? 0, entry.share / all.get(key)!];
        given.set(key, before + own);
        return { entry, before, own, steps: stepsOf(entry, side.use) };
      }),
    ]),
  );
  return (over) =>
    towels.map((towel) => ({ ...towel, sides: towel.sides.map((side) => sideAt(side, turns.get(side)!, over)) }));
}

/** How full every side is at a moment of the plan. */
export function towelFillAt(plan: Plan): (seconds: number) => readonly UsedTowel[] {
  const filled = towelFillAfter(plan);
  return (seconds) => filled((steps) => overAt(steps, seconds));
}
