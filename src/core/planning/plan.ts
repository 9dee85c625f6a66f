import type { Advice, DilutionNotations, MixPlan } from '../mix';
import type { Bottled, TreatmentId, VehicleMethod, Zone, ZoneId } from '../model';
import type { Caution, Figure, Gate, Verdict } from '../reasons';
import type { Kit, Option, StartState } from '../rules';
import type { Lap } from '../passes';
import type { Timeline } from '../schedule';
import type { SoilState } from '../soil';
import type { UsedMitt, UsedTowel } from '../towel';
import type { BlockedZone, Shortage } from './choose';
import type { HotWater } from './hot-water';
import type { LaterTask } from './later';
import type { LeftBecause } from './parts';
import type { Question } from './questions';

/** A zone with its soil and what is done to it; `weighZone` has what was weighed against that. */
export interface ZonePlan {
  readonly zone: Zone;
  readonly soil: SoilState;
  readonly treatment: TreatmentId;
  /** Was asked for. */
  readonly inScope: boolean;
  /** Left out by hand rather than by the plan. */
  readonly leftByHand: boolean;
  /** Why the plan leaves it out; null where it does not. */
  readonly leftBecause: LeftBecause | null;
  /** The chosen treatment worked out; null for a zone that is left. */
  readonly option: Option | null;
  /** In which it is wiped; null for a zone that is left. */
  readonly lap: Lap | null;
}

export interface Totals {
  readonly minutes: Figure;
  readonly litres: Figure;
  readonly productMl: Figure;
  readonly towels: Figure;
  /** Mean over the area that is worked on. */
  readonly index: Figure;
  readonly runoffL: Figure;
  /** null when a price is missing. */
  readonly costMinor: Figure | null;
}

/** A method laid beside the others. */
export interface Alternative {
  readonly method: VehicleMethod;
  readonly outcome:
    | {
        readonly kind: 'feasible';
        readonly cost: number;
        readonly totals: Totals;
        readonly worst: { readonly zoneId: ZoneId; readonly index: number } | null;
        /** Parts of the car that it leaves out. */
        readonly leaves: number;
      }
    | {
        readonly kind: 'blocked';
        readonly blocked: readonly BlockedZone[];
        readonly missing: readonly Gate[];
        readonly shortages: readonly Shortage[];
      }
    /** The best plan with every freedom is a pure one. */
    | { readonly kind: 'collapses'; readonly into: VehicleMethod }
    | { readonly kind: 'not-today' };
}

/** A product that is used out of the bottle it is sold in. */
export interface Bottle {
  readonly purpose: Bottled;
  readonly productName: string;
  /** As it comes out of the bottle, and the product in it. */
  readonly ml: number;
  readonly productMl: number;
  /** Kept for a second go where the first does not lift it all, as it comes out of the bottle. */
  readonly reserveMl: number;
  /** How it is thinned in its bottle; null as it is sold. */
  readonly strength: DilutionNotations | null;
  /** On which panels. */
  readonly zones: readonly ZoneId[];
}

export interface Plan {
  readonly method: VehicleMethod;
  readonly verdicts: readonly Verdict[];
  readonly zones: readonly ZonePlan[];
  /** Where it starts from. */
  readonly begun: StartState;
  readonly kits: readonly Kit[];
  readonly mix: MixPlan;
  readonly bottles: readonly Bottle[];
  /** What is left for after the drive home; null where nothing is. */
  readonly later: LaterTask | null;
  readonly towels: readonly UsedTowel[];
  /** Mitts or sponges that are rinsed in the buckets; none where wetted towels wash. */
  readonly mitts: readonly UsedMitt[];
  readonly timeline: Timeline;
  readonly totals: Totals;
  /** The time to give the client, with what is not on the clock of the work. */
  readonly slot: Figure;
  readonly alternatives: readonly Alternative[];
  readonly cautions: readonly Caution[];
  /** Strengths that today asks for, of the mixes that are made, where their labels allow a band. */
  readonly advice: readonly Advice[];
  readonly hotWater: HotWater | null;
  /** Where a closer look at the soil might change the answer. */
  readonly questions: readonly Question[];
}
