import { type Entry, type Movement, type Place, type StockItem, byOrder } from '../model';
import { EPS } from './ledger';

/** What is where, as movements are gone through. */
class Going {
  private readonly amounts = new Map<StockItem, Partial<Record<Place, number>>>();

  at(item: StockItem, place: Place): number {
    return this.amounts.get(item)?.[place] ?? 0;
  }

  add({ item, place, amount }: Entry): void {
    const at = this.amounts.get(item);
    if (at) at[place] = (at[place] ?? 0) + amount;
    else this.amounts.set(item, { [place]: amount });
  }
}

/** What an entry takes instead where that is not there; null where it is. What is missing comes from outside, since what arrived has arrived. */
function taken(entry: Entry, going: Going): readonly Entry[] | null {
  const { item, place, amount } = entry;
  if (place === 'outside') return null;
  const there = Math.max(0, going.at(item, place));
  if (-amount <= there + EPS) return null;
  return [...(there > 0 ? [{ item, place, amount: -there }] : []), { item, place: 'outside', amount: amount + there }];
}

function settledOne(movement: Movement, going: Going): Movement {
  const entries: Entry[] = [];
  let isAsPosted = true;
  const post = (entry: Entry): void => {
    going.add(entry);
    entries.push(entry);
  };
  // What comes first, so that what passes through a place is there when it goes on.
  for (const entry of movement.entries) if (entry.amount >= 0) post(entry);
  for (const entry of movement.entries) {
    if (entry.amount >= 0) continue;
    const other = taken(entry, going);
    if (other) isAsPosted = false;
    (other ?? [entry]).forEach(post);
  }
  for (const { item, place, amount } of movement.counts ?? []) {
    const change = amount - going.at(item, place);
    if (Math.abs(change) < EPS) continue;
    post({ item, place: 'outside', amount: -change });
    post({ item, place, amount: change });
    isAsPosted = false;
  }
  // Nearly all of thousands are: no copy is made of those.
  return isAsPosted ? movement : { ...movement, entries };
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
