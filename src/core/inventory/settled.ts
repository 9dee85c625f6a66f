import { type Entry, type Movement, type Place, type StockItem, byOrder } from '../model';
import { EPS } from './ledger';

/** What is where, as movements are gone through. */
class Going {
  private readonly amounts = new Map<string, number>();

  at(item: StockItem, place: Place): number {
    return this.amounts.get(`${place} ${item}`) ?? 0;
  }

  add({ item, place, amount }: Entry): void {
    this.amounts.set(`${place} ${item}`, this.at(item, place) + amount);
  }
}

/** What an entry really takes: never more than is there. What is missing comes from outside, since what arrived has arrived. */
function taken(entry: Entry, going: Going): readonly Entry[] {
  const { item, place, amount } = entry;
  if (place === 'outside' || amount >= 0) return [entry];
  const there = Math.max(0, going.at(item, place));
  if (-amount <= there + EPS) return [entry];
  return [...(there > 0 ? [{ item, place, amount: -there }] : []), { item, place: 'outside', amount: amount + there }];
}

function settledOne(movement: Movement, going: Going): Movement {
  const entries: Entry[] = [];
  const post = (entry: Entry): void => {
    going.add(entry);
    entries.push(entry);
  };
  // What comes first, so that what passes through a place is there when it goes on.
  for (const entry of movement.entries) if (entry.amount >= 0) post(entry);
  for (const entry of movement.entries) if (entry.amount < 0) taken(entry, going).forEach(post);
  for (const { item, place, amount } of movement.counts ?? []) {
    const change = amount - going.at(item, place);
    if (Math.abs(change) < EPS) continue;
    post({ item, place: 'outside', amount: -change });
    post({ item, place, amount: change });
  }
  return { ...movement, entries };
}

/**
 * Movements in their order, each with what it really moved. A count says how much there is: all before it is settled by it, all after it
 * goes on from there. So bookings and counts of any number of tabs come to one balance, in whatever order they are heard of, and nothing
 * inside is ever below nothing.
 */
export function settled(movements: readonly Movement[]): readonly Movement[] {
  const going = new Going();
  return [...movements].sort(byOrder).map((movement) => settledOne(movement, going));
}
