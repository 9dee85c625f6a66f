import type { Assumptions } from '../assumptions';
import type { Job, ProductUse, Vessel } from '../model';
import { type MinorUnits, minorUnits } from '../units';
import { type DilutionNotations, type FillMode, notations } from './dilution';
import { type Fill, LEAST_FILL, fillVolumes, fillWith } from './fill';
import type { Recipe, Recipes } from './recipe';
import {
  type Content,
  type Assigned,
  type InVessel,
  type Wanted,
  assignVessels,
  chargeOf,
  workingVolume,
} from './vessels';

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
  /** In the vessel from before. */
  readonly haveMl: number;
  readonly makeMl: number;
  /** Fillings one after the other, the last one perhaps smaller; none where what is there will do. */
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

function mixOf(assigned: Assigned, haveMl: number, recipe: Recipe | undefined, job: Job, a: Assumptions): Mix {
  const { content, vessel, demandMl } = assigned;
  const bucket = vessel.kind === 'bucket';
  const chargeMl = chargeOf(assigned, a);
  const wanted = Math.max(0, demandMl * a.wasteFactor + chargeMl - haveMl);
  const rounded = roundUp(wanted, bucket ? a.batchBucket : a.batchSpray);
  const fillMode: FillMode = bucket ? 'intoWater' : 'finalVolume';
  // Product that is poured into the water stays below the line, too.
  const room = {
    ...vessel,
    workingShare: vessel.workingShare * (fillMode === 'intoWater' ? 1 - (recipe?.share ?? 0) : 1),
  };
  const line = workingVolume(room);
  const least = vessel.kind === 'pump-sprayer' && wanted > 0 ? LEAST_FILL * line : 0;
  const makeMl = Math.max(least, wanted <= line ? Math.min(rounded, line) : rounded);
  const fills = (makeMl > 0 ? fillVolumes(makeMl, room) : []).map((v) =>
    fillWith(recipe ?? null, fillMode, v, job.device),
  );
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
    haveMl,
    makeMl,
    fills,
    leftoverMl: haveMl + fills.reduce((sum, fill) => sum + fill.totalMl, 0) - demandMl,
    productMl,
    costMinor: !recipe ? 0 : price === null ? null : (productMl * price) / recipe.product.sizeMl,
  };
}

/**
 * All vessels of a job: demand with waste and charge, less what stands mixed already, rounded up to a practical batch, split over
 * fillings where it does not fit, product measured in whole steps of the device at hand.
 * @returns undefined when there are too few vessels (the choice has checked that there are enough)
 */
export function mixPlan(
  wanted: readonly Wanted[],
  recipes: Recipes,
  job: Job,
  a: Assumptions,
  held: readonly InVessel[] = [],
): MixPlan | undefined {
  const assignment = assignVessels(wanted, job.vessels, held);
  if (!assignment.ok) return undefined;
  const mixes = assignment.vessels.map((assigned) => {
    const { content } = assigned;
    const recipe = recipes[content];
    const have = held.find(({ vesselId }) => vesselId === assigned.vessel.id)?.ml ?? 0;
    return mixOf(assigned, have, recipe, job, a);
  });
  return sumMixes(mixes);
}

function sumMixes(mixes: readonly Mix[]): MixPlan {
  const total = (value: (mix: Mix) => number): number => mixes.reduce((sum, mix) => sum + value(mix), 0);
  const priced = mixes.every(({ costMinor }) => costMinor !== null);
  return {
    mixes,
    litres: total((mix) => mix.fills.reduce((sum, fill) => sum + fill.waterMl, 0)) / 1000,
    productMl: total(({ productMl }) => productMl),
    costMinor: priced ? minorUnits(total(({ costMinor }) => costMinor ?? 0)) : null,
  };
}

/** Towels that work wet, and those of them that are wetted again from a cup. */
export interface Wetted {
  readonly towels: number;
  readonly again: number;
}

/** Solution that wetted towels carry out of the wash bucket, mL. */
export const towelsDrink = ({ towels, again }: Wetted, a: Assumptions): number =>
  towels * a.towelPresoakMl + again * a.towelRewetMl;
