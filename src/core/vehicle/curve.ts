import type { Point, Polygon } from '../model';

/** A corner of an outline, and how far along its two edges it is rounded, m; 0 leaves it sharp. */
export type Corner = readonly [x: number, y: number, roundM: number];

/**
 * Equal steps in which a corner is flattened, the same for every size of car, so that areas grow with the square of a
 * scale. A parabola is farthest from a chord by a quarter of its second difference over the square of the steps: below
 * two millimetres for corners rounded by up to 0.4 m.
 */
const STEPS = 10;

const between = ([px, py]: Point, [qx, qy]: Point, share: number): Point => [
  px + (qx - px) * share,
  py + (qy - py) * share,
];
const distance = ([px, py]: Point, [qx, qy]: Point): number => Math.hypot(qx - px, qy - py);

/** A parabola from one point to another that leaves and arrives towards a third, flattened; both ends are in it. */
export function bend(from: Point, towards: Point, to: Point): Point[] {
  return Array.from({ length: STEPS + 1 }, (_, i): Point => {
    const t = i / STEPS;
    return between(between(from, towards, t), between(towards, to, t), t);
  });
}

/** An outline with rounded corners, flattened. No corner takes more than half of an edge. */
export function rounded(corners: readonly Corner[]): Polygon {
  const count = corners.length;
  const at = (i: number): Point => {
    const [x, y] = corners[(i + count) % count]!;
    return [x, y];
  };
  return corners.flatMap(([, , roundM], i): Point[] => {
    const [before, corner, after] = [at(i - 1), at(i), at(i + 1)];
    const reach = (to: Point): Point => {
      const length = distance(corner, to);
      return length > 0 ? between(corner, to, Math.min(0.5, roundM / length)) : corner;
    };
    return roundM > 0 ? bend(reach(before), corner, reach(after)) : [corner];
  });
}
