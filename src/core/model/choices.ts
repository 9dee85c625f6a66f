import type { AssumptionOverrides } from '../assumptions';
import type { TreatmentId } from './treatment';
import type { ZoneId } from './zone';

/** How much marring risk is accepted. */
export const approaches = ['cautious', 'balanced', 'permissive'] as const;
export type Approach = (typeof approaches)[number];

export const wheelOrders = ['auto', 'first', 'last'] as const;
type WheelOrder = (typeof wheelOrders)[number];

/** Right after the roof, with the wash or with a cleaner of its own; or last, with that cleaner. */
export const glassOrders = ['first', 'first-own', 'last'] as const;
type GlassOrder = (typeof glassOrders)[number];

/** How the rinseless medium is kept clean. */
export const bucketSystems = ['many-towels', 'one-guarded', 'two-buckets', 'three-buckets'] as const;
export type BucketSystem = (typeof bucketSystems)[number];

/** What is rinsed in the buckets: one mitt on its way down, a fresh one each pass, one for each part of the car, or a sponge. */
export const media = ['mitt', 'many-mitts', 'mitts-by-area', 'sponge'] as const;
export type MediumHabit = (typeof media)[number];

/** A grit guard in every bucket, or in none. */
export const guardHabits = ['every-bucket', 'none'] as const;
export type GuardHabit = (typeof guardHabits)[number];

/** A drying towel is drawn along, or laid on and patted. */
export const dryTouches = ['drawn', 'blotted'] as const;
export type DryTouch = (typeof dryTouches)[number];

/** A damp buffing towel leaves the job, or goes down to sills, shuts and wheels. */
export const soakedTowelHabits = ['retire', 'demote'] as const;
export type SoakedTowelHabit = (typeof soakedTowelHabits)[number];

/** Glass is finished with towels of its own; with the paint's drying towel where there is one; or with whatever finishes the paint. */
export const glassTowelHabits = ['own', 'drying', 'shared'] as const;
export type GlassTowelHabit = (typeof glassTowelHabits)[number];

/** What a waterless product may touch: only dust, up to a light film, or whatever the index allows. */
export const dirtLimits = ['only-dust', 'light-film', 'index'] as const;
export type DirtLimit = (typeof dirtLimits)[number];

/** What cannot be done is left out and the rest is done, or the car is done whole or not at all. */
export const partsHabits = ['leave-out', 'all'] as const;
type PartsHabit = (typeof partsHabits)[number];

/** How much is sprayed: the liquid as the only cushion, or thin with chemistry and dwell doing the work. */
export const sprayHabits = ['thin', 'common', 'liberal'] as const;
type SprayHabit = (typeof sprayHabits)[number];

export const dwellHabits = ['short', 'common', 'long'] as const;
export type DwellHabit = (typeof dwellHabits)[number];

/** Strength of the rinseless wash: as the product says, or one part to so many of water. */
export const strengths = ['product', '128', '256', '512'] as const;
type Strength = (typeof strengths)[number];

export const orders = ['top-down', 'dirtiest-first'] as const;
export type Order = (typeof orders)[number];

/** The towel flat under the hand, rolled along so that clean pile comes up, or scooped side to side. */
export const wipings = ['flat', 'rolled', 'scooped'] as const;
export type WipingHabit = (typeof wipings)[number];

export const sunHabits = ['weaker-mix', 'shade-only'] as const;
type SunHabit = (typeof sunHabits)[number];

/** In the cold: little moisture on the towel, or plenty. */
export const coldHabits = ['little', 'plenty'] as const;
type ColdHabit = (typeof coldHabits)[number];

/** Whether a coated car may get a product that leaves a layer. */
export const toppings = ['none', 'welcome'] as const;
type Topping = (typeof toppings)[number];

/** A soft, lubricated brush on wheels, grille and badges. */
export const brushes = ['never', 'lubricated'] as const;
type BrushHabit = (typeof brushes)[number];

export const droppingsHabits = ['treat', 'never'] as const;
type DroppingsHabit = (typeof droppingsHabits)[number];

