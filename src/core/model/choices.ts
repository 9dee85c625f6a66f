import type { AssumptionOverrides } from '../assumptions';
import type { Habits } from './habits';
import type { TreatmentId } from './treatment';
import type { ZoneId } from './zone';

export const vehicleMethods = ['waterless', 'rinseless', 'shampoo', 'hybrid', 'decline'] as const;
export type VehicleMethod = (typeof vehicleMethods)[number];

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
