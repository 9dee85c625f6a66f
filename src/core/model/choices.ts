import type { AssumptionOverrides } from '../assumptions';
import type { TreatmentId } from './treatment';
import type { ZoneId } from './zone';

/** How much marring risk is accepted. */
export const schools = ['cautious', 'balanced', 'permissive'] as const;
export type School = (typeof schools)[number];

export const wheelSchools = ['auto', 'first', 'last'] as const;
export type WheelSchool = (typeof wheelSchools)[number];

export const glassSchools = ['first', 'last'] as const;
export type GlassSchool = (typeof glassSchools)[number];

/** How the rinseless medium is kept clean. */
export const bucketSystems = ['many-towels', 'one-guarded', 'two-buckets', 'three-buckets'] as const;
export type BucketSystem = (typeof bucketSystems)[number];

/** A damp finishing towel leaves the job, or goes down to sills, shuts and wheels. */
export const soakedTowelSchools = ['retire', 'demote'] as const;
export type SoakedTowelSchool = (typeof soakedTowelSchools)[number];

export const vehicleMethods = ['waterless', 'rinseless', 'hybrid', 'decline'] as const;
export type VehicleMethod = (typeof vehicleMethods)[number];

export interface Choices {
  readonly school: School;
  /** 'auto' takes the best; a method takes the best plan of that kind. */
  readonly method: 'auto' | VehicleMethod;
  readonly wheels: WheelSchool;
  readonly glass: GlassSchool;
  readonly bucket: BucketSystem;
  readonly soakedTowel: SoakedTowelSchool;
  /** Sides used of a pre-soaked towel: four, or all eight with solution poured on from a cup. */
  readonly soakedSides: 4 | 8;
  /** Treatments fixed by hand; 'leave' takes the zone out of the job. */
  readonly fixed: Readonly<Partial<Record<ZoneId, TreatmentId>>>;
  readonly assumptions: AssumptionOverrides;
}
