import { type Budget, budgets } from '../reasons';
import type { PlanningContext } from '../rules';
import { type Capacity, type ChoiceResult, type Prepared, choose } from './choose';
import { type Realised, realise } from './realise';

export type Fitted =
  | { readonly ok: true; readonly realised: Realised }
  | (ChoiceResult & { readonly ok: false });

/** Rounds of tightening; each makes at least one budget smaller. */
const ROUNDS = 6;
const EPS = 1e-6;

/**
 * The choice counts fractions of towels and drops of mix; the real plan opens whole towels, rounds
 * batches up and waits for dwells. Where it then takes more than there is, the budget is tightened
 * by the excess and the choice made again, until the real plan fits or nothing does.
 */
export function fit(prepared: Prepared, have: Capacity, context: PlanningContext): Fitted {
  let capacity: Capacity = have;
  let last: Realised | undefined;
  for (let round = 0; round < ROUNDS; round++) {
    const result = choose(prepared, capacity);
    if (!result.ok) return last ? refused(last, have) : result;
    last = realise(result.choice, context);
    const over = exceeded(last, have);
    if (over.length === 0) return { ok: true, realised: last };
    capacity = tighten(capacity, last, have, over);
  }
  return refused(last!, have);
}

const exceeded = ({ takes }: Realised, have: Capacity): readonly Budget[] =>
  budgets.filter((budget) => takes[budget] > have[budget] + EPS);

const tighten = (
  capacity: Capacity,
  { takes, choice }: Realised,
  have: Capacity,
  over: readonly Budget[],
): Capacity =>
  over.reduce(
    (next, budget) => ({
      ...next,
      [budget]:
        Math.min(next[budget], choice.usage[budget]) - (takes[budget] - have[budget]) - EPS,
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
  })),
});
