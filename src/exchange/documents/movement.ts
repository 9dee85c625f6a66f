import { MOST_ORDER, type Movement, movementKinds, places } from '@esmero/model';
import { Between, Day, Id, Many, Maybe, Moment, OneOf, OrNull, StockId, Text, WholeBetween, check } from './rules';

const unbalanced = (entries: unknown): boolean => {
  if (!Array.isArray(entries)) return false;
  const sums = new Map<string, number>();
  for (const { item, amount } of entries as Movement['entries']) sums.set(item, (sums.get(item) ?? 0) + amount);
  return [...sums.values()].some((sum) => Math.abs(sum) > 1e-6);
};

export class EntryDocument {
  @StockId() item!: string;
  @OneOf(places) place!: string;
  @Between(-100_000_000, 100_000_000) amount!: number;
}

export class CountDocument {
  @StockId() item!: string;
  @OneOf(places.filter((place) => place !== 'outside')) place!: string;
  @Between(0, 100_000_000) amount!: number;
}

/** Something that was moved, or counted, in the van stock. */
export class MovementDocument {
  @Id() id!: string;
  @WholeBetween(1, MOST_ORDER) seq!: number;
  @Moment() at!: number;
  @OneOf(movementKinds) kind!: string;
  @OrNull() @Id() job!: string | null;
  @Text(500) note!: string;
  @OrNull() @Day() expiresOn!: string | null;
  @check('balance', (value) => !unbalanced(value), { code: 'balance' })
  @Many(() => EntryDocument, 1000)
  entries!: EntryDocument[];
  @Maybe() @Many(() => CountDocument, 1000) counts?: CountDocument[];
}
