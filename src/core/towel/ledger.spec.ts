import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { defaultAssumptions as a } from '../assumptions';
import { type CleanlinessClass, type TowelBatch, zoneIds } from '../model';
import { metres } from '../units';
import { sideCapacity } from './capacity';
import { towelLedger } from './ledger';
import type { TowelNeed } from './need';
import { type Slot, slotOf } from './slot';
import type { OpenTowel, SideEntry, UsedSide, UsedTowel } from './used';
import type { Wiping } from './wiping';

const batch = (role: TowelBatch['role'], clean: number): TowelBatch => ({
  id: role,
  name: role,
  role,
  widthM: metres(0.4),
  heightM: metres(0.4),
  gsm: 400,
  pile: 'plush',
  sides: 8,
  clean,
  origin: 'own',
});
const batches = [batch('wash', 40), batch('finish', 40), batch('drying', 5), batch('glass', 10), batch('wheels', 20)];

const amounts = {
  moment: fc.constant('pass' as const),
  dirtG: fc.double({ min: 0, max: 4, noNaN: true }),
  liquidMl: fc.double({ min: 0, max: 60, noNaN: true }),
  reachShare: fc.double({ min: 0, max: 3, noNaN: true }),
};
const above = fc.constantFrom<CleanlinessClass>(0, 1, 2, 3);
const need: fc.Arbitrary<TowelNeed> = fc.oneof(
  fc.record<TowelNeed>({
    role: fc.constant('wash'),
    use: fc.constant('wash'),
    cleanliness: above,
    soaked: fc.boolean(),
    ...amounts,
  }),
  fc.record<TowelNeed>({
    role: fc.constant('finish'),
    use: fc.constant('finish'),
    cleanliness: above,
    soaked: fc.constant(false),
    ...amounts,
  }),
  fc.record<TowelNeed>({
    role: fc.constant('wheels'),
    use: fc.constant('wash'),
    cleanliness: fc.constantFrom<CleanlinessClass>(4, 5),
    soaked: fc.constant(false),
    ...amounts,
  }),
);
/** Each zone a pass of its own, one towel use after the other; a van has work towels, or wash towels go to the wheels. */
const wipings = fc
  .tuple(fc.array(need, { minLength: 1, maxLength: 30 }), fc.constantFrom('wheels' as const, 'wash' as const))
  .map(([needs, wheels]) =>
    needs.map((one, i): Wiping => ({
      zoneId: zoneIds[i]!,
      pass: i + 1,
      share: 1,
      need: one.role === 'wheels' ? { ...one, role: wheels } : one,
    })),
  );
const rules = fc.record({
  soakedSides: fc.constantFrom<4 | 8>(4, 8),
  soakedTowel: fc.constantFrom<'retire' | 'demote'>('retire', 'demote'),
});

interface Touch {
  readonly towel: UsedTowel;
  readonly t: number;
  readonly side: UsedSide;
  readonly s: number;
  readonly entry: SideEntry;
  readonly slot: Slot;
}

/** What towels touch, in the order of the hand: in a pass the towel that is held comes first. */
function touches(towels: readonly UsedTowel[], list: readonly Wiping[]): readonly Touch[] {
  const held = new Map<Slot, number>();
  return list.flatMap(({ zoneId, need: one }) => {
    const slot = slotOf(one);
    const own = towels
      .flatMap((towel, t) =>
        towel.sides.flatMap((side, s) => side.entries.map((entry): Touch => ({ towel, t, side, s, entry, slot }))),
      )
      .filter(({ entry }) => entry.zoneId === zoneId)
      .sort((p, q) => Number(q.t === held.get(slot)) - Number(p.t === held.get(slot)) || p.t - q.t || p.s - q.s);
    if (own.length > 0) held.set(slot, own.at(-1)!.t);
    return own;
  });
}

const shares = (towels: readonly UsedTowel[], zoneId: string): number =>
  towels
    .flatMap(({ sides }) => sides.flatMap(({ entries }) => entries))
    .filter((entry) => entry.zoneId === zoneId)
    .reduce((sum, { share }) => sum + share, 0);

const onRandomWays = (check: (towels: readonly UsedTowel[], list: readonly Wiping[]) => void): void =>
  fc.assert(
    fc.property(wipings, rules, (list, rule) => check(towelLedger([list], batches, rule, a), list)),
    { numRuns: runs(400) },
  );

