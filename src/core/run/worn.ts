import type { RunEvent, TowelRole } from '../model';
import { filledBy } from '../plan/filling';
import type { Plan } from '../plan/plan';
import type { Step } from '../schedule';
import type { OpenTowel, UsedSide, UsedTowel } from '../towel';
import type { Progress } from './progress';
import { keyOfStep, taskKey } from './task';

const seconds = (steps: readonly Step[]): number => steps.reduce((sum, { startS, endS }) => sum + endS - startS, 0);

/** Towels of a plan as they are after what was done. */
function filled(plan: Plan, { open }: Progress): readonly UsedTowel[] {
  const waiting = new Set(open.map(taskKey));
  const over = (steps: readonly Step[]): number => {
    const all = seconds(steps);
    const left = seconds(steps.filter((step) => waiting.has(keyOfStep(step) ?? '')));
    return all > 0 ? 1 - left / all : 1;
  };
  return filledBy(plan)(over);
}

const isTouched = ({ entries }: UsedSide): boolean => entries.length > 0;

const takesMore = (now: UsedSide, planned: UsedSide): boolean =>
  now.dirtShare < planned.dirtShare - 1e-9 || now.liquidShare < planned.liquidShare - 1e-9;

/** A towel that somebody works with, and its place among the sides that the plan has of it. */
interface InHand {
  readonly towel: UsedTowel;
  readonly side: number;
}

/** The towel of a role that a person holds: the one for what is done now, or the last one used. */
function inHand(plan: Plan, after: readonly UsedTowel[], { open }: Progress, role: TowelRole, worker: number): InHand | undefined {
  const zone = open.find((task) => task.worker === worker)?.zoneId;
  const own = plan.towels.flatMap((towel, t) =>
    towel.role === role && towel.worker === worker
      ? towel.sides.map((side, s) => ({ towel, side: s, more: takesMore(after[t]!.sides[s]!, side), here: side.entries.some(({ zoneId }) => zoneId === zone) }))
      : [],
  );
  return own.find(({ more, here }) => more && here) ?? own.find(({ more }) => more) ?? own.at(-1);
}

/** What a turn of events does to the towel in a hand: one side of it, or all of it, is gone. */
type Worn = Extract<RunEvent, { readonly kind: 'side-full' | 'towel-out' }>;

export const isWorn = (event: RunEvent): event is Worn => event.kind === 'side-full' || event.kind === 'towel-out';

/** Sides of each towel of the plan that are gone, counted from the first. */
function gone(plan: Plan, progress: Progress, turn: RunEvent | null): readonly number[] {
  const after = filled(plan, progress);
  const hand = turn && isWorn(turn) ? inHand(plan, after, progress, turn.role, turn.worker) : undefined;
  return plan.towels.map((towel, t) => {
    const touched = after[t]!.sides.reduce((last, side, s) => (isTouched(side) ? s + 1 : last), 0);
    if (hand?.towel !== towel) return touched;
    return turn?.kind === 'towel-out' ? Infinity : Math.max(touched, hand.side + 1);
  });
}

/**
 * Towels that are open after what was done, with the sides that are left of them; a side that was
 * begun counts as used. Towels that are used up stay in the list, so that no number comes twice.
 * @param usable sides that a towel is good for, dry or wetted
 */
export function opened(plan: Plan, progress: Progress, turn: RunEvent | null, usable: (towel: OpenTowel['batch'], wetted: boolean) => number, batchOf: (towel: UsedTowel) => OpenTowel['batch'] | undefined): readonly OpenTowel[] {
  const sides = gone(plan, progress, turn);
  const before = new Map(plan.begun.towels.map((towel) => [`${towel.worker}/${towel.number}`, towel]));
  plan.towels.forEach((towel, t) => {
    const [batch, key] = [batchOf(towel), `${towel.worker}/${towel.number}`];
    const old = before.get(key);
    if (sides[t] === 0 || !batch) return;
    const most = old ? old.left : usable(batch, towel.wetted);
    const used = Math.min(most, sides[t]!);
    const classes = towel.sides.slice(0, used).map(({ cleanliness }) => cleanliness);
    before.set(key, {
      number: towel.number,
      worker: towel.worker,
      batch,
      used: (old?.used ?? 0) + used,
      // A finishing towel that went down to wash is worn out.
      left: towel.demoted ? 0 : most - used,
      leastClass: Math.max(old?.leastClass ?? 0, ...classes) as OpenTowel['leastClass'],
      wetted: towel.wetted,
    });
  });
  return [...before.values()];
}
