import type { Job, MixPurpose } from '../model';
import type { Plan } from '../planning';
import { dayAfter } from '../units';

/** A protection that a product claims for what it is left on, and until when. */
export interface Claim {
  readonly product: string;
  readonly purpose: MixPurpose;
  readonly days: number;
  /** ISO day. */
  readonly until: string;
}

/** Content of a plan’s zones that lies on them as labelled; too weak a mix claims nothing. */
const isAsStrong = ({ mix }: Plan, purpose: MixPurpose): boolean =>
  mix.mixes
    .filter(({ content }) => content === purpose)
    .every(({ fills }) => fills.every(({ dose }) => dose?.band !== 'too-weak'));

/**
 * When what products claim lapses: only for products with a claim of their own, at the strength that
 * it stands for, on zones that they were used on. We claim nothing ourselves.
 */
export function claimsOf({ products, date }: Pick<Job, 'products' | 'date'>, plan: Plan): readonly Claim[] {
  return products.flatMap(({ name, uses }) =>
    uses.flatMap(({ purpose, protectsDays }): readonly Claim[] => {
      const used = plan.zones.some(({ option }) => (option?.laidMl[purpose] ?? 0) > 0);
      if (protectsDays === null || !used || !isAsStrong(plan, purpose)) return [];
      return [{ product: name, purpose, days: protectsDays, until: dayAfter(date, protectsDays) }];
    }),
  );
}
