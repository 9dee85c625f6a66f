import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type CleanlinessClass, zoneIds } from '../model';
import { fewestMitts } from './mitts';

const anyWay = fc
  .array(fc.constantFrom<CleanlinessClass>(0, 1, 2, 3), { maxLength: 40 })
  .map((classes) => classes.map((cleanliness, i) => ({ zoneId: zoneIds[i]!, cleanliness })));

/** Longest row of zones, not necessarily neighbours, each cleaner than the one before. */
function longestUpward(classes: readonly number[]): number {
  const best = classes.map(() => 1);
  classes.forEach((of, i) => {
    for (let k = 0; k < i; k++) if (classes[k]! > of) best[i] = Math.max(best[i]!, best[k]! + 1);
  });
  return Math.max(0, ...best);
}

describe('mitts', () => {
  it('wash every zone once, and never go back to a cleaner class', () => {
    fc.assert(
      fc.property(anyWay, (way) => {
        const mitts = fewestMitts(way, 0);
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

  it('are as few as can be: one for each zone of the longest upward row', () => {
    fc.assert(
      fc.property(anyWay, (way) => {
        expect(fewestMitts(way, 0)).toHaveLength(longestUpward(way.map(({ cleanliness }) => cleanliness)));
      }),
    );
  });
});