describe('towels in the hand', () => {
  it('never break a limit of a side', () => {
    onRandomWays((towels) => {
      for (const { sides } of towels)
        for (const side of sides) {
          expect(side.dirtShare).toBeLessThanOrEqual(1 + a.sideOver + 1e-6);
          expect(side.liquidShare).toBeLessThanOrEqual(1 + a.sideOver + 1e-6);
          expect(side.reachShare).toBeLessThanOrEqual(1 + a.sideOver + 1e-6);
        }
    });
  });

  it('never go back to something cleaner', () => {
    onRandomWays((towels, list) => {
      const dirtiest = new Map<number, number>();
      for (const { t, entry } of touches(towels, list)) {
        const of = list.find(({ zoneId }) => zoneId === entry.zoneId)!.need.cleanliness;
        expect(of).toBeGreaterThanOrEqual(dirtiest.get(t) ?? 0);
        dirtiest.set(t, of);
      }
    });
  });

  it('are one for each hand at a time: one that was put down comes back only for something dirtier', () => {
    onRandomWays((towels, list) => {
      const [held, put] = [new Map<Slot, number>(), new Map<number, number>()];
      for (const { t, slot, entry } of touches(towels, list)) {
        const of = list.find(({ zoneId }) => zoneId === entry.zoneId)!.need.cleanliness;
        if (held.get(slot) === t) continue;
        const before = held.get(slot);
        if (before !== undefined) {
          const touched = touches(towels, list).filter((one) => one.t === before && one.entry.pass <= entry.pass);
          put.set(
            before,
            Math.max(...touched.map((one) => list.find(({ zoneId }) => zoneId === one.entry.zoneId)!.need.cleanliness)),
          );
        }
        if (put.has(t)) expect(of).toBeGreaterThan(put.get(t)!);
        held.set(slot, t);
      }
    });
  });

  it('show their sides in order, and no side twice but on wheels and on damp ones that wash', () => {
    onRandomWays((towels) => {
      for (const { sides, role } of towels)
        sides.forEach((side, s) => {
          const before = sides[s - 1];
          if (!before || side.number > before.number) return;
          expect(
            role === 'finish'
              ? side.use === 'wash' && before.use === 'finish'
              : side.cleanliness >= 4 && before.cleanliness < 4,
          ).toBe(true);
        });
    });
  });

  it('begin a pass on glass or upper paint on a fresh side', () => {
    onRandomWays((towels) => {
      for (const { sides } of towels)
        for (const { use, cleanliness: of, entries } of sides)
          if (use === 'wash' && of <= 1) expect(new Set(entries.map(({ pass }) => pass)).size).toBe(1);
    });
  });

  it('serve every wiping in full, dirt and liquid conserved', () => {
    onRandomWays((towels, list) => {
      for (const { zoneId } of list) expect(shares(towels, zoneId)).toBeCloseTo(1, 6);
      const entries = towels.flatMap(({ sides }) => sides.flatMap((side) => side.entries));
      const total = (key: 'dirtG' | 'liquidMl') => entries.reduce((sum, e) => sum + e[key], 0);
      const wanted = (key: 'dirtG' | 'liquidMl') => list.reduce((sum, { need: one }) => sum + one[key], 0);
      expect(total('dirtG')).toBeCloseTo(wanted('dirtG'), 6);
      expect(total('liquidMl')).toBeCloseTo(wanted('liquidMl'), 6);
    });
  });

  const paint = (dirtG: number, liquidMl: number): TowelNeed => ({
    role: 'wash',
    use: 'wash',
    moment: 'pass',
    cleanliness: 1,
    dirtG,
    liquidMl,
    reachShare: 0.5,
    soaked: false,
  });
  const wiping = (i: number, one: TowelNeed): Wiping => ({ zoneId: zoneIds[i]!, pass: i + 1, share: 1, need: one });
  const retire = { soakedSides: 8, soakedTowel: 'retire' } as const;

  it('are no more than the pile holds without saying so', () => {
    const list = zoneIds.slice(0, 20).map((_zoneId, i) => wiping(i, paint(2, 10)));
    const towels = towelLedger([list], [batch('wash', 1)], retire, a);
    expect(towels.filter(({ missing }) => !missing)).toHaveLength(1);
    expect(towels.filter(({ missing }) => missing).length).toBeGreaterThan(0);
  });

  it('demote a damp buffing towel to the sills instead of opening a wash towel', () => {
    const damp: TowelNeed = {
      ...paint(0, (8 * 0.35 * (3.5 * 400 * 0.16)) / 8 + 0.01),
      role: 'finish',
      use: 'finish',
      reachShare: 0,
    };
    const sill: TowelNeed = { ...paint(0.2, 2), cleanliness: 2 };
    const used = (soakedTowel: 'retire' | 'demote') =>
      towelLedger([[wiping(0, damp), wiping(1, sill)]], batches, { soakedSides: 4, soakedTowel }, a);
    const first = used('demote')[0]!;
    expect(used('demote')).toHaveLength(used('retire').length - 1);
    expect([first.demoted, first.sides.at(-1)!.use]).toEqual([true, 'wash']);
  });

  it('take a wash towel up again for wheels, soiled as it is, only where no work towel is clean', () => {
    const wheel: TowelNeed = { ...paint(0.5, 2), role: 'wheels', cleanliness: 5 };
    const roles = (wheels: number) =>
      towelLedger(
        [[wiping(0, paint(1, 5)), wiping(1, wheel)]],
        [batch('wash', 1), batch('wheels', wheels)],
        retire,
        a,
      ).map(({ role }) => role);
    expect(roles(1)).toEqual(['wash', 'wheels']);
    expect(roles(0)).toEqual(['wash']);
  });

  it('keep wetted towels and dry ones apart', () => {
    const towels = towelLedger(
      [[wiping(0, paint(0.1, 1)), wiping(1, { ...paint(0.1, 1), soaked: true })]],
      batches,
      retire,
      a,
    );
    expect(towels.map(({ wetted }) => wetted)).toEqual([false, true]);
  });

  it('come from one stock for two people', () => {
    const towels = towelLedger([[wiping(0, paint(0.1, 1))], [wiping(1, paint(0.1, 1))]], [batch('wash', 1)], retire, a);
    expect(towels.map(({ worker, missing }) => [worker, missing])).toEqual([
      [0, false],
      [1, true],
    ]);
  });

  it('go on with what is in the hand when a plan begins; what was put down waits for something dirtier', () => {
    const open = (number: number, slot: OpenTowel['slot']): OpenTowel => ({
      number,
      worker: 0,
      batch: batch('wash', 0),
      used: 2,
      left: 6,
      partial: 0,
      leastClass: 1,
      rewet: false,
      wetted: false,
      slot,
    });
    const way = [wiping(0, paint(0.1, 1)), wiping(1, { ...paint(0.1, 1), cleanliness: 2 })];
    const numbers = (...inUse: OpenTowel[]) =>
      towelLedger([way], batches, retire, a, inUse).map(({ number, begun, sides }) => [
        number,
        begun,
        sides.map((side) => side.number),
      ]);
    expect(numbers(open(1, null), open(2, 'wash'))).toEqual([[2, true, [3]]]);
    expect(numbers(open(1, null))).toEqual([[2, false, [1]]]);
    expect(towelLedger([way.slice(1)], batches, retire, a, [open(1, null)])).toMatchObject([
      { number: 1, demoted: true },
    ]);
  });
});

