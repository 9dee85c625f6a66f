import { type Job, type MixPurpose, type Product, type ProductUse, mixPurposes } from '../model';
import { toNumber } from '../units';
import { type Dilution, productShare, readDilution } from './dilution';

/** The product that serves a purpose in a job, with its strength read. */
export interface Recipe {
  readonly product: Product;
  readonly use: ProductUse;
  readonly dilution: Dilution;
  /** Product in one mL of mix. */
  readonly share: number;
  /** Product in it against what its label says for this use; 1 is as labelled. */
  readonly relativeStrength: number;
  /** Cost of one mL of mix in minor units; 0 when the price is not known. */
  readonly minorPerMl: number;
}

/** The rinseless wash may be mixed at a school's strength; everything else is as its label says. */
function ofSchool(use: ProductUse, { choices: { strength } }: Job): ProductUse {
  return use.purpose === 'wash' && strength !== 'product'
    ? { ...use, dilution: { label: strength, reading: 'water' }, origin: 'practice' }
    : use;
}

/** First product on the job's list with a readable strength for the purpose. */
export function recipeFor(job: Job, purpose: MixPurpose): Recipe | undefined {
  for (const product of job.products) {
    const labelled = product.uses.find((candidate) => candidate.purpose === purpose);
    const use = labelled && ofSchool(labelled, job);
    const read = use && readDilution(use.dilution);
    if (!use || !read?.ok) continue;
    const share = toNumber(productShare(read.dilution));
    const label = readDilution(labelled.dilution);
    return {
      product,
      use,
      dilution: read.dilution,
      share,
      relativeStrength: label.ok ? share / toNumber(productShare(label.dilution)) : 1,
      minorPerMl: ((product.priceMinor ?? 0) / product.sizeMl) * share,
    };
  }
  return undefined;
}

export type Recipes = Readonly<Partial<Record<MixPurpose, Recipe>>>;

export const recipesOf = (job: Job): Recipes =>
  Object.fromEntries(
    mixPurposes.flatMap((purpose) => {
      const recipe = recipeFor(job, purpose);
      return recipe ? [[purpose, recipe]] : [];
    }),
  );
