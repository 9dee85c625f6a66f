/** Where things of the van stock are. Only what is outside has no bottom: it is bought from there and goes there when used. */
export const places = ['outside', 'shelf', 'reserved', 'dirty', 'soaking', 'drying', 'retired'] as const;
export type Place = (typeof places)[number];

/** Why something moved. */
export const movementKinds = [
  'bought',
  'counted',
  'reserved',
  'released',
  'used',
  'soaked',
  'washed',
  'dried',
  'retired',
  'handed-down',
  'kept',
  'poured-away',
  'charged',
  'drained',
] as const;
export type MovementKind = (typeof movementKinds)[number];

/** What the van stock counts: product in mL, towels in pieces, a mix in its vessel in mL, a battery in minutes. */
export type StockKind = 'product' | 'towel' | 'mix' | 'gear';
export type StockItem = `${StockKind}/${string}`;

/** So much of an item more, or less, at a place. */
export interface Entry {
  readonly item: StockItem;
  readonly place: Place;
  readonly amount: number;
}

/** There was so much of an item at a place when somebody looked, whatever had been noted until then. */
interface Count {
  readonly item: StockItem;
  readonly place: Place;
  readonly amount: number;
}

/** Something was moved, or counted. What leaves one place arrives at another: the amounts of each item add up to nothing. */
export interface Movement {
  readonly id: string;
  /** Higher than that of every movement known when it was posted: says what came after what, whatever the clock did. */
  readonly seq: number;
  /** Milliseconds since 1970, as the clock had it. */
  readonly at: number;
  readonly kind: MovementKind;
  readonly job: string | null;
  readonly note: string;
  /** ISO day on which what was bought goes off; null where nobody says. */
  readonly expiresOn: string | null;
  readonly entries: readonly Entry[];
  /** Left out where nothing was counted. */
  readonly counts?: readonly Count[];
}

/** By their numbers, which two tabs may have given alike; then by their time. */
export const byOrder = (p: Movement, q: Movement): number =>
  p.seq - q.seq || p.at - q.at || (p.id < q.id ? -1 : p.id > q.id ? 1 : 0);
