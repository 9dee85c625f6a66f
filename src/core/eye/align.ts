import { randomLcg } from 'd3-random';
import type { Point } from './outline';
import { solved } from './solve';

/** Brightness of a picture, one value a pixel. */
export interface Grey {
  readonly width: number;
  readonly height: number;
  readonly values: Float32Array;
}

/** Nine figures that map the points of one plane onto those of another as a camera sees them, row by row; the last is 1. */
export type Homography = readonly number[];

export const mapped = (h: Homography, { x, y }: Point): Point => {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return { x: (h[0]! * x + h[1]! * y + h[2]!) / w, y: (h[3]! * x + h[4]! * y + h[5]!) / w };
};

/** Points of two pictures that show the same. */
export interface Pair {
  readonly from: Point;
  readonly to: Point;
}

export interface Aligned {
  /** From the first picture to the second. */
  readonly homography: Homography;
  /** Pairs of corners that it lays on each other. */
  readonly inliers: number;
}

const MOST_CORNERS = 260;
/** Half of the square that a corner is known by. */
const HALF = 6;
/** The lens of a hand that comes back moves no further, of the picture's width. */
const FURTHEST = 0.3;
const LEAST_LIKENESS = 0.72;
const CLEARLY = 0.92;
/** A pair that is off by more than this does not fit, pixels. */
const OFF_PX = 2.5;
const ROUNDS = 800;
const FEWEST = 10;

/** Corners by Harris and Stephens: where brightness changes in both directions. */
export function corners({ width, height, values }: Grey): readonly Point[] {
  const response = new Float32Array(width * height);
  const [gx, gy] = [new Float32Array(values.length), new Float32Array(values.length)];
  for (let y = 1; y < height - 1; y++) {
    for (let x = 1, at = y * width + 1; x < width - 1; x++, at++) {
      gx[at] = (values[at + 1]! - values[at - 1]!) / 2;
      gy[at] = (values[at + width]! - values[at - width]!) / 2;
    }
  }
  const rim = HALF + 2;
  for (let y = rim; y < height - rim; y++) {
    for (let x = rim; x < width - rim; x++) {
      let [xx, xy, yy] = [0, 0, 0];
      for (let dy = -2; dy <= 2; dy++) {
        for (let dx = -2; dx <= 2; dx++) {
          const at = (y + dy) * width + x + dx;
          xx += gx[at]! * gx[at]!;
          xy += gx[at]! * gy[at]!;
          yy += gy[at]! * gy[at]!;
        }
      }
      response[y * width + x] = xx * yy - xy * xy - 0.05 * (xx + yy) ** 2;
    }
  }
  const found: { readonly x: number; readonly y: number; readonly r: number }[] = [];
  for (let y = rim; y < height - rim; y++) {
    for (let x = rim; x < width - rim; x++) {
      const r = response[y * width + x]!;
      if (r > 0 && isHighest(response, width, x, y, r)) found.push({ x, y, r });
    }
  }
  return found.sort((p, q) => q.r - p.r).slice(0, MOST_CORNERS);
}

function isHighest(response: Float32Array, width: number, x: number, y: number, r: number): boolean {
  for (let dy = -3; dy <= 3; dy++)
    for (let dx = -3; dx <= 3; dx++) if (response[(y + dy) * width + x + dx]! > r) return false;
  return true;
}

/** The square round a corner, its mean taken off and its scatter made 1: the light falls out. */
function patchAt({ width, values }: Grey, { x, y }: Point): Float32Array {
  const patch = new Float32Array((2 * HALF + 1) ** 2);
  let [sum, i] = [0, 0];
  for (let dy = -HALF; dy <= HALF; dy++)
    for (let dx = -HALF; dx <= HALF; dx++) sum += patch[i++] = values[(y + dy) * width + x + dx]!;
  const mean = sum / patch.length;
  let squares = 0;
  for (let k = 0; k < patch.length; k++) squares += (patch[k]! -= mean) ** 2;
  const size = Math.sqrt(squares) || 1;
  for (let k = 0; k < patch.length; k++) patch[k]! /= size;
  return patch;
}

