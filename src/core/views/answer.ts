import type { VehicleMethod } from '../model';
import type { Alternative, Plan, Totals } from '../planning';
import type { Gate, Verdict } from '../reasons';

/** What the chosen method saves against the next best. */
export interface Gain {
  readonly figure: 'minutes' | 'litres' | 'towels' | 'index';
  /** More than nothing. */
  readonly by: number;
}

/** Why the answer is what it is, short enough to stand beside it. */
export type AnswerReason =
  | { readonly code: 'asked-for' }
  | { readonly code: 'ruled-out'; readonly method: VehicleMethod; readonly parts: number; readonly gate: Gate | null }
  | { readonly code: 'beats'; readonly method: VehicleMethod; readonly gains: readonly Gain[] }
  | { readonly code: 'verdict'; readonly verdict: Verdict };

/** Smaller differences are rounding, not reasons: minutes, litres, towels, points of the index. */
const WORTH: Readonly<Record<Gain['figure'], number>> = { minutes: 0.5, litres: 0.05, towels: 0.5, index: 0.05 };

const REASONS = 2;

function gainsOver(mine: Totals, theirs: Totals): readonly Gain[] {
  const figures: readonly Gain['figure'][] = ['minutes', 'litres', 'towels', 'index'];
  return figures
    .map((figure) => ({ figure, by: theirs[figure].value - mine[figure].value }))
    .filter(({ figure, by }) => by >= WORTH[figure]);
}

function ruledOut({ method, outcome }: Alternative): readonly AnswerReason[] {
  if (outcome.kind !== 'blocked' || outcome.blocked.length === 0) return [];
  const gate = outcome.blocked[0]!.gates[0]?.gates[0] ?? null;
  return [{ code: 'ruled-out', method, parts: outcome.blocked.length, gate }];
}

/** Against the cheapest of the others that would do. */
function beats(plan: Plan): readonly AnswerReason[] {
  const others = plan.alternatives.flatMap(({ method, outcome }) =>
    method !== plan.method && outcome.kind === 'feasible' ? [{ method, ...outcome }] : [],
  );
  const next = others.sort((p, q) => p.cost - q.cost)[0];
  return next ? [{ code: 'beats', method: next.method, gains: gainsOver(plan.totals, next.totals) }] : [];
}

const isRefusal = ({ code }: Verdict): boolean =>
  code === 'zones-blocked' || code === 'over-budget' || code === 'missing';

/** At most two reasons, the strongest first: what rules the others out, then what this one saves. */
export function answerReasons(plan: Plan): readonly AnswerReason[] {
  if (plan.method === 'decline')
    return plan.verdicts
      .filter(isRefusal)
      .slice(0, REASONS)
      .map((verdict) => ({ code: 'verdict', verdict }));
  const asked: readonly AnswerReason[] = plan.verdicts.some(({ code }) => code === 'asked-for')
    ? [{ code: 'asked-for' }]
    : [];
  const left = plan.verdicts
    .filter(({ code }) => code === 'parts-left')
    .map((verdict): AnswerReason => ({ code: 'verdict', verdict }));
  return [...left, ...asked, ...plan.alternatives.flatMap(ruledOut), ...beats(plan)].slice(0, REASONS);
}
