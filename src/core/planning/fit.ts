import { type Budget, budgets } from '../reasons';
import type { PlanningContext } from '../rules';
import { towelRoles } from '../model';
import {
  type Capacity,
  type Choice,
  type ChoiceResult,
  type Prepared,
  type Shortage,
  chooseByPaint,
  leastOf,
} from './choose';
import { type Realised, realise } from './realise';

export type Fitted = { readonly ok: true; readonly realised: Realised } | (ChoiceResult & { readonly ok: false });

/** Rounds of tightening; each makes at least one budget smaller. */
const ROUNDS = 6;
/** Rounds between a capacity that is too much and one that is too little. */
const HALVINGS = 2;
const EPS = 1e-6;

type Carry = (choice: Choice) => Realised;

/** Carries choices out on paper: each of them once, since many a budget is tightened and the choice stays what it was. */
export function carrying(context: PlanningContext): Carry {
  const names = new Map<object, number>();
  const nameOf = (option: object): number => {
    const known = names.get(option);
    if (known !== undefined) return known;
    names.set(option, names.size);
    return names.size - 1;
  };
  const known = new Map<string, Realised>();
  return (choice) => {
    const key =
      [...choice.picks].map(([zone, option]) => `${zone}${nameOf(option)}`).join() + choice.kitSet.kits.join();
    const realised = known.get(key) ?? realise(choice, context);
    known.set(key, realised);
    return { ...realised, choice: { ...choice, picks: realised.choice.picks } };
  };
}

/**
 * The choice counts fractions of towels and drops of mix; the real plan opens whole towels, rounds
 * batches up and waits for dwells. Where it then takes more than there is, the budget is tightened
 * by the excess and the choice made again, until the real plan fits. Where that goes too far, it is
 * searched between too much and too little, and last of all the choice that takes least of what is
 * short is tried. A shortage is proved where even the fractions do not fit; else it says that it is not.
 * @param isRough only budgets are tightened: where many are asked about one after the other
 */
export function fit(
  prepared: Prepared,
  have: Capacity,
  context: PlanningContext,
  isRough = false,
  carried = carrying(context),
): Fitted {
  const first = chooseByPaint(prepared, have);
  if (!first.ok) return { ...first, shortages: first.shortages.map((short) => doubted(short, context)) };
  let last = carried(first.choice);
  let capacity: Capacity = have;
  for (let round = 0; round < ROUNDS; round++) {
    const over = exceeded(last, have);
    if (over.length === 0) return { ok: true, realised: last };
    const enough = capacity;
    capacity = tighten(capacity, last, have, over);
    const next = chooseByPaint(prepared, capacity);
    if (!next.ok) return isRough ? refused(last, have) : between(prepared, enough, capacity, have, carried, last);
    last = carried(next.choice);
  }
  if (exceeded(last, have).length === 0) return { ok: true, realised: last };
  return isRough ? refused(last, have) : leastFit(prepared, have, carried, last);
}

/** A side may take a little more than its limit: so much of a shortage of towels is not proved by fractions. */
function doubted(short: Shortage, { a }: PlanningContext): Shortage {
  const isTowels = towelRoles.some((role) => role === short.budget);
  return isTowels && short.need <= short.have * (1 + a.sideOver) ? { ...short, proved: false } : short;
}

/** Tightened too far: something between may fit. */
function between(
  prepared: Prepared,
  enough: Capacity,
  little: Capacity,
  have: Capacity,
  carried: Carry,
  before: Realised,
): Fitted {
  let [more, less, last] = [enough, little, before];
  for (let round = 0; round < HALVINGS; round++) {
    const middle = Object.fromEntries(
      budgets.map((budget) => [
        budget,
        more[budget] === less[budget]
          ? more[budget]
          : (Math.min(more[budget], last.choice.usage[budget]) + less[budget]) / 2,
      ]),
    ) as Record<Budget, number>;
    const next = chooseByPaint(prepared, middle);
    if (!next.ok) {
      less = middle;
      continue;
    }
    last = carried(next.choice);
    if (exceeded(last, have).length === 0) return { ok: true, realised: last };
    more = middle;
  }
  return leastFit(prepared, have, carried, last);
}

/** The choice that takes least of what is short. */
function leastFit(prepared: Prepared, have: Capacity, carried: Carry, before: Realised): Fitted {
  const short = exceeded(before, have);
  const least = leastOf(prepared, have, short);
  if (!least) return refused(before, have);
  const realised = carried(least);
  if (exceeded(realised, have).length === 0) return { ok: true, realised };
  return refused(excess(realised, have) < excess(before, have) ? realised : before, have);
}

/** How dear what is short is made, one after the other, against everything else. */
const DEAR = [3, 30, 300, Infinity] as const;

/**
 * A closer look where a plan was refused for a shortage that is not proved: what is short, and then all that may become
 * short, is made dearer step by step.
 */
export function searchedFit(
  prepared: Prepared,
  have: Capacity,
  carried: Carry,
  refusal: Fitted & { readonly ok: false },
): Fitted {
  const short = refusal.shortages.filter(({ proved }) => !proved).map(({ budget }) => budget);
  if (short.length === 0) return refusal;
  const bounded = budgets.filter((budget) => have[budget] < Number.MAX_VALUE);
  for (const counted of [short, bounded])
    for (const dear of DEAR) {
      const choice = leastOf(prepared, have, counted, dear);
      const realised = choice && carried(choice);
      if (realised && exceeded(realised, have).length === 0) return { ok: true, realised };
    }
  return refusal;
}

const exceeded = ({ takes }: Realised, have: Capacity): readonly Budget[] =>
  budgets.filter((budget) => takes[budget] > have[budget] + EPS);

/** By how much a plan takes too much, in shares of what there is. */
const excess = (realised: Realised, have: Capacity): number =>
  exceeded(realised, have).reduce((sum, budget) => sum + realised.takes[budget] / Math.max(EPS, have[budget]) - 1, 0);

const tighten = (capacity: Capacity, { takes, choice }: Realised, have: Capacity, over: readonly Budget[]): Capacity =>
  over.reduce(
    (next, budget) => ({
      ...next,
      [budget]: Math.min(next[budget], choice.usage[budget]) - (takes[budget] - have[budget]) - EPS,
    }),
    capacity,
  );

const refused = (realised: Realised, have: Capacity): Fitted => ({
  ok: false,
  blocked: [],
  missing: [],
  shortages: exceeded(realised, have).map((budget) => ({
    budget,
    need: realised.takes[budget],
    have: have[budget],
    proved: false,
  })),
});
