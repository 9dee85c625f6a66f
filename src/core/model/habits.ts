/** A question on which good practitioners differ: what most do, and all that may be answered. */
interface Habit<A extends string | number> {
  readonly common: A;
  readonly answers: readonly A[];
}

const habit = <const A extends string | number>(common: NoInfer<A>, answers: readonly A[]): Habit<A> => ({
  common,
  answers,
});

/** In the order in which they come up during the work. Defaults, rules of files, lists and forms follow from it. */
const habits = {
  /** How much marring risk is accepted. */
  approach: habit('balanced', ['cautious', 'balanced', 'permissive']),
  /** What a waterless product may touch: only dust, up to a light film, or whatever the index allows. */
  dirtLimit: habit('light-film', ['only-dust', 'light-film', 'index']),
  /** Whether anything may stay on the paint that touched it, or only what is rinsed off again. */
  chemistry: habit('any', ['any', 'rinsed-off']),
  /** What cannot be done is left out and the rest is done, or the car is done whole or not at all. */
  parts: habit('leave-out', ['leave-out', 'all']),
  /** Strength of the rinseless wash: as the product says, or one part to so many of water. */
  strength: habit('product', ['product', '128', '256', '512']),
  /** How much is sprayed: the liquid as the only cushion, or thin with chemistry and dwell doing the work. */
  spray: habit('common', ['thin', 'common', 'liberal']),
  dwell: habit('common', ['short', 'common', 'long']),
  /** How the rinseless medium is kept clean. */
  bucket: habit('one-guarded', ['many-towels', 'one-guarded', 'two-buckets', 'three-buckets']),
  /** What is rinsed in the buckets: one mitt on its way down, a fresh one each pass, one for each part of the car, or a sponge. */
  medium: habit('mitt', ['mitt', 'many-mitts', 'mitts-by-area', 'sponge']),
  /** A grit guard in every bucket, or in none. */
  guards: habit('every-bucket', ['every-bucket', 'none']),
  /** A drying towel is drawn along, or laid on and patted. */
  dryTouch: habit('drawn', ['drawn', 'blotted']),
  /** Sides used of a pre-soaked towel: four, or all eight with solution poured on from a cup. */
  soakedSides: habit(4, [4, 8]),
  /** A damp buffing towel leaves the job, or goes down to sills, shuts and wheels. */
  soakedTowel: habit('demote', ['retire', 'demote']),
  /** Glass is finished with towels of its own; with the paint's drying towel where there is one; or with whatever finishes the paint. */
  glassTowels: habit('drying', ['own', 'drying', 'shared']),
  /** The towel flat under the hand, rolled along so that clean pile comes up, or scooped side to side. */
  wiping: habit('flat', ['flat', 'rolled', 'scooped']),
  /** Dry each panel at once, or the whole body at the end. */
  drying: habit('panel', ['panel', 'body']),
  order: habit('top-down', ['top-down', 'dirtiest-first']),
  /** What a sprayer rinses with: plain water, or a weak rinseless mix. */
  rinseWith: habit('water', ['water', 'product']),
  /** What a steamer lays on the seam: steam alone, or a degreaser with it. */
  steamWith: habit('water', ['water', 'product']),
  /** Water that a rinse leaves standing: taken up by towels, or blown off first. */
  standing: habit('blower', ['towels', 'blower']),
  /** Two people: a side of the car each; one wets and lifts and the other finishes; or both on one panel. */
  pair: habit('sides', ['sides', 'lift-finish', 'one-panel']),
  wheels: habit('auto', ['auto', 'first', 'last']),
  /** Right after the roof, with the wash or with a cleaner of its own; or last, with that cleaner. */
  glass: habit('first', ['first', 'first-own', 'last']),
  sun: habit('weaker-mix', ['weaker-mix', 'shade-only']),
  /** In the cold: little moisture on the towel, or plenty. */
  cold: habit('little', ['little', 'plenty']),
  /** Whether a coated car may get a product that leaves a layer. */
  topping: habit('none', ['none', 'welcome']),
  /** A soft, lubricated brush on wheels, grille and badges. */
  brush: habit('never', ['never', 'lubricated']),
  droppings: habit('treat', ['treat', 'never']),
};

/** What good practitioners do differently; all of them together are an approach. */
export type Habits = { readonly [K in keyof typeof habits]: (typeof habits)[K]['common'] };

export type Approach = Habits['approach'];
export type DirtLimit = Habits['dirtLimit'];
export type DwellHabit = Habits['dwell'];
export type BucketSystem = Habits['bucket'];
export type MediumHabit = Habits['medium'];
export type GuardHabit = Habits['guards'];
export type DryTouch = Habits['dryTouch'];
export type SoakedTowelHabit = Habits['soakedTowel'];
export type GlassTowelHabit = Habits['glassTowels'];
export type WipingHabit = Habits['wiping'];
export type Order = Habits['order'];
export type PairWay = Habits['pair'];

export const habitKeys = Object.keys(habits) as readonly (keyof Habits)[];

const ofEach = (take: (one: Habit<string | number>) => unknown): unknown =>
  Object.fromEntries(habitKeys.map((key) => [key, take(habits[key])]));

/** Every answer that may be given to each question. */
export const habitAnswers = ofEach(({ answers }) => answers) as {
  readonly [K in keyof Habits]: readonly Habits[K][];
};

/** Habits that most would have; a job may change each. */
export const defaultHabits = ofEach(({ common }) => common) as Habits;
