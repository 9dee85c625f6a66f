import type { ZoneId } from './zone';

export const soilKinds = ['dust', 'pollen', 'road-film', 'fallout', 'salt', 'grit', 'mud', 'brake-dust'] as const;
export type SoilKind = (typeof soilKinds)[number];

/** Steps of the scale for the eye, 0 clean to 5 caked. */
export const soilLevels = [0, 1, 2, 3, 4, 5] as const;
export type SoilLevel = (typeof soilLevels)[number];

/** Spots that are counted. */
export const spotKinds = ['droppings', 'sap', 'tar'] as const;
export type SpotKind = (typeof spotKinds)[number];

/** Bug splatter is not counted but judged by how much of the panel it covers. */
export const bugCovers = ['few', 'many', 'covered'] as const;
export type BugCover = (typeof bugCovers)[number];

export interface Deposit {
  readonly kind: SoilKind;
  readonly level: SoilLevel;
}

export type SpotCounts = Readonly<Partial<Record<SpotKind, number>>>;

/** What a wipe test found on a zone: all deposits together. */
export interface MeasuredLoad {
  readonly loadGm2: number;
  /** Right within this factor. */
  readonly spread: number;
}

/** What was seen on one zone: at most one deposit of a kind. */
export interface ZoneSoil {
  readonly deposits: readonly Deposit[];
  readonly spots: SpotCounts;
  /** Missing where there is none. */
  readonly bugs?: BugCover;
  /** Missing where it was judged by eye. */
  readonly measured?: MeasuredLoad;
}

/** Zones that are missing here have not been looked at. */
export type SoilMap = Readonly<Partial<Record<ZoneId, ZoneSoil>>>;
