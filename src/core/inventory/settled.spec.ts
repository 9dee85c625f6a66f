import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Movement, type StockItem, orderAfter, places } from '../model';
import { runs } from '@esmero/testing';
import { type Draft, counting, draft, takingBack } from './booking';
import { amountAt, balancesOf, moved } from './ledger';
import { settled } from './settled';

const ITEM: StockItem = 'product/foam';

/** A tab: what it has heard of, and how it posts. */
class Tab {
  heard: readonly Movement[] = [];

  constructor(private readonly name: string) {}

  post(one: Draft, at: number): Movement {
    const seq = orderAfter(settled(this.heard).at(-1)?.seq ?? 0);
    const movement = { ...one, id: `${this.name}-${this.heard.length}`, seq, at };
    this.heard = [...this.heard, movement];
    return movement;
  }

  hear(movement: Movement): void {
    if (!this.heard.some(({ id }) => id === movement.id)) this.heard = [...this.heard, movement];
  }

  get shelf(): number {
    return amountAt(balancesOf(settled(this.heard)), ITEM, 'shelf');
  }
}

describe('stock that two tabs count', () => {
  it('is what the later of them counted, on both', () => {
    const [one, two] = [new Tab('a'), new Tab('b')];
    const first = one.post(draft('bought', moved(ITEM, 'outside', 'shelf', 14)), 0);
    two.hear(first);
    const counts = [one.post(counting(ITEM, 'shelf', 1), 100), two.post(counting(ITEM, 'shelf', 4), 160)] as const;
    one.hear(counts[1]);
    two.hear(counts[0]);
    expect([one.shelf, two.shelf]).toEqual([4, 4]);
  });

  it('goes on from the count with what was booked after it, and is settled of what was before', () => {
    const tab = new Tab('a');
    tab.post(draft('bought', moved(ITEM, 'outside', 'shelf', 10)), 0);
    tab.post(draft('used', moved(ITEM, 'shelf', 'outside', 3)), 1);
    tab.post(counting(ITEM, 'shelf', 5), 2);
    tab.post(draft('used', moved(ITEM, 'shelf', 'outside', 2)), 3);
    expect(tab.shelf).toBe(3);
    // Something of before that is heard of only now.
    tab.hear({ ...draft('used', moved(ITEM, 'shelf', 'outside', 1)), id: 'late', seq: 2, at: 1 });
    expect(tab.shelf).toBe(3);
    const count = settled(tab.heard).find(({ counts }) => counts)!;
    expect(count.entries).toEqual(moved(ITEM, 'outside', 'shelf', -1));
    tab.post(takingBack(count), 4);
    expect(tab.shelf).toBe(4);
  });

  type Step = readonly ['buy' | 'use' | 'launder' | 'count', number, number, boolean];
  const step: fc.Arbitrary<Step> = fc.tuple(
    fc.constantFrom('buy', 'use', 'launder', 'count'),
    fc.integer({ min: 0, max: 20 }),
    fc.nat(2),
    fc.boolean(),
  );
  const drafts: Readonly<Record<Step[0], (amount: number) => Draft>> = {
    buy: (amount) => draft('bought', moved(ITEM, 'outside', 'shelf', amount)),
    use: (amount) => draft('used', moved(ITEM, 'shelf', 'dirty', amount)),
    launder: (amount) => draft('dried', moved(ITEM, 'dirty', 'shelf', amount)),
    count: (amount) => counting(ITEM, 'shelf', amount),
  };

  it('comes to one balance on any number of tabs, whoever hears of what when, and is never below nothing', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), fc.infiniteStream(fc.nat()), (steps, chance) => {
        const tabs = [new Tab('a'), new Tab('b'), new Tab('c')];
        const all: Movement[] = [];
        steps.forEach(([what, amount, who, isHeard], at) => {
          const posted = tabs[who]!.post(drafts[what](amount), at);
          all.push(posted);
          if (isHeard) for (const movement of all) tabs[(who + 1) % 3]!.hear(movement);
        });
        for (const tab of tabs) {
          const order = [...all]
            .map((movement) => ({ movement, key: chance.next().value as number }))
            .sort((p, q) => p.key - q.key);
          for (const { movement } of order) tab.hear(movement);
        }
        const [first, ...others] = tabs.map(({ heard }) => settled(heard));
        for (const other of others) expect(other).toEqual(first);
        for (let i = 0; i <= first!.length; i++) {
          const balances = balancesOf(first!.slice(0, i));
          for (const place of places)
            if (place !== 'outside') expect(amountAt(balances, ITEM, place)).toBeGreaterThanOrEqual(0);
          expect(places.reduce((sum, place) => sum + amountAt(balances, ITEM, place), 0)).toBeCloseTo(0, 9);
        }
        // What was counted last is there, with what was done since.
        const at = first!.map(({ counts }) => counts !== undefined).lastIndexOf(true);
        if (at < 0) return;
        let there = first![at]!.counts![0]!.amount;
        let dirty = amountAt(balancesOf(first!.slice(0, at + 1)), ITEM, 'dirty');
        for (const { kind, entries } of first!.slice(at + 1).map((one) => all.find(({ id }) => id === one.id)!)) {
          const amount = Math.max(0, ...entries.map((entry) => entry.amount));
          if (kind === 'bought') there += amount;
          else if (kind === 'used') [there, dirty] = [Math.max(0, there - amount), dirty + amount];
          else [there, dirty] = [there + amount, Math.max(0, dirty - amount)];
        }
        expect(amountAt(balancesOf(first!), ITEM, 'shelf')).toBeCloseTo(there, 9);
      }),
      { numRuns: runs(400) },
    );
  });
});
