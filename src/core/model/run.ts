import type { Celsius, Millilitres } from '../units';
import type { VehicleMethod } from './choices';
import type { TowelRole } from './equipment';
import type { Bottled, MixPurpose } from './product';
import type { Site } from './site';
import type { ZoneId } from './zone';

/** Mixes that stand in a vessel. */
export type VesselMix = Exclude<MixPurpose, Bottled>;

/** What is done to a section of a zone at a time of its own; 0 is the zone as a whole. */
export const runActs = ['flush', 'wet', 'wipe', 'dry', 'glass', 'protect'] as const;
export type RunAct = (typeof runActs)[number];

/** What a visit has besides the work, on a clock of its own: from arriving to the run, and from the last panel to its end. */
const visitParts = ['before', 'after'] as const;
export type VisitPart = (typeof visitParts)[number];

/** What has a pace that can be told from the clock. */
export const pacedActs = [...runActs, ...visitParts] as const;
export type PacedAct = (typeof pacedActs)[number];

/** A section was done. Times are kept, never counted, in milliseconds since 1970. */
export interface Tick {
  readonly kind: RunAct;
  readonly zone: ZoneId;
  readonly section: number;
  /** Sections that the zone had by the plan of that time. */
  readonly of: number;
  /** Who did it, from 0; null where nobody noted that. */
  readonly by: number | null;
  readonly at: number;
}

/** Seconds that an act took by the ticks, beside what the plan had for the same sections. */
export interface Pace {
  readonly act: PacedAct;
  readonly plannedS: number;
  readonly tookS: number;
}

/** What turned out otherwise beside the car: the rest is planned again from what is left. */
export type ReplanEvent = { readonly at: number } &
  /** Dirt came off on the drying towel: the zone is done once more. */
  (
    | { readonly kind: 'again'; readonly zone: ZoneId }
    /** The towel in use fell on the ground, or is soaked through. */
    | { readonly kind: 'towel-out'; readonly role: TowelRole; readonly worker: number }
    /** The side in use takes no more, whatever was reckoned. */
    | { readonly kind: 'side-full'; readonly role: TowelRole; readonly worker: number }
    | { readonly kind: 'workers'; readonly workers: Site['workers'] }
    | { readonly kind: 'panels'; readonly panelC: Celsius }
    /** A zone is worse than marked, or lighter, by so many steps of the scale for the eye. */
    | { readonly kind: 'soil'; readonly zone: ZoneId; readonly steps: 1 | -1 }
    | { readonly kind: 'weather'; readonly weather: WeatherChange }
    /** What a vessel still holds. */
    | { readonly kind: 'mix-left'; readonly purpose: VesselMix; readonly ml: Millilitres }
    /** There is no more of the product to mix this from, and the vessel is empty. */
    | { readonly kind: 'product-out'; readonly purpose: VesselMix }
    /** What the tank still holds, besides what stands mixed. */
    | { readonly kind: 'water-left'; readonly litres: number }
    /** The towel drags: more liquid and smaller sections from here on. */
    | { readonly kind: 'drags' }
    /** It smears, nothing lifts: a longer dwell from here on. */
    | { readonly kind: 'smears' }
    /** It crackles under the towel: there is grit on it. */
    | { readonly kind: 'crackles'; readonly zone: ZoneId }
    /** The washed half shows marks that the other has not: more careful from here on. */
    | { readonly kind: 'new-marks' }
    /** Zones that are left for another time. */
    | { readonly kind: 'leave'; readonly zones: readonly ZoneId[] }
  );

/** How weather turns: each is read as the site would be set for it. */
export const weatherChanges = ['sun', 'cloud', 'wind', 'calm', 'rain'] as const;
export type WeatherChange = (typeof weatherChanges)[number];

export const replanEventKinds = [
  'again',
  'towel-out',
  'side-full',
  'workers',
  'panels',
  'soil',
  'weather',
  'mix-left',
  'product-out',
  'water-left',
  'drags',
  'smears',
  'crackles',
  'new-marks',
  'leave',
] as const satisfies readonly ReplanEvent['kind'][];

/** Something that happened beside the car. */
export type Noted = Tick | ReplanEvent;

/** Something that was noted. Its number says what came after what, even where the clock was set meanwhile. */
export type RunEvent = Noted & { readonly seq: number };

export const isTick = <E extends Noted>(event: E): event is E & Tick =>
  (runActs as readonly string[]).includes(event.kind);

/** What was really used, beside what the plan had of it. */
export interface RunUse {
  /** When it was counted. */
  readonly at: number;
  /** Why it was counted again; empty the first time. */
  readonly because: string;
  /** How the car was done; null in counts from before this was noted. */
  readonly method: VehicleMethod | null;
  /** Share of the work that was done when it ended, 0 to 1. */
  readonly doneShare: number;
  readonly plannedMin: number;
  /** Of it what goes by the pace of a hand: not set-up, packing, walks or waits. Not in counts from before this was noted. */
  readonly handMin?: number;
  /** Drawn for mixes and flushes, and run off, as reckoned for what was done; null in counts from before this was noted. */
  readonly waterL: number | null;
  readonly runoffL: number | null;
  /** For acts whose time can be told from the ticks. */
  readonly paces: readonly Pace[];
  /** What lay on the zones that were looked at, beside what our own figures would have forecast for them; null where either is not known. */
  readonly soil: { readonly seenG: number; readonly forecastG: number } | null;
  readonly mixes: readonly { readonly purpose: MixPurpose; readonly plannedMl: number; readonly usedMl: number }[];
  readonly towels: readonly { readonly role: TowelRole; readonly planned: number; readonly opened: number }[];
}

/** A wash that has been begun. */
export interface Run {
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly events: readonly RunEvent[];
  /** Every count of what was used; the last one holds, the others are kept. */
  readonly counts: readonly RunUse[];
  /** What is still to be done, or was found, in the order of noting. */
  readonly punch: readonly PunchItem[];
}

/** Something for later: a corner to go over, tyres to dress after the drive. */
export interface PunchItem {
  readonly id: string;
  readonly text: string;
  readonly zone: ZoneId | null;
  readonly done: boolean;
}

/** The count that holds; null until it was counted. */
export const usedIn = ({ counts }: Pick<Run, 'counts'>): RunUse | null => counts.at(-1) ?? null;
