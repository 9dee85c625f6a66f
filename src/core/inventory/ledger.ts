import type { Entry, Movement, Place, StockItem, StockKind } from '../model';

/** How much of an item is at each place. */
type AtPlaces = Readonly<Partial<Record<Place, number>>>;

/** All items that ever moved, with where they are now. Derived, never stored. */
export type Balances = ReadonlyMap<StockItem, AtPlaces>;

/** Smaller than this is rounding. */
export const EPS = 1e-6;

export const stockItem = (kind: StockKind, id: string): StockItem => `${kind}/${id}`;

/** What the movements come to, in whatever order. */
export function balancesOf(movements: readonly Pick<Movement, 'entries'>[]): Balances {
  const balances = new Map<StockItem, Partial<Record<Place, number>>>();
  for (const { entries } of movements)
    for (const { item, place, amount } of entries) {
      const at = balances.get(item) ?? {};
      at[place] = (at[place] ?? 0) + amount;
      balances.set(item, at);
    }
  return balances;
}

/** Movements of each item, in the order of all: so that thousands are gone through once, and not once an item. */
export function movementsByItem(movements: readonly Movement[]): ReadonlyMap<StockItem, readonly Movement[]> {
  const byItem = new Map<StockItem, Movement[]>();
  for (const movement of movements)
    for (const item of new Set(movement.entries.map((entry) => entry.item))) {
      const own = byItem.get(item);
      if (own) own.push(movement);
      else byItem.set(item, [movement]);
    }
  return byItem;
}

/** So much of an item at a place; rounding is nothing. */
export function amountAt(balances: Balances, item: StockItem, place: Place): number {
  const amount = balances.get(item)?.[place] ?? 0;
  return Math.abs(amount) < EPS ? 0 : amount;
}

/** So much of an item from one place to another. */
export const moved = (item: StockItem, from: Place, to: Place, amount: number): readonly Entry[] =>
  amount === 0
    ? []
    : [
        { item, place: from, amount: -amount },
        { item, place: to, amount },
      ];

/** What a place is short of. */
export interface Missing {
  readonly item: StockItem;
  readonly place: Place;
  readonly amount: number;
}

/** What would be below nothing after a movement; outside there is no bottom. Empty: it may be posted. */
export function missingFor(balances: Balances, { entries }: Pick<Movement, 'entries'>): readonly Missing[] {
  const after = new Map<string, Missing>();
  for (const { item, place, amount } of entries) {
    if (place === 'outside') continue;
    const key = `${item} ${place}`;
    const before = after.get(key)?.amount ?? amountAt(balances, item, place);
    after.set(key, { item, place, amount: before + amount });
  }
  return [...after.values()].filter(({ amount }) => amount < -EPS).map((one) => ({ ...one, amount: -one.amount }));
}