/** Two people: a side of the car each; one wets and lifts and the other finishes; or both on one panel. */
export const pairWays = ['sides', 'lift-finish', 'one-panel'] as const;
export type PairWay = (typeof pairWays)[number];

/** What a sprayer rinses with: plain water, or a weak rinseless mix. */
export const rinseLiquids = ['water', 'product'] as const;
type RinseLiquid = (typeof rinseLiquids)[number];

/** What a steamer lays on the seam: steam alone, or a degreaser with it. */
export const steamHabits = ['water', 'product'] as const;
type SteamHabit = (typeof steamHabits)[number];

/** Water that a rinse leaves standing: taken up by towels, or blown off first. */
export const standingHabits = ['towels', 'blower'] as const;
type StandingHabit = (typeof standingHabits)[number];

/** Dry each panel at once, or the whole body at the end. */
export const dryings = ['panel', 'body'] as const;
type DryingHabit = (typeof dryings)[number];

/** Whether anything may stay on the paint that touched it, or only what is rinsed off again. */
export const chemistries = ['any', 'rinsed-off'] as const;
type Chemistry = (typeof chemistries)[number];

export const vehicleMethods = ['waterless', 'rinseless', 'shampoo', 'hybrid', 'decline'] as const;
export type VehicleMethod = (typeof vehicleMethods)[number];

/** What good practitioners do differently; all of them together are an approach. */
export interface Habits {
  readonly approach: Approach;
  readonly dirtLimit: DirtLimit;
  readonly chemistry: Chemistry;
  readonly parts: PartsHabit;
  readonly strength: Strength;
  readonly spray: SprayHabit;
  readonly dwell: DwellHabit;
  readonly order: Order;
  readonly rinseWith: RinseLiquid;
  readonly steamWith: SteamHabit;
  readonly standing: StandingHabit;
  readonly pair: PairWay;
  readonly drying: DryingHabit;
  readonly wiping: WipingHabit;
  readonly sun: SunHabit;
  readonly cold: ColdHabit;
  readonly topping: Topping;
  readonly brush: BrushHabit;
  readonly droppings: DroppingsHabit;
  readonly wheels: WheelOrder;
  readonly glass: GlassOrder;
  readonly bucket: BucketSystem;
  readonly medium: MediumHabit;
  readonly guards: GuardHabit;
  readonly dryTouch: DryTouch;
  readonly soakedTowel: SoakedTowelHabit;
  readonly glassTowels: GlassTowelHabit;
  /** Sides used of a pre-soaked towel: four, or all eight with solution poured on from a cup. */
  readonly soakedSides: 4 | 8;
}

/** A named set of habits in the library. */
export interface HabitSet extends Habits {
  readonly id: string;
  readonly name: string;
}

/** A part of a zone, as a plan cuts it. */
export interface PartOfZone {
  readonly zone: ZoneId;
  /** From 1. */
  readonly section: number;
  readonly of: number;
}

/** A pass changed by hand. Parts name the passes they are in, so that the change holds when other passes come or go. */
export type PassChange =
  /** A pass of its own from this part on. */
  | { readonly kind: 'split'; readonly part: PartOfZone }
  /** The pass of the one part is done together with that of the other, in its place. */
  | { readonly kind: 'join'; readonly part: PartOfZone; readonly with: PartOfZone }
  /** The pass of the one part comes right before that of the other, by the same person. */
  | { readonly kind: 'move'; readonly part: PartOfZone; readonly before: PartOfZone };

export const passChangeKinds = ['split', 'join', 'move'] as const satisfies readonly PassChange['kind'][];

export interface Choices extends Habits {
  /** 'auto' takes the best; a method takes the best plan of that kind. */
  readonly method: 'auto' | VehicleMethod;
  /** Treatments fixed by hand; 'leave' takes the zone out of the job. */
  readonly fixed: Readonly<Partial<Record<ZoneId, TreatmentId>>>;
  /** By hand, the oldest first. */
  readonly passes: readonly PassChange[];
  readonly assumptions: AssumptionOverrides;
}
