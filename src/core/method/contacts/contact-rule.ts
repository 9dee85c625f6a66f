import type { Assumptions } from '../../assumptions';
import type { BucketSystem, MixPurpose } from '../../model';
import type { Micrometres } from '../../units';
import type { Kit } from '../kit';

/** One layer of liquid, in the order in which it is laid. */
export interface Layer {
  readonly purpose: MixPurpose;
  readonly film: Micrometres;
}

/** What a contact does to a panel, per square metre. */
export interface Contacted {
  readonly layers: readonly Layer[];
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
}

export interface ContactRule {
  readonly kits: readonly Kit[];
  /**
   * @param loadGm2 load when the liquid is laid, after any flush
   * @param filmFactor of the waterless product
   */
  contact(
    loadGm2: number,
    filmFactor: number,
    bucket: BucketSystem,
    a: Assumptions,
  ): Contacted;
}

/** Encapsulation after a dwell: it approaches its most with the time constant τ. */
export const encapsulated = (most: number, dwellS: number, tauS: number): number =>
  most * (1 - Math.exp(-dwellS / tauS));
