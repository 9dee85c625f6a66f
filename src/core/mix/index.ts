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
export type { Band, Dosed, Fill, Mix, MixPlan } from './mix-plan';
export { recipeFor, recipesOf } from './recipe';
export type { Recipe, Recipes } from './recipe';
export { assignVessels, rinseBuckets, workingVolume } from './vessels';
export type { Content, Wanted } from './vessels';
