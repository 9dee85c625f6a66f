import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Point } from '../model';
import { bend, rounded } from './curve';
import { areaOf } from './polygon';

/** The ends of a rounded corner, seen from it. */
const end = fc
  .tuple(fc.double({ min: 0, max: 0.4, noNaN: true }), fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }))
  .map(([r, angle]): Point => [r * Math.cos(angle), r * Math.sin(angle)]);
const corner: Point = [0, 0];

describe('curves', () => {
  it('are flattened so that no chord is farther from them than two millimetres', () => {
    fc.assert(
      fc.property(end, end, (from, to) => {
        const chords = bend(from, corner, to);
        const steps = chords.length - 1;
        for (let i = 0; i < steps; i++) {
          // The curve is farthest from a chord half way.
          const t = (i + 0.5) / steps;
          const on = [0, 1].map((k) => (1 - t) ** 2 * from[k]! + t ** 2 * to[k]!) as unknown as Point;
          const middle = [0, 1].map((k) => (chords[i]![k]! + chords[i + 1]![k]!) / 2);
          expect(Math.hypot(on[0] - middle[0]!, on[1] - middle[1]!)).toBeLessThanOrEqual(0.002 + 1e-9);
        }
      }),
    );
  });

  it('cover what the drawn curve covers to half a per cent: a square less a sixth of its round squared at each corner', () => {
    for (const round of [0.1, 0.3, 0.5]) {
      const square = rounded([
        [0, 0, round],
        [1, 0, round],
        [1, 1, round],
        [0, 1, round],
      ]);
      const drawn = 1 - (4 * round ** 2) / 6;
      expect(Math.abs(areaOf([square]) / drawn - 1)).toBeLessThan(0.005);
    }
  });

  it('take no more than half of an edge, and leave sharp corners where they are', () => {
    const flat = rounded([
      [0, 0, 9],
      [2, 0, 0],
      [2, 1, 0],
      [0, 1, 0],
    ]);
    expect(flat).toContainEqual([2, 0]);
    expect(flat).toContainEqual([1, 0]);
    expect(flat).toContainEqual([0, 0.5]);
  });
});
