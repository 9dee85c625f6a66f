import type { Movement, Product, StockItem, TowelBatch } from '../model';
import type { Day } from '../units';
import { type Balances, EPS, amountAt, type movementsByItem, stockItem } from './ledger';

const DAY_MS = 86_400_000;
/** The pace is that of so many days at the most, and of at least a week. */
const PACE_DAYS = 60;
const LEAST_DAYS = 7;
/** Bought before it runs out within so many days, and enough for so many: judged. */
const SOON_DAYS = 14;
const ENOUGH_DAYS = 45;
/** Goes off within so many days: worth a word. */
const EXPIRES_DAYS = 30;

/** How fast an item goes, and how long it lasts at that pace. */
export interface Outlook {
  readonly item: StockItem;
  readonly inStock: number;
  readonly reserved: number;
  readonly perDay: number;
  /** null while nothing is being used. */
  readonly daysLeft: number | null;
}

/** What was used of an item in a stretch of time, less what was taken back. */
const usedBetween = (movements: readonly Movement[], item: StockItem, since: number, now: number): number =>
  movements
    .filter(({ kind, at }) => kind === 'used' && at >= since && at <= now)
    .flatMap(({ entries }) => entries)
    .filter((entry) => entry.item === item && (entry.place === 'shelf' || entry.place === 'reserved'))
    .reduce((sum, { amount }) => sum - amount, 0);

/** How long an item lasts at the pace of the last two months. */
export function outlookOf(item: StockItem, movements: readonly Movement[], balances: Balances, now: number): Outlook {
  const first = movements.find(({ entries }) => entries.some((entry) => entry.item === item))?.at ?? now;
  const since = Math.max(Math.min(first, now), now - PACE_DAYS * DAY_MS);
  const days = Math.max(LEAST_DAYS, (now - since) / DAY_MS);
  const [inStock, reserved] = [amountAt(balances, item, 'shelf'), amountAt(balances, item, 'reserved')];
  const perDay = usedBetween(movements, item, since, now) / days;
  return { item, inStock, reserved, perDay, daysLeft: perDay > 0 ? (inStock + reserved) / perDay : null };
}

/** What was bought with a day on it, as far as it should still be there: the oldest goes first. */
export interface Lot {
  readonly at: number;
  readonly expiresOn: string | null;
  readonly left: number;
  /** First taken from; null for one that is closed. */
  readonly openedAt: number | null;
}

type Filling = { -readonly [K in keyof Lot]: Lot[K] };

/** Takes so much out of lots, one after the other, and tells the last that it has come to. */
function takeOut(lots: readonly Filling[], from: number, step: 1 | -1, amount: number, opensAt: number | null): number {
  let [out, last] = [amount, from];
  for (let at = from; out > EPS; at += step) {
    const lot = lots[at];
    if (!lot) break;
    const now = Math.min(lot.left, out);
    if (now > 0) {
      lot.openedAt ??= opensAt;
      last = at;
    }
    lot.left -= now;
    out -= now;
  }
  return last;
}

/**
 * The lots of a product that are not used up, the oldest first. What is used comes out of the oldest;
 * a purchase that is taken back, out of the last one; what was not used after all goes back to where
 * it was taken from last.
 */
export function lotsOf(item: StockItem, movements: readonly Movement[]): readonly Lot[] {
  const lots: Filling[] = [];
  // The last that was opened; all before it are used up, and years of them are not gone through again.
  let opened = 0;
  for (const { at, kind, expiresOn, entries } of movements) {
    let change = 0;
    for (const entry of entries) if (entry.item === item && entry.place !== 'outside') change += entry.amount;
    const open = lots[opened]?.openedAt == null ? undefined : lots[opened];
    if (change > 0 && kind === 'used' && open) open.left += change;
    else if (change > 0) lots.push({ at, expiresOn, left: change, openedAt: null });
    else if (kind === 'bought') takeOut(lots, lots.length - 1, -1, -change, null);
    else opened = takeOut(lots, opened, 1, -change, at);
  }
  return lots.filter(({ left }) => left > EPS);
}

/** Is this lot past its day, or nearly? */
export function expiry({ expiresOn }: Pick<Lot, 'expiresOn'>, today: string): 'over' | 'soon' | null {
  if (expiresOn === null) return null;
  const days = (Date.parse(expiresOn) - Date.parse(today)) / DAY_MS;
  return days < 0 ? 'over' : days <= EXPIRES_DAYS ? 'soon' : null;
}

/** All that moved of each item, and what is where. */
export interface Stock {
  readonly byItem: ReturnType<typeof movementsByItem>;
  readonly balances: Balances;
}

/** Now, milliseconds since 1970, and the day that it is where the stock is. */
export interface When {
  readonly now: number;
  readonly today: Day;
}

/** Something to buy: so many bottles, or so many towels. */
export interface ToBuy {
  readonly item: StockItem;
  readonly name: string;
  readonly count: number;
  readonly why: 'runs-out' | 'expired' | 'worn-out';
  /** null when the price is not known. */
  readonly costMinor: number | null;
}

/** How often a towel of a batch was washed, on the mean. */
export function washesOf(batch: TowelBatch, movements: readonly Movement[], balances: Balances): number {
  const item = stockItem('towel', batch.id);
  const washed = movements
    .filter(({ kind }) => kind === 'washed')
    .flatMap(({ entries }) => entries)
    .filter((entry) => entry.item === item && entry.amount > 0)
    .reduce((sum, { amount }) => sum + amount, 0);
  const owned = (['shelf', 'reserved', 'dirty', 'soaking', 'drying'] as const).reduce(
    (sum, place) => sum + amountAt(balances, item, place),
    0,
  );
  return owned > 0 ? washed / owned : 0;
}

/** @param movements of this product */
function productWanted(
  product: Product,
  movements: readonly Movement[],
  balances: Balances,
  { now, today }: When,
): readonly ToBuy[] {
  const item = stockItem('product', product.id);
  const { inStock, reserved, perDay, daysLeft } = outlookOf(item, movements, balances, now);
  const gone = lotsOf(item, movements)
    .filter((lot) => expiry(lot, today) === 'over')
    .reduce((sum, { left }) => sum + left, 0);
  const lacking = Math.max(0, perDay * ENOUGH_DAYS - (inStock + reserved - gone));
  const soon = daysLeft !== null && daysLeft < SOON_DAYS;
  if (!soon && gone === 0) return [];
  const count = Math.max(1, Math.ceil(lacking / product.sizeMl - 1e-9));
  const costMinor = product.priceMinor === null ? null : product.priceMinor * count;
  return [{ item, name: product.name, count, why: soon ? 'runs-out' : 'expired', costMinor }];
}

/** What to buy: what runs out within a fortnight or has gone off, and towels for those that are worn out. */
export function shoppingList(
  products: readonly Product[],
  batches: readonly TowelBatch[],
  stock: Stock,
  lifeWashes: number,
  when: When,
): readonly ToBuy[] {
  const { byItem, balances } = stock;
  const of = (item: StockItem): readonly Movement[] => byItem.get(item) ?? [];
  const worn = batches.filter(
    (batch) => batch.role !== 'wheels' && washesOf(batch, of(stockItem('towel', batch.id)), balances) >= lifeWashes,
  );
  return [
    ...products.flatMap((product) => productWanted(product, of(stockItem('product', product.id)), balances, when)),
    ...worn.map((batch): ToBuy => {
      const item = stockItem('towel', batch.id);
      return {
        item,
        name: batch.name,
        count: Math.max(1, amountAt(balances, item, 'shelf')),
        why: 'worn-out',
        costMinor: null,
      };
    }),
  ];
}
