/** What the air lays on a car where it mostly stands. */
export const surroundings = ['coast', 'town', 'industrial', 'country'] as const;
export type Surroundings = (typeof surroundings)[number];

/** What stands between the car and the sky. */
export const shelters = ['garage', 'deck', 'street'] as const;
export type Shelter = (typeof shelters)[number];

export const roads = ['dry', 'wet', 'salted', 'unpaved'] as const;
export type Road = (typeof roads)[number];

/** A stretch of days since the last wash with one kind of weather and roads. */
export interface Leg {
  readonly days: number;
  readonly surroundings: Surroundings;
  readonly shelter: Shelter;
  /** Driven over the whole stretch. */
  readonly km: number;
  readonly road: Road;
}
