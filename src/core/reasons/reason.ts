import type {
  Bottled,
  DirtLimit,
  Finish,
  GearKind,
  MixPurpose,
  RunoffRule,
  Approach,
  SoilKind,
  SpotKind,
  Surface,
  ToMind,
  TowelRole,
  VehicleMethod,
  VesselKind,
  ZoneId,
} from '../model';

/** Things that limit a job as a whole; the last five are clean towels by role. */
export const budgets = [
  'litres',
  'runoffL',
  'minutes',
  'batteryMin',
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
  | { readonly code: 'no-tap' }
  | { readonly code: 'no-bay' }
  | { readonly code: 'no-gear'; readonly gear: GearKind }
  | { readonly code: 'too-loud'; readonly noiseDb: number; readonly mostDb: number }
  /** A jet would drive water into the car. */
  | { readonly code: 'opening' }
  | { readonly code: 'steam-off'; readonly why: 'seams-only' | 'film' | 'cold-glass' }
  | { readonly code: 'air-off'; readonly why: 'seams-only' | 'people' }
  | { readonly code: 'sun-habit' }
  /** Leaves something on the paint that is not rinsed off. */
  | { readonly code: 'chemistry' }
  /** A soft top is not paint. */
  | { readonly code: 'fabric' }
  /** Something beside it must stay dry. */
  | { readonly code: 'keep-dry'; readonly what: ToMind }
  /** An engine bay gets a spray or a foam, never a wet towel or a jet. */
  | { readonly code: 'electrics' }
  | { readonly code: 'leaves-layer' }
  | { readonly code: 'incompatible'; readonly purposes: readonly [MixPurpose | 'water', MixPurpose | 'water'] }
  | { readonly code: 'runoff-forbidden'; readonly litres: number; readonly rule: RunoffRule }
  | { readonly code: 'indoors' }
  /** A mat holds nothing on ground that falls. */
  | { readonly code: 'slope'; readonly slope: number; readonly most: number }
  | {
      readonly code: 'out-of-reach';
      readonly heightM: number;
      readonly reachM: number;
      readonly why: 'no-steps' | 'slope';
    }
  | { readonly code: 'lumps' }
  | { readonly code: 'wiped-dry'; readonly filmUm: number; readonly leastUm: number }
  | { readonly code: 'panel-too-hot'; readonly panelC: number; readonly maxC: number }
  | { readonly code: 'dries-first'; readonly openS: number; readonly needS: number }
  | { readonly code: 'freezes-first'; readonly freezeS: number; readonly needS: number }
  | {
      readonly code: 'freezes';
      readonly mixC: number;
      readonly limitC: number;
      /** What would do: a liquid as warm as this, or a panel no colder than that. */
      readonly leastLiquidC: number;
      readonly coldestPanelC: number;
    }
  | { readonly code: 'surface'; readonly surface: Surface }
  | { readonly code: 'finish'; readonly finish: Finish }
  | {
      readonly code: 'index-over-limit';
      readonly index: number;
      readonly limit: number;
      readonly approach: Approach;
    }
  /** Dirtier than the approach lets a waterless product touch. */
  | {
      readonly code: 'dirt-limit';
      readonly limit: Exclude<DirtLimit, 'index'>;
      readonly kind: SoilKind;
      readonly loadGm2: number;
    }
  /** What crackles under a finger is rinsed first wherever there is something to rinse with. */
  | { readonly code: 'rinse-first'; readonly kind: SoilKind }
  /** Dust that lies loose in a seam is blown out first wherever there is air. */
  | { readonly code: 'blow-first'; readonly kind: SoilKind }
  /** With a shampoo mitt, foam comes first where it is at hand. */
  | { readonly code: 'foam-first'; readonly kind: SoilKind };

/** What keeps zones from being washed here and now, and so what would help. */
export type Obstacle = 'heat' | 'frost' | 'kit' | 'soil';

/** A budget that stands alone between the job and a plan. */
export interface ShortBudget {
  readonly budget: Budget;
  readonly need: number;
  readonly have: number;
  /** No plan takes less; else none was found. */
  readonly proved: boolean;
}

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
      /** By so much its cost is lower in all, though not on paint and glass, which come first. */
      readonly cheaperBy: number;
    }
  | { readonly code: 'method-blocked'; readonly method: VehicleMethod; readonly zones: number }
  /** The gates are those that decide, what would help most zones first. */
  | {
      readonly code: 'zones-blocked';
      readonly zones: readonly ZoneId[];
      readonly because: Obstacle;
      readonly gates: readonly Gate[];
    }
  /** The rest is planned. The gate is the first that forbids what comes nearest. */
  | {
      readonly code: 'parts-left';
      readonly zones: readonly ZoneId[];
      readonly because: Obstacle;
      readonly gate: Gate | null;
    }
  | {
      readonly code: 'parts-left';
      readonly zones: readonly ZoneId[];
      readonly because: 'budget';
      readonly shortage: ShortBudget;
    }
  /** Hot panels that a mist cools in their pass. */
  | { readonly code: 'cooled-first'; readonly zones: readonly ZoneId[]; readonly hottestC: number }
  /** Warmer than practice works, where no label says how warm is too warm. */
  | {
      readonly code: 'warm-by-practice';
      readonly zones: readonly ZoneId[];
      readonly hottestC: number;
      readonly practiceC: number;
    }
  /** What evaporates leaves its hardness behind, mg/m². */
  | {
      readonly code: 'residue';
      readonly zones: readonly ZoneId[];
      readonly mostMgM2: number;
      readonly limitMgM2: number;
    }
  /** The rest could be done with what there is. */
  | { readonly code: 'zones-wait'; readonly zones: readonly ZoneId[] }
  | { readonly code: 'late'; readonly zones: readonly ZoneId[] }
  /** Allowed by itself, and over a limit by the time that hands come. */
  | { readonly code: 'over-by-clock'; readonly zones: readonly ZoneId[]; readonly gate: Gate }
  /** Clean towels that the rest of a run goes on with, and that are not there yet. */
  | { readonly code: 'towels-to-find'; readonly role: TowelRole; readonly count: number }
  | { readonly code: 'zones-left'; readonly zones: readonly ZoneId[] }
  | (ShortBudget & { readonly code: 'over-budget' })
  | { readonly code: 'missing'; readonly gate: Gate }
  | { readonly code: 'bugs-left'; readonly zones: readonly ZoneId[]; readonly why: CareLeft; readonly mostC: number }
  /** Asked for or at hand, and not used here; the panel’s limit is null where heat is not why. */
  | {
      readonly code: 'product-left';
      readonly purpose: Bottled;
      readonly zones: readonly ZoneId[];
      readonly why: CareLeft;
      readonly mostC: number | null;
    }
  | { readonly code: 'spots-left'; readonly kind: SpotKind; readonly count: number; readonly why: SpotLeft }
  /** The approach's limit was lifted on the client's word. */
  | { readonly code: 'against-advice'; readonly by: string; readonly zones: number }
  | { readonly code: 'not-seen'; readonly zones: number; readonly forecast: boolean };

/** Why a product is not put on here and now. */
export type CareLeft = SpotLeft | 'layer' | 'not-together';

/** Why spots of a kind stay where they are. */
export type SpotLeft = 'no-product' | 'too-warm' | 'in-sun' | 'surface' | 'finish' | 'habit' | 'no-rinse';

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
  'steam',
  'compressed-air',
  'electricity',
  'solvent',
  'wheel-cleaner',
  'dressing',
  'engine',
  'traffic',
  'hot-exhaust',
] as const;
export type Caution = (typeof cautions)[number];
