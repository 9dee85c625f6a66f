import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { habitAnswers, zoneIds } from '../model';
import { Bucket, gramsOf } from './bucket';
import { grainsOf } from './grains';
import { type BucketHabit, type Washed, carriedBack, commonHand, grainsIn, simulateBuckets } from './simulate';

const habit = (rest: Partial<BucketHabit> = {}): BucketHabit => ({
  system: 'two-buckets',
  guards: true,
  washL: 8,
  rinseL: 7,
  waterC: 20,
  freshBefore: [],
  hand: commonHand,
  ...rest,
});
const zone = fc.record({
  areaM2: fc.double({ min: 0.05, max: 3, noNaN: true }),
  seconds: fc.double({ min: 1, max: 120, noNaN: true }),
  leavesL: fc.double({ min: 0, max: 0.3, noNaN: true }),
  grit: fc.array(
    fc.record({ grainUm: fc.constantFrom(15, 40, 150, 300), loadGm2: fc.double({ min: 0, max: 20, noNaN: true }) }),
    { minLength: 1, maxLength: 3 },
  ),
});
const car: fc.Arbitrary<readonly Washed[]> = fc
  .array(zone, { minLength: 1, maxLength: 20 })
  .map((zones) => zones.map((one, i) => ({ ...one, zoneId: zoneIds[i]! })));
const anyHabit = fc
  .record({
    system: fc.constantFrom(...habitAnswers.bucket),
    guards: fc.boolean(),
    waterC: fc.double({ min: 2, max: 50, noNaN: true }),
    fresh: fc.integer({ min: 0, max: 25 }),
  })
  .map(({ fresh, ...rest }) => habit({ ...rest, freshBefore: zoneIds.slice(fresh, fresh + 1) }));

describe('buckets', () => {
  it('lose no grit: all that was picked up is in them, on the medium, or gone with what was poured away', () => {
    fc.assert(
      fc.property(car, anyHabit, (zones, own) => {
        const { pickedG, heldG, carriedG } = simulateBuckets(zones, own, a);
        expect(carriedBack(zones, own, grainsIn(zones, own.waterC, a), a)).toBeCloseTo(carriedG, 9);
        expect(Math.abs(heldG - pickedG)).toBeLessThanOrEqual(1e-9 * Math.max(1, pickedG));
      }),
    );
  });

  it('lose no water in a dip, and settle without losing grit', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { minLength: 5, maxLength: 5 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 900, noNaN: true }),
        (grit, releases, stirs, seconds) => {
          const bucket = new Bucket(
            6,
            Float64Array.from(grainsOf(40, 20, a), ({ sinksMs }) => sinksMs),
            0.28,
          );
          const medium = { litres: 0.2, grit: Float64Array.from(grit) };
          const before = gramsOf(medium.grit);
          for (const leavesL of [0.1, 0.4]) {
            bucket.dip(medium, { releases, stirs, leavesL });
            bucket.settleUntil(seconds);
          }
          expect(bucket.litres + medium.litres).toBeCloseTo(6.2, 9);
          expect(medium.litres).toBeCloseTo(0.4, 9);
          expect(gramsOf(medium.grit) + gramsOf(bucket.suspended) + gramsOf(bucket.settled)).toBeCloseTo(before, 9);
        },
      ),
    );
  });

  const dirty = (loadGm2: number): readonly Washed[] =>
    zoneIds
      .slice(0, 12)
      .map((zoneId) => ({ zoneId, areaM2: 0.9, seconds: 11, leavesL: 0.03, grit: [{ grainUm: 40, loadGm2 }] }));
  const carried = (rest: Partial<BucketHabit>, load = 2): number =>
    simulateBuckets(dirty(load), habit(rest), a).carriedG;

  it('bring nothing back with a fresh towel each time, and less with every rinse on the way', () => {
    expect(carried({ system: 'many-towels' })).toBe(0);
    expect(carried({ system: 'three-buckets' })).toBeLessThan(carried({ system: 'two-buckets' }));
    expect(carried({ system: 'two-buckets' })).toBeLessThan(carried({ system: 'one-guarded' }));
    expect(carried({ guards: true })).toBeLessThan(carried({ guards: false }));
  });

  it('bring back in proportion to what was picked up', () => {
    expect(carried({}, 6)).toBeCloseTo(3 * carried({}, 2), 9);
  });

  it('let coarse grit sink and keep fine grit afloat', () => {
    const afloat = (grainUm: number): number => {
      const zones = dirty(2).map((one) => ({ ...one, grit: [{ grainUm, loadGm2: 2 }] }));
      const { suspendedG, settledG } = simulateBuckets(zones, habit(), a).dips.at(-1)!.buckets[0]!;
      return suspendedG / (suspendedG + settledG);
    };
    expect(afloat(150)).toBeLessThan(afloat(15));
  });

  it('ask for fresh water once too much comes out of it, and are better for it', () => {
    const zones = dirty(3);
    const once = simulateBuckets(zones, habit({ guards: false }), a);
    expect(once.freshDue).not.toBeNull();
    const changed = simulateBuckets(zones, habit({ guards: false, freshBefore: [once.freshDue!] }), a);
    expect(changed.carriedG).toBeLessThan(once.carriedG);
    expect(simulateBuckets(dirty(0.05), habit(), a).freshDue).toBeNull();
  });
});
