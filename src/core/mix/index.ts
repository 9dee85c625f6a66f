export {
  exactText,
  fillModes,
  mixFor,
  notations,
  productShare,
  readDilution,
} from './dilution';
export type {
  Dilution,
  DilutionFault,
  DilutionNotations,
  DilutionResult,
  ExactMix,
  FillMode,
} from './dilution';
export { measure } from './measure';
export type { Measured } from './measure';
export { mixPlan, towelsDrink } from './mix-plan';
export type { Mix, MixPlan, Wetted } from './mix-plan';
export { fillVolumes, fillWith } from './fill';
export type { Band, Dosed, Fill, Poured } from './fill';
export { apart, costPerCar } from './cost-per-car';
export type { Offer } from './cost-per-car';
export { recipeFor, recipesOf } from './recipe';
export type { Recipe, Recipes } from './recipe';
export { assignVessels, rinseBuckets, workingVolume } from './vessels';
export type { Content, InVessel, Wanted } from './vessels';
export { adviseStrength } from './advice';
export type { Advice, AdviceReason, AdviceScene } from './advice';
