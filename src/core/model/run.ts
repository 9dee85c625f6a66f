import type { TowelRole } from './equipment';
import type { MixPurpose } from './product';
import type { ZoneId } from './zone';

/** What is done to a section of a zone at a time of its own; 0 is the zone as a whole. */
export const runActs = ['flush', 'wet', 'wipe', 'dry', 'glass'] as const;
export type RunAct = (typeof runActs)[number];

/** Something that happened beside the car. Times are kept, never counted, in milliseconds since 1970. */
export type RunEvent =
  | {
      readonly kind: RunAct;
      readonly zone: ZoneId;
      readonly section: number;
      /** Sections that the zone had by the plan of that time. */
      readonly of: number;
      readonly at: number;
    }
  /** Dirt came off on the drying towel: the zone is done once more. */
  | { readonly kind: 'again'; readonly zone: ZoneId; readonly section: 0; readonly of: 0; readonly at: number };

/** What was really used, beside what the plan had of it. */
export interface RunUse {
  /** Share of the work that was done when it ended, 0 to 1. */
  readonly doneShare: number;
  readonly plannedMin: number;
  readonly mixes: readonly { readonly purpose: MixPurpose; readonly plannedMl: number; readonly usedMl: number }[];
  readonly towels: readonly { readonly role: TowelRole; readonly planned: number; readonly opened: number }[];
}

/** A wash that has been begun. */
export interface Run {
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly events: readonly RunEvent[];
  /** null until it was counted. */
  readonly used: RunUse | null;
}
