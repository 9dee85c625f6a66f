import { newItem } from '@esmero/core';
import { type EntryItems, type MixPurpose, type TowelRole, asPractised } from '@esmero/model';
import { metres, ml, toMinor } from '@esmero/units';
import { freshId } from '@esmero/records';
import type { ProductRow, TowelRow } from './columns';
import type { Gathered, Here } from './gathered';
import { type Found, type Outcome, about, added } from './outcome';
import type { RowRead } from './rows';
import { ByName, asCompared } from './sameness';

const CM = 100;

/** By what two products, or two kinds of towel, of one name are told apart: as a row says it, and whether an item here is like that. */
interface Told<R, I> {
  readonly mark: (row: R) => string;
  readonly isLike: (row: R, item: I) => boolean;
}

const isSaid = (said: number | null, is: number): boolean => said === null || Math.abs(said - is) < 0.5;

const bottles: Told<ProductRow, EntryItems['product']> = {
  mark: ({ bottleMl }) => String(bottleMl),
  isLike: ({ bottleMl }, { sizeMl }) => isSaid(bottleMl, sizeMl),
};
const sizes: Told<TowelRow, EntryItems['towel']> = {
  mark: ({ role, widthCm, lengthCm, gsm }) => [role, widthCm, lengthCm, gsm].join('/'),
  isLike: ({ role, widthCm, lengthCm, gsm }, item) =>
    role === item.role &&
    isSaid(widthCm, item.widthM * CM) &&
    isSaid(lengthCm, item.heightM * CM) &&
    isSaid(gsm, item.gsm),
};

/** Which rows of one name are about different things: several bottles of a product, several sizes of a towel. */
class Variants<K extends 'product' | 'towel', R extends { readonly name: string }> {
  private readonly marks = new ByName<string>();
  /** By name and mark, what a row of this table was about. */
  private readonly made = new Map<string, string>();
  private readonly claimed = new Set<string>();

  constructor(
    rows: readonly R[],
    private readonly kind: K,
    private readonly told: Told<R, EntryItems[K]>,
    private readonly gathered: Gathered,
  ) {
    for (const row of rows)
      if (!this.marks.of(row.name).includes(told.mark(row))) this.marks.add(row.name, told.mark(row));
  }

  private keyOf(row: R): string {
    return JSON.stringify([asCompared(row.name), this.told.mark(row)]);
  }

  /** What an earlier row like it was about, what is like it here, or the only one of its name on both sides. */
  find(row: R): Found<EntryItems[K]> | undefined {
    const named = this.gathered.named(this.kind, row.name);
    const earlier = this.made.get(this.keyOf(row));
    if (earlier !== undefined) return named.find(({ item }) => item.id === earlier);
    const free = named.filter(({ item }) => !this.claimed.has(item.id));
    return (
      free.find(({ item }) => this.told.isLike(row, item)) ??
      (named.length === 1 && this.marks.of(row.name).length === 1 ? free[0] : undefined)
    );
  }

  note(row: R, id: string): void {
    this.made.set(this.keyOf(row), id);
    this.claimed.add(id);
  }
}

function productFrom(
  row: ProductRow,
  found: EntryItems['product'] | undefined,
  { currency }: Here,
): EntryItems['product'] {
  const before = found ?? { ...newItem.product(freshId('product')), name: row.name };
  const purpose = row.purpose as MixPurpose;
  const use = {
    purpose,
    dilution: { label: String(row.waterParts ?? 0), reading: 'water' as const },
    weakest: null,
    strongest: null,
    protectsDays: null,
    ...asPractised,
    origin: 'own' as const,
  };
  const isKnown = before.uses.some((one) => one.purpose === purpose);
  return {
    ...before,
    sizeMl: ml(row.bottleMl),
    priceMinor: row.price === null ? before.priceMinor : toMinor(row.price, currency),
    uses:
      row.waterParts === null
        ? before.uses
        : !found
          ? [use]
          : isKnown
            ? before.uses.map((one) => (one.purpose === purpose ? { ...one, dilution: use.dilution } : one))
            : [...before.uses, use],
    origin: 'own',
  };
}

function towelFrom(row: TowelRow, found: EntryItems['towel'] | undefined): EntryItems['towel'] {
  const before = found ?? { ...newItem.towel(freshId('towel')), name: row.name };
  return {
    ...before,
    role: row.role as TowelRole,
    clean: row.clean,
    widthM: row.widthCm === null ? before.widthM : metres(row.widthCm / CM),
    heightM: row.lengthCm === null ? before.heightM : metres(row.lengthCm / CM),
    gsm: row.gsm ?? before.gsm,
    origin: 'own',
  };
}

/** Takes one row, and says what became of it. */
export type TakeRow<R> = (row: R) => Outcome;

/** Takes rows of a kind of stock, one after the other. */
function takingStock<K extends 'product' | 'towel', R extends { readonly name: string }>(
  kind: K,
  rows: readonly RowRead[],
  told: Told<R, EntryItems[K]>,
  itemFrom: (row: R, found: EntryItems[K] | undefined) => EntryItems[K],
  gathered: Gathered,
): TakeRow<R> {
  const sound = rows.flatMap(({ values, faults }) => (faults.length === 0 ? [values as unknown as R] : []));
  const variants = new Variants<K, R>(sound, kind, told, gathered);
  return (row: R) => {
    const found = variants.find(row);
    const item = itemFrom(row, found?.item);
    gathered.put(kind, item);
    variants.note(row, item.id);
    return found ? about(found) : added;
  };
}

export const takingProducts = (rows: readonly RowRead[], here: Here, gathered: Gathered): TakeRow<ProductRow> =>
  takingStock('product', rows, bottles, (row, found) => productFrom(row, found, here), gathered);

export const takingTowels = (rows: readonly RowRead[], gathered: Gathered): TakeRow<TowelRow> =>
  takingStock('towel', rows, sizes, towelFrom, gathered);
