import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { zoneIds } from '../model';
import type { Highs } from '../testing/choice-apart';
import { anyRow, isEnough, towelsFor } from '../testing/towels-apart';
import type { Wiping } from './wiping';

let highs: Highs;
beforeAll(async () => (highs = await loadHighs()));

describe('the fewest towels in the hand', () => {
  it('are as few as an independent solver finds with the rule of the hand as constraints', { timeout: 300_000 }, () => {
    fc.assert(
      fc.property(anyRow, (row) => {
        const found = towelsFor(row);
        fc.pre(found <= 3);
        expect(isEnough(highs, row, found, true)).not.toBe(false);
        if (found > 1) expect(isEnough(highs, row, found - 1, true)).not.toBe(true);
      }),
      { numRuns: runs(200), seed: 7 },
    );
  });

  it('are never fewer than perfect bookkeeping takes', { timeout: 300_000 }, () => {
    fc.assert(
      fc.property(anyRow, (row) => {
        const found = towelsFor(row);
        fc.pre(found <= 4);
        expect(isEnough(highs, row, found, false)).not.toBe(false);
      }),
      { numRuns: runs(200), seed: 11 },
    );
  });

  it('are more than that where a hand would have to go back to part-used sides', () => {
    // Three sides full of dirt, and then no side left for the liquid that they could still hold.
    const row = zoneIds.slice(0, 6).map((zoneId, i): Wiping => ({
      zoneId,
      pass: i + 1,
      share: 1,
      need: {
        role: 'wash',
        use: 'wash',
        moment: 'pass',
        cleanliness: 2,
        dirtG: i < 3 ? 2.3 : 0,
        liquidMl: i < 3 ? 0 : 53,
        reachShare: 0,
        soaked: false,
      },
    }));
    expect(towelsFor(row)).toBe(2);
    expect([isEnough(highs, row, 1, false), isEnough(highs, row, 1, true)]).toEqual([true, false]);
  });

  it('never get fewer with more dirt, liquid or panel', () => {
    fc.assert(
      fc.property(anyRow, fc.nat(), fc.constantFrom('dirtG', 'liquidMl', 'reachShare'), (row, at, key) => {
        const i = at % row.length;
        const more = row.map((one, k) =>
          k === i ? { ...one, need: { ...one.need, [key]: one.need[key] * 1.5 + 0.2 } } : one,
        );
        expect(towelsFor(more)).toBeGreaterThanOrEqual(towelsFor(row));
      }),
      { numRuns: runs(1000) },
    );
  });
});
