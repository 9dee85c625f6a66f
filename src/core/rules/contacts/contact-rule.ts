import type { Assumptions } from '../../assumptions';
import type {
  BucketSystem,
  DryTouch,
  DwellHabit,
  GuardHabit,
  MediumHabit,
  MixPurpose,
  VehicleMethod,
  WipingHabit,
} from '../../model';
import type { Micrometres } from '../../units';
import type { Kit } from '../kit';

/** One layer of liquid, in the order in which it is laid. */
interface Layer {
  readonly purpose: MixPurpose;
  readonly film: Micrometres;
}

/** What a contact does to a panel, per square metre. */
export interface Contacted {
  readonly layers: readonly [first: Layer, ...more: Layer[]];
  readonly dwellS: number;
  readonly encapsulation: number;
  readonly pressure: number;
  /** Rates of work, s/m². */
  readonly sprayRate: number;
  readonly wipeRate: number;
  readonly finishRate: number;
  /** What takes the dirt up: a towel side, a pre-soaked towel, or a mitt rinsed in a bucket. */
  readonly medium: 'towel' | 'soaked-towel' | 'mitt';
  /** Share of the film the medium takes; a finishing or drying towel gets the rest. */
  readonly mediumTakes: number;
  readonly finishWith: 'finish' | 'drying';
  /** Rinsed off after the wash; 'between': what was sprayed before it, too. */
  readonly rinses?: 'off' | 'between';
}

/** The layer that hands come to. */
export const lastLayer = ({ layers }: Contacted): Layer => layers.at(-1) ?? layers[0];

/** What a contact depends on besides the figures. */
export interface Touching {
  /** Load when the liquid is laid, after any flush. */
  readonly loadGm2: number;
  /** Of what is sprayed, against common practice: product, habit, heat and cold together. */
  readonly filmFactor: number;
  readonly dwell: DwellHabit;
  readonly wiping: WipingHabit;
  readonly bucket: BucketSystem;
  readonly medium: MediumHabit;
  readonly guards: GuardHabit;
  readonly dryTouch: DryTouch;
}

/** By common practice, with a mitt. */
export const commonTouching: Omit<Touching, 'loadGm2'> = {
  filmFactor: 1,
  dwell: 'common',
  wiping: 'flat',
  bucket: 'one-guarded',
  medium: 'mitt',
  guards: 'every-bucket',
  dryTouch: 'drawn',
};

/** The vehicle’s method that is made of a contact alone. */
export type PureMethod = Extract<VehicleMethod, 'waterless' | 'rinseless' | 'shampoo'>;

/** Contacts that look alike: one tone, one letter, one pair of cues. */
export type ContactFamily = 'waterless' | 'foam' | 'rinseless' | 'presoak' | 'shampoo';

/** Everything that anybody asks of a way of touching a panel. */
export interface ContactRule {
  readonly method: PureMethod;
  readonly family: ContactFamily;
  readonly kits: readonly Kit[];
  /** What is sprayed before the wipe; null where nothing is. */
  readonly sprays: MixPurpose | null;
  /** Of its layers, in order. */
  readonly purposes: readonly MixPurpose[];
  /** How much is wetted ahead of the wipe, so that it dwells while the neighbour is worked on, m². */
  aheadM2(a: Assumptions): number;
  /** Share of the grit that no longer marks after a dwell. */
  encapsulation(dwellS: number, a: Assumptions): number;
  contact(touching: Touching, a: Assumptions): Contacted;
}

/** How hard a medium from the bucket works: grit that comes back with it counts as pressure (our judgement). */
export function mediumPressure(
  { bucket, medium, guards }: Pick<Touching, 'bucket' | 'medium' | 'guards'>,
  a: Assumptions,
): number {
  if (bucket === 'many-towels') return a.pressureRolled;
  const held =
    medium === 'sponge' ? a.spongeHolds : medium === 'mitt' ? 1 : medium === 'many-mitts' ? a.freshMitt : a.mittByArea;
  // A mitt that is used once brings nothing back, guard or not.
  const back = guards === 'none' && medium !== 'many-mitts' ? a.unguarded : 1;
  return a.pressureMitt * held * back;
}

/** Drying, s/m²: patting takes longer than drawing. */
export const dryRate = ({ dryTouch }: Pick<Touching, 'dryTouch'>, a: Assumptions): number =>
  a.rateDry * (dryTouch === 'blotted' ? a.rateBlotted : 1);

/** Encapsulation after a dwell: it approaches its most with the time constant τ. */
export const encapsulated = (most: number, dwellS: number, tauS: number): number =>
  most * (1 - Math.exp(-dwellS / tauS));

/** Nobody waits longer on a panel, s. */
const LONGEST_DWELL_S = 300;

/** Seconds of a dwell by habit; a long one ends after five minutes, or where common practice does. */
export function dwellOf(commonS: number, habit: DwellHabit, a: Assumptions): number {
  switch (habit) {
    case 'short':
      return commonS * a.dwellShort;
    case 'common':
      return commonS;
    case 'long':
      return Math.max(commonS, Math.min(LONGEST_DWELL_S, commonS * a.dwellLong));
  }
}
