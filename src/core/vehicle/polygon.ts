import type { Point, Polygon } from '../model';
import { type SquareMetres, m2 } from '../units';

const signedArea = (polygon: Polygon): number => {
  let twice = 0;
  for (let i = 0; i < polygon.length; i++) {
    const [x1, y1] = polygon[i]!;
    const [x2, y2] = polygon[(i + 1) % polygon.length]!;
    twice += x1 * y2 - x2 * y1;
  }
  return twice / 2;
};

/**
 * Area of an outline with holes by the shoelace formula, m². Holes run the other way round and
 * subtract themselves.
 */
export const areaOf = (polygons: readonly Polygon[]): SquareMetres =>
  m2(Math.abs(polygons.reduce((sum, polygon) => sum + signedArea(polygon), 0)));

/** Centre of gravity of the drawn area, in the view's metres. */
export function centroidOf(polygons: readonly Polygon[]): Point {
  let [sx, sy, total] = [0, 0, 0];
  for (const polygon of polygons) {
    for (let i = 0; i < polygon.length; i++) {
      const [x1, y1] = polygon[i]!;
      const [x2, y2] = polygon[(i + 1) % polygon.length]!;
      const cross = x1 * y2 - x2 * y1;
      sx += (x1 + x2) * cross;
      sy += (y1 + y2) * cross;
      total += cross;
    }
  }
  return total === 0 ? polygons[0]![0]! : [sx / (3 * total), sy / (3 * total)];
}

type Keep = (point: Point) => number;

/** Sutherland and Hodgman's clip by one half plane; `keep` is the signed distance inside it. */
function clip(polygon: Polygon, keep: Keep): Polygon {
  const result: Point[] = [];
  polygon.forEach((point, i) => {
    const next = polygon[(i + 1) % polygon.length]!;
    const [here, there] = [keep(point), keep(next)];
    if (here >= 0) result.push(point);
    if (here * there < 0) {
      const t = here / (here - there);
      result.push([point[0] + t * (next[0] - point[0]), point[1] + t * (next[1] - point[1])]);
    }
  });
  return result;
}

/** Edges of an upright box; edges left out do not clip. */
export interface Box {
  readonly left?: number | undefined;
  readonly right?: number;
  readonly bottom?: number;
  readonly top?: number;
}

/** The part of a polygon inside a box. Gaps along a cut close with edges of no area. */
export function clipToBox(polygon: Polygon, { left, right, bottom, top }: Box): Polygon {
  let result = polygon;
  if (left !== undefined) result = clip(result, ([x]) => x - left);
  if (right !== undefined) result = clip(result, ([x]) => right - x);
  if (bottom !== undefined) result = clip(result, ([, y]) => y - bottom);
  if (top !== undefined) result = clip(result, ([, y]) => top - y);
  return result;
}

/** Points on a circle from one angle to another (degrees, anticlockwise positive), both ends in. */
export const arc = (centre: Point, radius: number, from: number, to: number, steps = 16): Point[] =>
  Array.from({ length: steps + 1 }, (_, i): Point => {
    const angle = ((from + ((to - from) * i) / steps) * Math.PI) / 180;
    return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)];
  });

export const circle = (centre: Point, radius: number): Polygon => arc(centre, radius, 0, 360, 32).slice(0, -1);

/** A closed ring as an outline and a hole. */
export const ring = (centre: Point, outer: number, inner: number): readonly Polygon[] => [
  circle(centre, outer),
  [...circle(centre, inner)].reverse(),
];

/** The upper half of a ring, as one polygon. */
export const halfRing = (centre: Point, outer: number, inner: number): Polygon => [
  ...arc(centre, outer, 0, 180),
  ...arc(centre, inner, 180, 0),
];
