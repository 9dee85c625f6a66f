import type { Assumptions } from '../assumptions';
import type { Job, MixPurpose, ProductUse } from '../model';

/** What speaks for a weaker or a stronger mix within the label's band. */
export type AdviceReason = 'sun' | 'hot' | 'cool' | 'heavy' | 'light';

export interface Advice {
  readonly purpose: MixPurpose;
  /** Parts of water to one of product, a whole number within the band. */
  readonly waterParts: number;
  readonly reasons: readonly AdviceReason[];
}

/** What the advice looks at. */
export interface AdviceContext {
  readonly hottestC: number;
  readonly meanLoadGm2: number;
  readonly site: Job['site'];
}

const weight: Readonly<Record<AdviceReason, 1 | -1>> = { sun: 1, hot: 1, light: 1, cool: -1, heavy: -1 };

function reasonsFor({ hottestC, meanLoadGm2, site }: AdviceContext, a: Assumptions): readonly AdviceReason[] {
  const applies: readonly [AdviceReason, boolean][] = [
    ['sun', !site.shade && site.sunWm2 > a.inSunWm2],
    ['hot', hottestC > a.adviceHotC],
    ['cool', site.airC < a.adviceCoolC],
    ['heavy', meanLoadGm2 > a.adviceHeavy],
    ['light', meanLoadGm2 < a.adviceLight],
  ];
  return applies.flatMap(([reason, holds]) => (holds ? [reason] : []));
}

/**
 * A strength within the label's band for today: weaker in sun, on hot panels and light dirt,
 * stronger in the cool and on heavy dirt, from the middle of the band (in ratio). Our judgement.
 * @returns null where the label sets no band on both sides
 */
export function adviseStrength(
  { purpose, weakest, strongest }: ProductUse,
  context: AdviceContext,
  a: Assumptions,
): Advice | null {
  if (weakest === null || strongest === null || strongest <= 0) return null;
  const reasons = reasonsFor(context, a);
  const share = Math.min(
    1,
    Math.max(
      0,
      reasons.reduce((sum, reason) => sum + a.adviceStep * weight[reason], 0.5),
    ),
  );
  const parts = strongest * (weakest / strongest) ** share;
  return { purpose, waterParts: Math.min(weakest, Math.max(strongest, Math.round(parts))), reasons };
}
