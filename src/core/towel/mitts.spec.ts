import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type CleanlinessClass, zoneIds } from '../model';
import { mittsFor } from './mitts';

const zone = (cleanliness: CleanlinessClass, i: number) => ({ zoneId: zoneIds[i]!, cleanliness, pass: i });
const anyWay = fc
  .array(fc.constantFrom<CleanlinessClass>(0, 1, 2, 3), { maxLength: 40 })
  .map((classes) => classes.map(zone));

describe('mitts', () => {
  it('wash every zone once, and never go back to a cleaner class', () => {
    fc.assert(
      fc.property(anyWay, (way) => {
        const mitts = mittsFor(way, 0);
        expect(mitts.flatMap(({ zones }) => zones).sort()).toEqual(way.map(({ zoneId }) => zoneId).sort());
        const classOf = new Map(way.map(({ zoneId, cleanliness }) => [zoneId, cleanliness]));
        for (const { zones, from, to } of mitts) {
          const classes = zones.map((id) => classOf.get(id)!);
          expect(classes).toEqual([...classes].sort((p, q) => p - q));
          expect([classes[0], classes.at(-1)]).toEqual([from, to]);
        }
      }),
    );
  });

  it('are one in the hand at a time: one that was put down comes back only for something dirtier', () => {
    const numbers = (...classes: CleanlinessClass[]): number[] => {
      const way = classes.map(zone);
      const mitts = mittsFor(way, 0);
      return way.map(({ zoneId }) => mitts.find(({ zones }) => zones.includes(zoneId))!.number);
    };
    expect(numbers(1, 2, 3)).toEqual([1, 1, 1]);
    // Back to uppers with a fresh one, and then on with that.
    expect(numbers(1, 2, 1, 2)).toEqual([1, 1, 2, 2]);
    // The first is taken up again for the shuts once the second is put down.
    expect(numbers(1, 2, 1, 0, 1, 3)).toEqual([1, 1, 2, 3, 2, 2]);
  });

  it('are fresh each pass, or one for each part of the car, where that is the habit', () => {
    fc.assert(
      fc.property(anyWay, (way) => {
        const once = mittsFor(way, 0, 'many-mitts');
        expect(once.every(({ zones }) => zones.length === 1)).toBe(true);
        for (const { from, to } of mittsFor(way, 0, 'mitts-by-area')) expect(from).toBe(to);
        expect(mittsFor(way, 0, 'mitts-by-area').length).toBeGreaterThanOrEqual(mittsFor(way, 0).length);
        expect(mittsFor(way, 0, 'sponge')).toEqual(mittsFor(way, 0));
      }),
    );
  });

  it('leave glass a mitt of its own', () => {
    expect(mittsFor([zone(1, 0), zone(0, 1), zone(1, 2), zone(0, 3)], 0).map(({ zones }) => zones.length)).toEqual([
      2, 2,
    ]);
  });
});
