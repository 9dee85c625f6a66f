import type { HabitSet } from './choices';
import type { Client } from './client';
import type { TowelBatch, Vessel } from './equipment';
import type { Calibration, PracticeSession } from './eye';
import type { Gear } from './gear';
import type { Job } from './job';
import type { Photo } from './mark';
import type { Movement } from './movement';
import type { Business } from './price';
import type { Product } from './product';
import type { Package } from './scope';
import type { Blocked, DaySetUp, LotSetUp, VanSetUp } from './set-up';
import type { Site } from './site';
import type { Vehicle } from './vehicle';

/** What jobs draw on. */
export const libraryKinds = ['vehicle', 'site', 'product', 'towel', 'vessel', 'gear', 'habits', 'package'] as const;
export type LibraryKind = (typeof libraryKinds)[number];

export interface LibraryItems {
  readonly vehicle: Vehicle;
  readonly site: Site;
  readonly product: Product;
  readonly towel: TowelBatch;
  readonly vessel: Vessel;
  readonly gear: Gear;
  readonly habits: HabitSet;
  readonly package: Package;
}

/** What is kept like items of the library, but has pages of its own. */
export const entryKinds = [
  ...libraryKinds,
  'van',
  'day',
  'lot',
  'client',
  'business',
  'blocked',
  'calibration',
  'practice',
] as const;
export type EntryKind = (typeof entryKinds)[number];

export interface EntryItems extends LibraryItems {
  readonly van: VanSetUp;
  readonly day: DaySetUp;
  readonly lot: LotSetUp;
  readonly client: Client;
  readonly business: Business;
  readonly blocked: Blocked;
  readonly calibration: Calibration;
  readonly practice: PracticeSession;
}

/** An item of the library; archived ones stay for old jobs but are not offered. */
export type LibraryEntry<K extends EntryKind = EntryKind> = {
  readonly [Kind in K]: {
    readonly kind: Kind;
    readonly archived: boolean;
    readonly item: EntryItems[Kind];
  };
}[K];

/** Everything a user has. */
export interface Collection {
  readonly library: readonly LibraryEntry[];
  readonly jobs: readonly Job[];
  /** All that ever moved in the van stock, oldest first. */
  readonly movements: readonly Movement[];
  /** Pictures of the jobs, as far as they are in it. */
  readonly photos: readonly Photo[];
}
