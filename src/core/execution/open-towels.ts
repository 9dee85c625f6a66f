import type { CleanlinessClass, Noted, TowelRole } from '../model';
import type { Plan } from '../planning';
import type { Step } from '../schedule';
import { type OpenTowel, type Slot, type UsedSide, type UsedTowel, WETTED_SIDES } from '../towel';
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
function inHand(
  plan: Plan,
  after: readonly UsedTowel[],
  { open }: Progress,
  role: TowelRole,
  worker: number,
): UsedTowel | undefined {
  const zones = new Set(open.find((task) => task.worker === worker)?.parts.map(({ zoneId }) => zoneId));
  const own = plan.towels.flatMap((towel, t) =>
    towel.role === role && towel.worker === worker
      ? towel.sides.map((side, s) => ({
          towel,
          more: takesMore(after[t]!.sides[s]!, side),
          here: side.entries.some(({ zoneId }) => zones.has(zoneId)),
        }))
      : [],
  );
  const found = own.find(({ more, here }) => more && here) ?? own.find(({ more }) => more) ?? own.at(-1);
  return found?.towel;
}

/** What a turn of events does to the towel in a hand: one side of it, or all of it, is gone. */
type TowelEvent = Extract<Noted, { readonly kind: 'side-full' | 'towel-out' }>;

const isTowelEvent = (event: Noted): event is TowelEvent => event.kind === 'side-full' || event.kind === 'towel-out';

/** How far a towel of the plan is used up. */
interface Gone {
  /** Sides that have served, with those from before the plan. */
  readonly used: number;
  /** Share of the next one that is filled. */
  readonly partial: number;
  /** The dirtiest that it has touched. */
  readonly leastClass: CleanlinessClass;
  /** Taken up again with soiled sides: worn out. */
  readonly worn: boolean;
  /** The last of its sides that was up. */
  readonly last: number;
  /** What it was last in a hand for, and in which pass. */
  readonly slot: Slot;
  readonly pass: number;
}

const FULL = 1 - 1e-9;
const fullest = ({ dirtShare, liquidShare, reachShare }: UsedSide): number =>
  Math.max(dirtShare, liquidShare, reachShare);

/** A towel of a plan as far as it was used; undefined where it was not touched. */
function goneOf(after: UsedTowel): Gone | undefined {
  const touched = after.sides.filter(isTouched);
  const last = touched.at(-1);
  if (!last) return undefined;
  const isFull = fullest(last) >= FULL;
  return {
    used: isFull ? last.number : last.number - 1,
    partial: isFull ? 0 : fullest(last),
    leastClass: Math.max(
      ...touched.flatMap(({ entries }) => entries.map(({ cleanliness }) => cleanliness)),
    ) as CleanlinessClass,
    worn: touched.some(({ number }) => number > last.number),
    last: Math.max(...touched.map(({ number }) => number)),
    slot: last.slot,
    pass: Math.max(...last.entries.map(({ pass }) => pass)),
  };
}

/** What is known of the towels of a job. */
export interface TowelBook {
  readonly batchOf: (towel: UsedTowel) => OpenTowel['batch'] | undefined;
  /** Sides that a towel is good for, dry or wetted. */
  readonly sidesOf: (batch: OpenTowel['batch'], wetted: boolean) => number;
}

/** A side more is gone, or all of them. */
function afterEvent(gone: Gone | undefined, event: TowelEvent, towel: UsedTowel): Gone {
  const first = towel.sides[0]!;
  const { used, ...rest } = gone ?? {
    used: first.number - 1,
    leastClass: 0 as const,
    worn: false,
    last: 0,
    slot: first.slot,
    pass: 0,
  };
  return { ...rest, used: event.kind === 'towel-out' ? Infinity : used + 1, partial: 0 };
}

/** A towel as it is left; undefined where nobody knows its make. */
function openedNow(
  towel: UsedTowel,
  gone: Gone,
  old: OpenTowel | undefined,
  { batchOf, sidesOf }: TowelBook,
): OpenTowel | undefined {
  const batch = old?.batch ?? batchOf(towel);
  if (!batch) return undefined;
  const sides = old ? old.used + old.left : sidesOf(batch, towel.wetted);
  const used = gone.worn ? sides : Math.min(sides, gone.used);
  return {
    number: towel.number,
    worker: towel.worker,
    batch,
    used,
    left: sides - used,
    partial: used < sides ? gone.partial : 0,
    leastClass: Math.max(old?.leastClass ?? 0, gone.leastClass) as CleanlinessClass,
    wetted: towel.wetted,
    rewet: (old?.rewet ?? false) || (towel.wetted && gone.last > WETTED_SIDES),
    slot: gone.slot,
  };
}

/** In each hand is the towel that was used last; what it was before is put down. */
function inHands(towels: readonly { readonly towel: OpenTowel; readonly pass: number }[]): readonly OpenTowel[] {
  const last = new Map<string, OpenTowel>();
  for (const { towel } of [...towels].sort((p, q) => p.pass - q.pass))
    if (towel.slot) last.set(`${towel.worker}/${towel.slot}`, towel);
  return towels.map(({ towel }) =>
    towel.slot && last.get(`${towel.worker}/${towel.slot}`) !== towel ? { ...towel, slot: null } : towel,
  );
}

/**
 * Towels that are open after what was done, with the sides that are left of them. Towels that are
 * used up stay in the list, so that no number comes twice.
 */
export function openTowelsNow(
  plan: Plan,
  progress: Progress,
  turn: Noted | null,
  book: TowelBook,
): readonly OpenTowel[] {
  const after = filled(plan, progress);
  const event = turn && isTowelEvent(turn) ? turn : undefined;
  const hand = event && inHand(plan, after, progress, event.role, event.worker);
  const towels = new Map(plan.begun.towels.map((towel) => [`${towel.worker}/${towel.number}`, { towel, pass: 0 }]));
  plan.towels.forEach((towel, t) => {
    const key = `${towel.worker}/${towel.number}`;
    const gone = goneOf(after[t]!);
    const now = event && hand === towel ? afterEvent(gone, event, towel) : gone;
    const opened = now && openedNow(towel, now, towels.get(key)?.towel, book);
    if (opened) towels.set(key, { towel: opened, pass: now.pass });
  });
  return inHands([...towels.values()]);
}
