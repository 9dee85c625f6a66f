import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { type CleanlinessClass, type TowelBatch, zoneIds } from '../model';
import { metres } from '../units';
import { type UsedTowel, towelLedger, type Wiping } from './ledger';
import type { TowelNeed } from './need';

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

const cleanliness = fc.constantFrom<CleanlinessClass>(0, 1, 2, 3, 4, 5);
const need = fc.record<TowelNeed>({
  role: fc.constantFrom('wash', 'finish', 'wheels'),
  use: fc.constantFrom('wash', 'finish'),
  cleanliness,
  dirtG: fc.double({ min: 0, max: 4, noNaN: true }),
  liquidMl: fc.double({ min: 0, max: 60, noNaN: true }),
  reachShare: fc.double({ min: 0, max: 3, noNaN: true }),
  soaked: fc.boolean(),
});
const wipings = fc
  .array(fc.array(need, { minLength: 1, maxLength: 2 }), { minLength: 1, maxLength: 30 })
  .map((list) => list.map((needs, i): Wiping => ({ zoneId: zoneIds[i]!, share: 1, needs })));
const rules = fc.record({
  soakedSides: fc.constantFrom<4 | 8>(4, 8),
  soakedTowel: fc.constantFrom<'retire' | 'demote'>('retire', 'demote'),
});

const shares = (towels: readonly UsedTowel[], zoneId: string): number =>
  towels
    .flatMap(({ sides }) => sides.flatMap(({ entries }) => entries))
    .filter((entry) => entry.zoneId === zoneId)
    .reduce((sum, { share }) => sum + share, 0);

describe('towel ledger', () => {
  it('never breaks a limit of a side', () => {
    fc.assert(
      fc.property(wipings, rules, (list, rule) => {
        for (const { sides } of towelLedger([list], batches, rule, a))
          for (const side of sides) {
            expect(side.dirtShare).toBeLessThanOrEqual(1 + 1e-6);
            expect(side.liquidShare).toBeLessThanOrEqual(1 + 1e-6);
            expect(side.reachShare).toBeLessThanOrEqual(1 + 1e-6);
          }
      }),
    );
  });

  it('never takes a towel back to a cleaner class', () => {
    fc.assert(
      fc.property(wipings, rules, (list, rule) => {
        const classOf = new Map(list.map(({ zoneId, needs }) => [zoneId, needs]));
        const order = new Map(list.map(({ zoneId }, i) => [zoneId, i]));
        for (const { sides } of towelLedger([list], batches, rule, a)) {
          const visits = sides
            .flatMap(({ entries }) => entries)
            .sort((p, q) => order.get(p.zoneId)! - order.get(q.zoneId)!);
          let touched = 0;
          for (const { zoneId } of visits) {
            const classes = classOf.get(zoneId)!.map((one) => one.cleanliness);
            expect(Math.max(...classes)).toBeGreaterThanOrEqual(touched);
            touched = Math.max(touched, Math.min(...classes));
          }
        }
      }),
    );
  });

  it('serves every wiping in full, dirt and liquid conserved', () => {
    fc.assert(
      fc.property(wipings, rules, (list, rule) => {
        const towels = towelLedger([list], batches, rule, a);
        for (const { zoneId, needs } of list)
          expect(shares(towels, zoneId)).toBeCloseTo(needs.length, 6);
        const entries = towels.flatMap(({ sides }) => sides.flatMap((side) => side.entries));
        const total = (key: 'dirtG' | 'liquidMl') => entries.reduce((sum, e) => sum + e[key], 0);
        const wanted = (key: 'dirtG' | 'liquidMl') =>
          list.flatMap(({ needs }) => needs).reduce((sum, n) => sum + n[key], 0);
        expect(total('dirtG')).toBeCloseTo(wanted('dirtG'), 6);
        expect(total('liquidMl')).toBeCloseTo(wanted('liquidMl'), 6);
      }),
    );
  });

  const paint = (dirtG: number, liquidMl: number): TowelNeed => ({
    role: 'wash',
    use: 'wash',
    cleanliness: 1,
    dirtG,
    liquidMl,
    reachShare: 0.5,
    soaked: false,
  });

  it('opens no more than the pile holds without saying so', () => {
    const list = zoneIds.slice(0, 20).map((zoneId) => ({ zoneId, share: 1, needs: [paint(2, 10)] }));
    const towels = towelLedger([list], [batch('wash', 1)], { soakedSides: 4, soakedTowel: 'retire' }, a);
    expect(towels.filter(({ missing }) => !missing)).toHaveLength(1);
    expect(towels.filter(({ missing }) => missing).length).toBeGreaterThan(0);
  });

  it('demotes a damp finishing towel to the sills instead of opening a wash towel', () => {
    const damp: TowelNeed = { ...paint(0, 8 * 0.35 * (3.5 * 400 * 0.16) / 8), role: 'finish', use: 'finish', reachShare: 0 };
    const sill: TowelNeed = { ...paint(0.2, 2), cleanliness: 2 };
    const list: Wiping[] = [
      { zoneId: 'roof', share: 1, needs: [damp] },
      { zoneId: 'left-sill', share: 1, needs: [sill] },
    ];
    const used = (soakedTowel: 'retire' | 'demote') =>
      towelLedger([list], batches, { soakedSides: 4, soakedTowel }, a);
    expect(used('demote')).toHaveLength(1);
    expect(used('demote')[0]!.demoted).toBe(true);
    expect(used('retire')).toHaveLength(2);
  });

  it('keeps wetted towels and dry ones apart', () => {
    const wet: TowelNeed = { ...paint(0.1, 1), soaked: true };
    const towels = towelLedger(
      [[{ zoneId: 'roof', share: 1, needs: [paint(0.1, 1)] }, { zoneId: 'bonnet', share: 1, needs: [wet] }]],
      batches,
      { soakedSides: 8, soakedTowel: 'retire' },
      a,
    );
    expect(towels.map(({ sides }) => sides.flatMap(({ entries }) => entries.map(({ zoneId }) => zoneId)))).toEqual([['roof'], ['bonnet']]);
  });

  it('spreads zones over sides where one after the other would open a towel more', () => {
    // Side after side, each would be full of dirt or of liquid, never of both.
    const dirty = (i: number): TowelNeed => ({ ...paint(0, 0), reachShare: 0, dirtG: i % 2 ? 0 : 2.4, liquidMl: i % 2 ? 0.99 * 8 * 28 / 4 : 0 });
    const list = zoneIds.slice(0, 8).map((zoneId, i): Wiping => ({ zoneId, share: 1, needs: [dirty(i)] }));
    const towels = towelLedger([list], batches, { soakedSides: 8, soakedTowel: 'retire' }, a);
    expect(towels).toHaveLength(1);
    for (const zone of list) expect(shares(towels, zone.zoneId)).toBeCloseTo(1, 6);
  });

  it('gives each worker a pile of their own from one stock', () => {
    const one = (zoneId: Wiping['zoneId']): Wiping => ({ zoneId, share: 1, needs: [paint(0.1, 1)] });
    const towels = towelLedger([[one('roof')], [one('bonnet')]], [batch('wash', 1)], { soakedSides: 8, soakedTowel: 'retire' }, a);
    expect(towels.map(({ worker, missing }) => [worker, missing])).toEqual([
      [0, false],
      [1, true],
    ]);
  });
});
