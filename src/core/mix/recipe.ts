import type { Job, MixPurpose, Product, ProductUse } from '../model';
import { toNumber } from '../units';
import { type Dilution, productShare, readDilution } from './dilution';

/** The product that serves a purpose in a job, with its strength read. */
export interface Recipe {
  readonly product: Product;
  readonly use: ProductUse;
  readonly dilution: Dilution;
  /** Product in one mL of mix. */
  readonly share: number;
  /** Cost of one mL of mix in minor units; 0 when the price is not known. */
  readonly minorPerMl: number;
}

/** First product on the job's list with a readable strength for the purpose. */
export function recipeFor(job: Job, purpose: MixPurpose): Recipe | undefined {
  for (const product of job.products) {
    const use = product.uses.find((candidate) => candidate.purpose === purpose);
    const read = use && readDilution(use.dilution);
    if (!use || !read?.ok) continue;
    const share = toNumber(productShare(read.dilution));
    return {
      product,
      use,
      dilution: read.dilution,
      share,
      minorPerMl: ((product.priceMinor ?? 0) / product.sizeMl) * share,
    };
  }
  return undefined;
}

export type Recipes = Readonly<Partial<Record<MixPurpose, Recipe>>>;

export const recipesOf = (job: Job): Recipes => {
  const purposes: readonly MixPurpose[] = ['waterless', 'presoak', 'wash', 'glass'];
  return Object.fromEntries(
    purposes.flatMap((purpose) => {
      const recipe = recipeFor(job, purpose);
      return recipe ? [[purpose, recipe]] : [];
    }),
  );
};
