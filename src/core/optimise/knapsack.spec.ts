import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Item, type Picked, pickOnePerGroup } from './knapsack';
import { runs } from '@esmero/testing';

const item = fc.record({
  cost: fc.integer({ min: 0, max: 40 }),
  use: fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 2, maxLength: 2 }),
});
const problem = fc.record({
  groups: fc.array(fc.array(item, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 6 }),
  capacity: fc.array(fc.integer({ min: 0, max: 45 }), { minLength: 2, maxLength: 2 }),
});

/** Every combination there is. */
function exhaustive(groups: readonly (readonly Item[])[], capacity: readonly number[]): number {
  const go = (g: number, left: readonly number[]): number => {
    if (left.some((room) => room < 0)) return Infinity;
    if (g === groups.length) return 0;
    return Math.min(
      ...groups[g]!.map(
        (one) =>
          one.cost +
          go(
            g + 1,
            left.map((room, b) => room - one.use[b]!),
          ),
      ),
    );
  };
  return go(0, capacity);
}

describe('one item from every group within the budgets', () => {
  it('costs what an exhaustive search finds, and keeps every budget', () => {
    fc.assert(
      fc.property(problem, ({ groups, capacity }) => {
        const picked = pickOnePerGroup(groups, capacity);
        const best = exhaustive(groups, capacity);
        expect(picked === 'none').toBe(best === Infinity);
        if (typeof picked === 'string') return;
        expect(picked.cost).toBeCloseTo(best, 9);
        expect(picked.atLeast).toBe(picked.cost);
        capacity.forEach((cap, b) => {
          const used = picked.picks.reduce((sum, pick, g) => sum + groups[g]![pick]!.use[b]!, 0);
          expect(used).toBeLessThanOrEqual(cap + 1e-9);
        });
      }),
      { numRuns: runs(400) },
    );
  });

  it('never gets worse with a larger budget', () => {
    fc.assert(
      fc.property(problem, fc.integer({ min: 0, max: 10 }), ({ groups, capacity }, more) => {
        const before = pickOnePerGroup(groups, capacity);
        const after = pickOnePerGroup(
          groups,
          capacity.map((cap) => cap + more),
        );
        if (typeof before !== 'string') expect((after as Picked).cost).toBeLessThanOrEqual(before.cost + 1e-9);
      }),
    );
  });

  it('says how far off the best it can be when it has to stop early', () => {
    fc.assert(
      fc.property(problem, fc.integer({ min: 1, max: 4 }), ({ groups, capacity }, branchings) => {
        const picked = pickOnePerGroup(groups, capacity, Infinity, branchings);
        const best = exhaustive(groups, capacity);
        if (picked === 'none') expect(best).toBe(Infinity);
        if (typeof picked === 'string') return;
        expect(picked.cost).toBeGreaterThanOrEqual(best - 1e-9);
        expect(picked.atLeast).toBeLessThanOrEqual(best + 1e-9);
      }),
      { numRuns: runs(400) },
    );
  });

  it('looks only for what costs less than asked', () => {
    fc.assert(
      fc.property(problem, fc.integer({ min: 0, max: 120 }), ({ groups, capacity }, below) => {
        const picked = pickOnePerGroup(groups, capacity, below);
        const best = exhaustive(groups, capacity);
        expect(typeof picked !== 'string').toBe(best < below);
        if (typeof picked !== 'string') expect(picked.cost).toBeCloseTo(best, 9);
      }),
    );
  });

  it('has no answer for an empty group', () => {
    expect(pickOnePerGroup([[]], [1])).toBe('none');
  });
});
