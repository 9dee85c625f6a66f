import type { Assumptions } from '../assumptions';
import type { BucketSystem, Job, MeasuringDevice, ProductUse, Vessel } from '../model';
import { type MinorUnits, minorUnits, toNumber } from '../units';
import { type DilutionNotations, type FillMode, exactText, mixFor, notations } from './dilution';
import { type Measured, measure } from './measure';
import type { Recipe, Recipes } from './recipe';
import { type Content, type Assigned, type Wanted, assignVessels, workingVolume } from './vessels';

/** Where the true ratio stands against what the product's label allows. */
export type Band = 'within' | 'too-weak' | 'too-strong';

/** Product in one filling, as it will really be measured. */
export interface Dosed {
  readonly productMl: number;
  /** The exact amount, as num/den. */
  readonly productExact: string;
  readonly measured: Measured;
  /** Water parts to one of product after rounding to the device's steps. */
  readonly trueWaterParts: number;
  readonly band: Band;
}

/** One filling of one vessel. */
export interface Fill {
  readonly totalMl: number;
  readonly waterMl: number;
  readonly dose: Dosed | null;
}

/** One vessel for the job: what is in it, how much of it, how it is mixed. */
export interface Mix {
  readonly content: Content;
  readonly vessel: Vessel;
  /** null for plain water. */
  readonly productName: string | null;
  readonly use: ProductUse | null;
  readonly strength: DilutionNotations | null;
  readonly fillMode: FillMode;
  /** What the panels take, without waste or charge. */
  readonly demandMl: number;
  readonly chargeMl: number;
  readonly makeMl: number;
  /** Fillings one after the other, the last one perhaps smaller. */
  readonly fills: readonly Fill[];
  readonly leftoverMl: number;
  /** Product and its cost before rounding; null when the price is not known. */
  readonly productMl: number;
  readonly costMinor: number | null;
}

export interface MixPlan {
  readonly mixes: readonly Mix[];
  readonly litres: number;
  readonly productMl: number;
  /** Rounded once, over all mixes; null when a price is missing. */
  readonly costMinor: MinorUnits | null;
}


const roundUp = (volume: number, step: number): number => Math.ceil(volume / step - 1e-9) * step;

function bandOf(waterParts: number, { weakest, strongest }: ProductUse): Band {
  if (weakest !== null && waterParts > weakest + 1e-9) return 'too-weak';
  if (strongest !== null && waterParts < strongest - 1e-9) return 'too-strong';
  return 'within';
}

/** Volumes of the fillings: as few as the working line allows, full ones first. */
function fillVolumes(makeMl: number, vessel: Vessel): readonly number[] {
  const line = workingVolume(vessel);
  const fills = Math.max(1, Math.ceil(makeMl / line - 1e-9));
  return Array.from({ length: fills }, (_, i) =>
    i < fills - 1 ? line : makeMl - (fills - 1) * line,
  );
}

function fillWith(recipe: Recipe | undefined, mode: FillMode, volumeMl: number, device: MeasuringDevice): Fill {
  if (!recipe) return { totalMl: volumeMl, waterMl: volumeMl, dose: null };
  const exact = mixFor(recipe.dilution, mode, volumeMl);
  const measured = measure(exact.productMl, device);
  const waterMl = toNumber(exact.waterMl);
  const trueWaterParts = waterMl / measured.deliveredMl;
  return {
    totalMl: toNumber(exact.totalMl),
    waterMl,
    dose: {
      productMl: toNumber(exact.productMl),
      productExact: exactText(exact.productMl),
      measured,
      trueWaterParts,
      band: bandOf(trueWaterParts, recipe.use),
    },
  };
}

function mixOf(assigned: Assigned, recipe: Recipe | undefined, job: Job, a: Assumptions): Mix {
  const { content, vessel, demandMl } = assigned;
  const bucket = vessel.kind === 'bucket';
  const chargeMl = content === 'rinse' ? a.rinseBucket : vessel.chargeMl;
  const wanted = demandMl * a.wasteFactor + chargeMl;
  const rounded = roundUp(wanted, bucket ? a.batchBucket : a.batchSpray);
  const line = workingVolume(vessel);
  const makeMl = wanted <= line ? Math.min(rounded, line) : rounded;
  const fillMode: FillMode = bucket ? 'intoWater' : 'finalVolume';
  const fills = fillVolumes(makeMl, vessel).map((v) => fillWith(recipe, fillMode, v, job.device));
  const productMl = fills.reduce((sum, fill) => sum + (fill.dose?.measured.deliveredMl ?? 0), 0);
  const price = recipe?.product.priceMinor ?? null;
  return {
    content,
    vessel,
    productName: recipe?.product.name ?? null,
    use: recipe?.use ?? null,
    strength: recipe ? notations(recipe.dilution) : null,
    fillMode,
    demandMl,
    chargeMl,
    makeMl,
    fills,
    leftoverMl: fills.reduce((sum, fill) => sum + fill.totalMl, 0) - demandMl,
    productMl,
    costMinor: !recipe ? 0 : price === null ? null : (productMl * price) / recipe.product.sizeMl,
  };
}

/**
 * All vessels of a job: demand with waste and charge, rounded up to a practical batch, split over
 * fillings where it does not fit, product measured in whole steps of the device at hand.
 * @returns undefined when there are too few vessels (the choice has checked that there are enough)
 */
export function mixPlan(
  wanted: readonly Wanted[],
  recipes: Recipes,
  job: Job,
  a: Assumptions,
): MixPlan | undefined {
  const assignment = assignVessels(wanted, job.vessels);
  if (!assignment.ok) return undefined;
  const mixes = assignment.vessels.map((assigned) => {
    const { content } = assigned;
    const recipe = content === 'water' || content === 'rinse' ? undefined : recipes[content];
    return mixOf(assigned, recipe, job, a);
  });
  return sumMixes(mixes);
}

function sumMixes(mixes: readonly Mix[]): MixPlan {
  const total = (value: (mix: Mix) => number): number =>
    mixes.reduce((sum, mix) => sum + value(mix), 0);
  const priced = mixes.every(({ costMinor }) => costMinor !== null);
  return {
    mixes,
    litres: total((mix) => mix.fills.reduce((sum, fill) => sum + fill.waterMl, 0)) / 1000,
    productMl: total(({ productMl }) => productMl),
    costMinor: priced ? minorUnits(total(({ costMinor }) => costMinor ?? 0)) : null,
  };
}

/** Solution that wetted towels carry out of the wash bucket, mL. */
export const towelsDrink = (
  system: BucketSystem,
  soakedTowels: number,
  a: Assumptions,
): number => (system === 'many-towels' ? soakedTowels * a.towelPresoakMl : 0);
