import { describe, expect, it } from 'vitest';
import type { Polygon } from '../model';
import { areaOf, centroidOf, circle, clipToBox, ring } from './polygon';

const square: Polygon = [
  [0, 0],
  [2, 0],
  [2, 2],
  [0, 2],
];

describe('polygons', () => {
  it('measure by the shoelace, whichever way round', () => {
    expect(areaOf([square])).toBe(4);
    expect(areaOf([[...square].reverse()])).toBe(4);
  });

  it('subtract holes', () => {
    expect(areaOf(ring([0, 0], 2, 1))).toBeCloseTo(areaOf([circle([0, 0], 2)]) * 0.75, 9);
  });

  it('are cut along a box, and the parts add up', () => {
    const left = clipToBox(square, { right: 0.5 });
    const right = clipToBox(square, { left: 0.5 });
    expect(areaOf([left])).toBeCloseTo(1, 12);
    expect(areaOf([left]) + areaOf([right])).toBeCloseTo(4, 12);
    expect(clipToBox(square, { left: 3 })).toEqual([]);
  });

  it('balance on their centroid', () => {
    expect(centroidOf([square])).toEqual([1, 1]);
  });
});
