import type {
  Finish,
  MixPurpose,
  RunoffRule,
  School,
  Surface,
  VehicleMethod,
  VesselKind,
  ZoneId,
} from '../model';

/** Things that limit a job as a whole; the last five are clean towels by role. */
export const budgets = [
  'litres',
  'runoffL',
  'minutes',
  'wash',
  'finish',
  'drying',
  'glass',
  'wheels',
] as const;
export type Budget = (typeof budgets)[number];

/** Why a treatment cannot be used on a zone, here and now. */
export type Gate =
  | { readonly code: 'no-product'; readonly purpose: MixPurpose }
  | { readonly code: 'no-vessel'; readonly vessel: VesselKind }
  | { readonly code: 'no-power' }
  | { readonly code: 'runoff-forbidden'; readonly litres: number; readonly rule: RunoffRule }
  | { readonly code: 'indoors' }
  | { readonly code: 'lumps' }
  | { readonly code: 'wiped-dry'; readonly filmUm: number; readonly leastUm: number }
  | { readonly code: 'panel-too-hot'; readonly panelC: number; readonly maxC: number }
  | { readonly code: 'dries-first'; readonly openS: number; readonly needS: number }
  | { readonly code: 'freezes-first'; readonly freezeS: number; readonly needS: number }
  | { readonly code: 'freezes'; readonly mixC: number; readonly limitC: number }
  | { readonly code: 'surface'; readonly surface: Surface }
  | { readonly code: 'finish'; readonly finish: Finish }
  | {
      readonly code: 'index-over-limit';
      readonly index: number;
      readonly limit: number;
      readonly school: School;
    };

/** What keeps zones from being washed here and now, and so what would help. */
export type Obstacle = 'heat' | 'frost' | 'kit' | 'soil';

/** Why the vehicle's plan is as it is. */
export type Verdict =
  | { readonly code: 'chosen'; readonly method: VehicleMethod; readonly cost: number }
  | { readonly code: 'asked-for'; readonly method: VehicleMethod }
  /** The search could not prove the choice to be the best; it costs at most this share more. */
  | { readonly code: 'nearly-best'; readonly within: number }
  | {
      readonly code: 'runner-up';
      readonly method: VehicleMethod;
      readonly minutes: number;
      readonly litres: number;
      readonly index: number;
    }
  | { readonly code: 'method-blocked'; readonly method: VehicleMethod; readonly zones: number }
  | { readonly code: 'zones-blocked'; readonly zones: readonly ZoneId[]; readonly because: Obstacle }
  | { readonly code: 'zones-left'; readonly zones: readonly ZoneId[] }
  | {
      readonly code: 'over-budget';
      readonly budget: Budget;
      readonly need: number;
      readonly have: number;
    }
  | { readonly code: 'missing'; readonly gate: Gate }
  | { readonly code: 'not-seen'; readonly zones: number };

/** What to be careful about in this job. */
export const cautions = [
  'chemicals',
  'hot-liquid',
  'freezing-ground',
  'runoff',
  'ladder',
  'lifting',
  'brakes',
  'hot-panels',
] as const;
export type Caution = (typeof cautions)[number];
