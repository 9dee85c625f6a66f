import type { CleanlinessClass, Fold, TowelBatch, TowelRole, ZoneId } from '../model';
import type { SideUse } from './capacity';
import type { Slot } from './slot';

/** A part of a zone on one side. */
export interface SideEntry {
  readonly zoneId: ZoneId;
  /** Number of the pass in which it was taken up. */
  readonly pass: number;
  readonly cleanliness: CleanlinessClass;
  /** Share of the zone's wiping, 0 to 1. */
  readonly share: number;
  readonly dirtG: number;
  readonly liquidMl: number;
}

/** One side of one towel with what it took up. Shares are of that limit, 0 to 1. */
export interface UsedSide {
  readonly number: number;
  readonly use: SideUse;
  readonly slot: Slot;
  readonly cleanliness: CleanlinessClass;
  readonly entries: readonly SideEntry[];
  readonly dirtShare: number;
  readonly liquidShare: number;
  readonly reachShare: number;
}

export interface UsedTowel {
  /** Counted from 1 in the order of opening, per worker. */
  readonly number: number;
  readonly worker: number;
  readonly batchId: string;
  readonly batchName: string;
  readonly role: TowelRole;
  /** Sides that it shows as it is folded. */
  readonly fold: Fold;
  /** Opened before this plan begins. */
  readonly begun: boolean;
  /** Not in the pile: has to be found before the job can be done like this. */
  readonly missing: boolean;
  /** Put down, and taken up again for something dirtier. */
  readonly demoted: boolean;
  /** Wetted in the bucket before the work. */
  readonly wetted: boolean;
  /** Wetted again from a cup after this side; null where it is not. */
  readonly rewetAfter: number | null;
  /** In the order of the hand; one that is taken up again for wheels comes twice. */
  readonly sides: readonly UsedSide[];
}

/** A towel that was opened before a plan begins. */
export interface OpenTowel {
  readonly number: number;
  readonly worker: number;
  readonly batch: TowelBatch;
  /** Sides that have served, and sides that are left. */
  readonly used: number;
  readonly left: number;
  /** Share of the first that is left which is filled, 0 to 1. */
  readonly partial: number;
  /** The dirtiest that it has touched. */
  readonly leastClass: CleanlinessClass;
  readonly wetted: boolean;
  /** Wetted again from a cup since. */
  readonly rewet: boolean;
  /** For what it is in a hand; null where it was put down. */
  readonly slot: Slot | null;
}
