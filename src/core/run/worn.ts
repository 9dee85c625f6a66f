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

/** How much of a towel of the plan is used up: whole sides, and a share of the one after them. */
interface Gone {
  readonly sides: number;
  readonly partial: number;
}

const fullest = ({ dirtShare, liquidShare, reachShare }: UsedSide): number => Math.min(1, Math.max(dirtShare, liquidShare, reachShare));

function goneFrom(after: UsedTowel, planned: UsedTowel): Gone {
  const touched = after.sides.reduce((last, side, s) => (isTouched(side) ? s + 1 : last), 0);
  const [now, wanted] = [after.sides[touched - 1], planned.sides[touched - 1]];
  // Only the last one touched goes on: one before it was turned away from.
  const partial = now && wanted ? fullest(takesMore(now, wanted) ? now : wanted) : 0;
  return partial < FULL && touched > 0 ? { sides: touched - 1, partial } : { sides: touched, partial: 0 };
}

/** So full is a side that nobody turns to it again. */
const FULL = 0.95;

/** What is gone of each towel of a plan after what was done, and after a turn of events. */
function gone(plan: Plan, progress: Progress, turn: RunEvent | null): readonly Gone[] {
  const after = filled(plan, progress);
  const hand = turn && isWorn(turn) ? inHand(plan, after, progress, turn.role, turn.worker) : undefined;
  return plan.towels.map((towel, t) => {
    const used = goneFrom(after[t]!, towel);
    if (hand?.towel !== towel) return used;
    return { sides: turn?.kind === 'towel-out' ? Infinity : Math.max(used.sides + Number(used.partial > 0), hand.side + 1), partial: 0 };
  });
}

/** What is known of the towels of a job. */
export interface TowelBook {
  readonly batchOf: (towel: UsedTowel) => OpenTowel['batch'] | undefined;
  /** Sides that a towel is good for, dry or wetted. */
  readonly sidesOf: (batch: OpenTowel['batch'], wetted: boolean) => number;
}

/** A towel as it is left; undefined where it was not touched, or nobody knows its make. */
function openedNow(towel: UsedTowel, { sides, partial }: Gone, old: OpenTowel | undefined, { batchOf, sidesOf }: TowelBook): OpenTowel | undefined {
  const batch = old?.batch ?? batchOf(towel);
  if (!batch || (sides === 0 && partial === 0)) return undefined;
  const most = old ? old.left : sidesOf(batch, towel.wetted);
  const used = Math.min(most, sides);
  // A finishing towel that went down to wash is worn out.
  const left = towel.demoted ? 0 : most - used;
  const classes = towel.sides.slice(0, used + Math.ceil(partial)).map(({ cleanliness }) => cleanliness);
  return {
    number: towel.number,
    worker: towel.worker,
    batch,
    used: (old?.used ?? 0) + used,
    left,
    partial: left > 0 ? partial : 0,
    leastClass: Math.max(old?.leastClass ?? 0, ...classes) as OpenTowel['leastClass'],
    wetted: towel.wetted,
  };
}

/**
 * Towels that are open after what was done, with the sides that are left of them. Towels that are
 * used up stay in the list, so that no number comes twice.
 */
export function opened(plan: Plan, progress: Progress, turn: RunEvent | null, book: TowelBook): readonly OpenTowel[] {
  const used = gone(plan, progress, turn);
  const towels = new Map(plan.begun.towels.map((towel) => [`${towel.worker}/${towel.number}`, towel]));
  plan.towels.forEach((towel, t) => {
    const key = `${towel.worker}/${towel.number}`;
    const now = openedNow(towel, used[t]!, towels.get(key), book);
    if (now) towels.set(key, now);
  });
  return [...towels.values()];
}
