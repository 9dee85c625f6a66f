import type { CleanlinessClass, Noted, TowelRole } from '../model';
import type { Plan } from '../planning';
import type { Step } from '../schedule';
import type { OpenTowel, UsedSide, UsedTowel } from '../towel';
import { towelFillAfter } from '../views';
import type { Progress } from './progress';
import { keyOfStep } from './task';

const seconds = (steps: readonly Step[]): number => steps.reduce((sum, { startS, endS }) => sum + endS - startS, 0);

/** Towels of a plan as they are after what was done. */
function filled(plan: Plan, { openKeys }: Progress): readonly UsedTowel[] {
  const over = (steps: readonly Step[]): number => {
    const all = seconds(steps);
    const left = seconds(steps.filter((step) => openKeys.has(keyOfStep(step) ?? '')));
    return all > 0 ? 1 - left / all : 1;
  };
  return towelFillAfter(plan)(over);
}

const isTouched = ({ entries }: UsedSide): boolean => entries.length > 0;

const takesMore = (now: UsedSide, planned: UsedSide): boolean =>
  now.dirtShare < planned.dirtShare - 1e-9 || now.liquidShare < planned.liquidShare - 1e-9;

/** The towel of a role that a person holds: the one for what is done now, or the last one used. */
function inHand(plan: Plan, after: readonly UsedTowel[], { open }: Progress, role: TowelRole, worker: number): UsedTowel | undefined {
  const zones = new Set(open.find((task) => task.worker === worker)?.parts.map(({ zoneId }) => zoneId));
  const own = plan.towels.flatMap((towel, t) =>
    towel.role === role && towel.worker === worker
      ? towel.sides.map((side, s) => ({ towel, more: takesMore(after[t]!.sides[s]!, side), here: side.entries.some(({ zoneId }) => zones.has(zoneId)) }))
      : [],
  );
  const found = own.find(({ more, here }) => more && here) ?? own.find(({ more }) => more) ?? own.at(-1);
  return found?.towel;
}

/** What a turn of events does to the towel in a hand: one side of it, or all of it, is gone. */
type TowelEvent = Extract<Noted, { readonly kind: 'side-full' | 'towel-out' }>;

export const isTowelEvent = (event: Noted): event is TowelEvent => event.kind === 'side-full' || event.kind === 'towel-out';

/** How much of a towel of the plan is used up: whole sides, and a share of the one after them. */
interface Gone {
  readonly sides: number;
  readonly partial: number;
  /** The dirtiest that it has touched. */
  readonly leastClass: CleanlinessClass;
}

const shares = ['dirtShare', 'liquidShare', 'reachShare'] as const;

/** Sides that are filled by now, whole ones and a rest: what is on several sides at once might as well be on fewer. */
function filledSides(after: UsedTowel, planned: UsedTowel, partial: number): number {
  const [first, whole] = [after.sides[0], planned.sides[0]];
  // What was on the first side before the plan stays there, however much of the plan is done.
  const begun = first && whole ? partial * (1 - first.dirtShare / Math.max(whole.dirtShare, EPS)) : partial;
  return Math.max(...shares.map((share) => after.sides.reduce((sum, side) => sum + side[share], 0))) + Math.max(0, begun);
}

const EPS = 1e-9;

/** What is gone of each towel of a plan after what was done, and after a turn of events. */
function gone(plan: Plan, progress: Progress, turn: Noted | null): readonly Gone[] {
  const after = filled(plan, progress);
  const hand = turn && isTowelEvent(turn) ? inHand(plan, after, progress, turn.role, turn.worker) : undefined;
  const classOf = new Map(plan.zones.map(({ zone }) => [zone.id, zone.cleanliness]));
  return plan.towels.map((towel, t) => {
    const classes = after[t]!.sides.flatMap(({ entries }) => entries.map(({ zoneId }) => classOf.get(zoneId) ?? 0));
    const leastClass = Math.max(0, ...classes) as CleanlinessClass;
    const old = plan.begun.towels.find(({ worker, number }) => worker === towel.worker && number === towel.number);
    const touched = after[t]!.sides.some(isTouched);
    const sides = touched ? filledSides(after[t]!, towel, old?.partial ?? 0) : (old?.partial ?? 0);
    const whole = Math.floor(sides + EPS);
    if (hand !== towel) return touched ? { sides: whole, partial: Math.max(0, sides - whole), leastClass } : { sides: 0, partial: 0, leastClass };
    return { sides: turn?.kind === 'towel-out' ? Infinity : whole + 1, partial: 0, leastClass };
  });
}

/** What is known of the towels of a job. */
export interface TowelBook {
  readonly batchOf: (towel: UsedTowel) => OpenTowel['batch'] | undefined;
  /** Sides that a towel is good for, dry or wetted. */
  readonly sidesOf: (batch: OpenTowel['batch'], wetted: boolean) => number;
}

/** A towel as it is left; undefined where it was not touched, or nobody knows its make. */
function openedNow(towel: UsedTowel, { sides, partial, leastClass }: Gone, old: OpenTowel | undefined, { batchOf, sidesOf }: TowelBook): OpenTowel | undefined {
  const batch = old?.batch ?? batchOf(towel);
  if (!batch || (sides === 0 && partial === 0)) return undefined;
  const most = old ? old.left : sidesOf(batch, towel.wetted);
  const used = Math.min(most, sides);
  // A finishing towel that went down to wash is worn out.
  const left = towel.demoted ? 0 : most - used;
  return {
    number: towel.number,
    worker: towel.worker,
    batch,
    used: (old?.used ?? 0) + used,
    left,
    partial: left > 0 ? partial : 0,
    leastClass: Math.max(old?.leastClass ?? 0, leastClass) as CleanlinessClass,
    wetted: towel.wetted,
  };
}

/**
 * Towels that are open after what was done, with the sides that are left of them. Towels that are
 * used up stay in the list, so that no number comes twice.
 */
export function openTowelsNow(plan: Plan, progress: Progress, turn: Noted | null, book: TowelBook): readonly OpenTowel[] {
  const used = gone(plan, progress, turn);
  const towels = new Map(plan.begun.towels.map((towel) => [`${towel.worker}/${towel.number}`, towel]));
  plan.towels.forEach((towel, t) => {
    const key = `${towel.worker}/${towel.number}`;
    const now = openedNow(towel, used[t]!, towels.get(key), book);
    if (now) towels.set(key, now);
  });
  return [...towels.values()];
}