describe('the last of a panel', () => {
  const washNeed: TowelNeed = {
    role: 'wash',
    use: 'wash',
    moment: 'pass',
    cleanliness: 1,
    dirtG: 0,
    liquidMl: 0,
    reachShare: 0,
    soaked: false,
  };
  const washTowels = batch('wash', 40);
  const row = (dirtG: number): readonly Wiping[] => [
    { zoneId: 'roof', pass: 1, share: 1, need: { ...washNeed, dirtG } },
  ];
  const sidesOf = (dirtG: number): number =>
    towelLedger([row(dirtG)], [washTowels], { soakedSides: 8, soakedTowel: 'retire' }, a)[0]!.sides.length;
  const full = sideCapacity(washTowels, 'wash', a).dirtG;

  it('is wiped with the side in the hand where a little is left, and with the next one where it is more', () => {
    expect(sidesOf(full)).toBe(1);
    expect(sidesOf(full * (1 + a.sideOver * 0.99))).toBe(1);
    expect(sidesOf(full * (1 + a.sideOver * 1.01))).toBe(2);
  });

  it('does not fill a side twice over its limit', () => {
    const twice = [1, 2].map((pass): Wiping => ({
      zoneId: 'left-sill',
      pass,
      share: 1,
      need: { ...washNeed, cleanliness: 2, dirtG: full * (1 + a.sideOver * 0.9) },
    }));
    const [towel] = towelLedger([twice], [washTowels], { soakedSides: 8, soakedTowel: 'retire' }, a);
    expect(towel!.sides.map(({ dirtShare }) => dirtShare)).toEqual([
      expect.closeTo(1 + a.sideOver * 0.9, 6),
      expect.closeTo(1 + a.sideOver * 0.9, 6),
    ]);
  });
});