const likeness = (p: Float32Array, q: Float32Array): number => {
  let sum = 0;
  for (let i = 0; i < p.length; i++) sum += p[i]! * q[i]!;
  return sum;
};

/** Corners of both that are each other's best match, and clearly so. */
function pairsOf(one: Grey, other: Grey): readonly Pair[] {
  const [from, to] = [corners(one), corners(other)];
  const [mine, theirs] = [from.map((point) => patchAt(one, point)), to.map((point) => patchAt(other, point))];
  const far = FURTHEST * one.width;
  const table = mine.map((patch, i) =>
    theirs.map((another, j) =>
      Math.hypot(from[i]!.x - to[j]!.x, from[i]!.y - to[j]!.y) > far ? -1 : likeness(patch, another),
    ),
  );
  return table.flatMap((row, i): readonly Pair[] => {
    let [best, second] = [-1, -1];
    row.forEach((like, j) => {
      if (best < 0 || like > row[best]!) [best, second] = [j, best];
      else if (second < 0 || like > row[second]!) second = j;
    });
    const like = row[best] ?? -1;
    if (like < LEAST_LIKENESS || (second >= 0 && row[second]! > CLEARLY * like)) return [];
    return table.every((others, k) => k === i || others[best]! <= like) ? [{ from: from[i]!, to: to[best]! }] : [];
  });
}

/** The homography through pairs: exact for four, least squares for more. null where they lie in a line. */
export function homographyThrough(pairs: readonly Pair[]): Homography | null {
  const normal = Array.from({ length: 8 }, () => new Array<number>(9).fill(0));
  for (const {
    from: { x, y },
    to: { x: u, y: v },
  } of pairs) {
    for (const [row, value] of [
      [[x, y, 1, 0, 0, 0, -u * x, -u * y], u],
      [[0, 0, 0, x, y, 1, -v * x, -v * y], v],
    ] as const) {
      for (let p = 0; p < 8; p++) {
        for (let q = 0; q < 8; q++) normal[p]![q]! += row[p]! * row[q]!;
        normal[p]![8]! += row[p]! * value;
      }
    }
  }
  const found = solved(normal);
  return found && found.every(Number.isFinite) ? [...found, 1] : null;
}

const offOf = (h: Homography, { from, to }: Pair): number => {
  const { x, y } = mapped(h, from);
  return Math.hypot(x - to.x, y - to.y);
};

/** Points about 1 in size: squares of squares of pixels would drown the rest. */
const scaledBy = (pairs: readonly Pair[], by: number): readonly Pair[] =>
  pairs.map(({ from, to }) => ({ from: { x: from.x * by, y: from.y * by }, to: { x: to.x * by, y: to.y * by } }));

function through(pairs: readonly Pair[], size: number): Homography | null {
  const h = homographyThrough(scaledBy(pairs, 1 / size));
  return h && [h[0]!, h[1]!, h[2]! * size, h[3]!, h[4]!, h[5]! * size, h[6]! / size, h[7]! / size, 1];
}

/**
 * How the second picture lies on the first: the homography that most matched corners agree on
 * (RANSAC, Fischler and Bolles 1981), then fitted through all of those. null where too few agree.
 */
export function aligned(one: Grey, other: Grey): Aligned | null {
  const pairs = pairsOf(one, other);
  if (pairs.length < FEWEST) return null;
  const random = randomLcg(0.5);
  let best: readonly Pair[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const four = Array.from({ length: 4 }, () => pairs[Math.floor(random() * pairs.length)]!);
    const h = new Set(four).size === 4 ? through(four, one.width) : null;
    if (!h) continue;
    const fitting = pairs.filter((pair) => offOf(h, pair) < OFF_PX);
    if (fitting.length > best.length) best = fitting;
  }
  if (best.length < FEWEST) return null;
  const homography = through(best, one.width);
  return homography && { homography, inliers: best.length };
}
