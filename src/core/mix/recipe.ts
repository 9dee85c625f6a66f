import { type Job, type MixPurpose, type Product, type ProductUse, mixPurposes } from '../model';
import type { Assumptions } from '../assumptions';
import { toNumber } from '../units';
import type { Content } from './vessels';
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

/** The rinseless wash may be mixed at a strength of habit; everything else is as its label says. */
function ofHabit(use: ProductUse, { choices: { strength } }: Job): ProductUse {
  return use.purpose === 'wash' && strength !== 'product'
    ? { ...use, dilution: { label: strength, reading: 'water' }, origin: 'practice' }
    : use;
}

/** A glass cleaner is for glass only: one whose label excludes that serves nothing. */
const mayServe = ({ notOnSurfaces }: Product, purpose: MixPurpose): boolean =>
  purpose !== 'glass' || !notOnSurfaces.includes('glass');

/** First product on the job's list with a readable strength for the purpose. */
function recipeFor(job: Job, purpose: MixPurpose): Recipe | undefined {
  for (const product of job.products) {
    const labelled = product.uses.find((candidate) => candidate.purpose === purpose);
    if (!labelled || !mayServe(product, purpose)) continue;
    const use = ofHabit(labelled, job);
    const read = readDilution(use.dilution);
    if (!read.ok) continue;
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

/** By what they are mixed for; plain water has none, but where a sprayer rinses with product. */
export type Recipes = Readonly<Partial<Record<MixPurpose | Content, Recipe>>>;

/** A weak rinseless mix in the sprayer that rinses. */
function weakRinse(job: Job, { rinseParts }: Assumptions): Recipe | undefined {
  const wash = job.choices.rinseWith === 'product' ? recipeFor(job, 'wash') : undefined;
  const label = { label: String(Math.round(rinseParts)), reading: 'water' } as const;
  const read = readDilution(label);
  if (!wash || !read.ok) return undefined;
  const share = toNumber(productShare(read.dilution));
  return {
    ...wash,
    use: { ...wash.use, dilution: label, weakest: null, strongest: null, origin: 'practice' },
    dilution: read.dilution,
    share,
    relativeStrength: (wash.relativeStrength * share) / wash.share,
    minorPerMl: (wash.minorPerMl * share) / wash.share,
  };
}

/** Every mix that a job has the product for. */
export function recipesOf(job: Job, a: Assumptions): Recipes {
  const found = mixPurposes.map((purpose) => [purpose, recipeFor(job, purpose)] as const);
  return Object.fromEntries(
    [...found, ['water', weakRinse(job, a)] as const].filter(([, recipe]) => recipe !== undefined),
  );
}
