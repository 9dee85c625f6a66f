import type { Grey } from './align';
import { type Point, quantileOf } from './outline';
import { blurred } from './wipe-picture';

/** A fine bright line on the panel. */
export interface Line {
  readonly points: readonly Point[];
  readonly length: number;
  /** Bent round the lamp, as what towels leave is; else a streak. */
  readonly isArc: boolean;
}

/** Shorter ones are specks, pixels. */
const SHORTEST = 11;
/** A pixel is on a line where it stands out by so much of the noise; and goes on along it where it still does by less. */
const CLEARLY = 5.5;
const STILL = 3;
/** Pieces so close, and so much in line, are one that another crosses. */
const GAP = 9;
const IN_LINE = 0.88;
/** An edge is a step, not a line: it slopes more than it bends. */
const STEP = 2.6;
/** Height of the bow, of the length and in pixels: a straight line of pixels wavers by one. */
const BOW = 0.02;
const BOW_PX = 1.1;
/** Longer than this share of the picture is the edge of a panel, or a mirrored one. */
const LONGEST = 0.5;

interface Ridges {
  readonly strength: Float32Array;
  /** Direction along the line. */
  readonly ux: Float32Array;
  readonly uy: Float32Array;
}

/** 1 2 1 both ways. */
function smoothed({ width, height, values }: Grey): Float32Array {
  const out = values.slice();
  for (let y = 1; y < height - 1; y++) {
    for (let x = 1, at = y * width + 1; x < width - 1; x++, at++) {
      out[at] =
        (4 * values[at]! +
          2 * (values[at - 1]! + values[at + 1]! + values[at - width]! + values[at + width]!) +
          values[at - width - 1]! +
          values[at - width + 1]! +
          values[at + width - 1]! +
          values[at + width + 1]!) /
        16;
    }
  }
  return out;
}

/** Where brightness bends down across a direction and hardly along it: the larger eigenvalue of the second derivatives, and its direction. */
function ridgesOf(grey: Grey): Ridges {
  const { width, height } = grey;
  const v = smoothed(grey);
  const [strength, ux, uy] = [new Float32Array(v.length), new Float32Array(v.length), new Float32Array(v.length)];
  for (let y = 2; y < height - 2; y++) {
    for (let x = 2, at = y * width + 2; x < width - 2; x++, at++) {
      const xx = v[at - 1]! - 2 * v[at]! + v[at + 1]!;
      const yy = v[at - width]! - 2 * v[at]! + v[at + width]!;
      const xy = (v[at + width + 1]! - v[at + width - 1]! - v[at - width + 1]! + v[at - width - 1]!) / 4;
      const mean = (xx + yy) / 2;
      const root = Math.hypot((xx - yy) / 2, xy);
      const across = mean - root;
      if (across >= 0) continue;
      const slope = Math.hypot(v[at + 1]! - v[at - 1]!, v[at + width]! - v[at - width]!) / 2;
      if (slope > STEP * -across) continue;
      strength[at] = -across - Math.max(0, -(mean + root));
      const angle = Math.atan2(2 * xy, xx - yy) / 2;
      // The eigenvector of the larger eigenvalue lies along the line.
      [ux[at], uy[at]] = [Math.cos(angle), Math.sin(angle)];
    }
  }
  return { strength, ux, uy };
}

/** Pixels that no neighbour across the line is stronger than. */
function crests({ strength, ux, uy }: Ridges, width: number, least: number): Uint8Array {
  const on = new Uint8Array(strength.length);
  for (let at = width + 1; at < strength.length - width - 1; at++) {
    const own = strength[at]!;
    if (own < least) continue;
    const step = Math.round(-uy[at]!) + width * Math.round(ux[at]!);
    if (own >= strength[at + step]! && own >= strength[at - step]!) on[at] = 1;
  }
  return on;
}

/** Crest pixels that hang together and keep their direction. */
function pieces(on: Uint8Array, ridges: Ridges, width: number, clearly: number): readonly (readonly number[])[] {
  const seen = new Uint8Array(on.length);
  const found: number[][] = [];
  for (let start = 0; start < on.length; start++) {
    if (!on[start] || seen[start] || ridges.strength[start]! < clearly) continue;
    const piece = [start];
    seen[start] = 1;
    for (const at of piece) {
      for (const step of [-width - 1, -width, -width + 1, -1, 1, width - 1, width, width + 1]) {
        const next = at + step;
        if (!on[next] || seen[next]) continue;
        if (Math.abs(ridges.ux[at]! * ridges.ux[next]! + ridges.uy[at]! * ridges.uy[next]!) < IN_LINE) continue;
        seen[next] = 1;
        piece.push(next);
      }
    }
    found.push(piece);
  }
  return found;
}

interface Piece {
  readonly points: readonly Point[];
  readonly ends: readonly [Point, Point];
  /** Out of the piece at each end. */
  readonly out: readonly [Point, Point];
  readonly length: number;
}

const unit = (x: number, y: number): Point => {
  const size = Math.hypot(x, y) || 1;
  return { x: x / size, y: y / size };
};

function pieceOf(pixels: readonly number[], width: number): Piece {
  const points = pixels.map((at) => ({ x: at % width, y: Math.floor(at / width) }));
  const far = (from: Point): Point =>
    points.reduce(
      (best, one) =>
        Math.hypot(one.x - from.x, one.y - from.y) > Math.hypot(best.x - from.x, best.y - from.y) ? one : best,
      from,
    );
  const a = far(points[0]!);
  const b = far(a);
  const near = (end: Point): Point => {
    const close = points.filter((one) => Math.hypot(one.x - end.x, one.y - end.y) < 9);
    const middle = {
      x: close.reduce((sum, { x }) => sum + x, 0) / close.length,
      y: close.reduce((sum, { y }) => sum + y, 0) / close.length,
    };
    return unit(end.x - middle.x, end.y - middle.y);
  };
  return { points, ends: [a, b], out: [near(a), near(b)], length: Math.hypot(b.x - a.x, b.y - a.y) };
}

/** Whether one goes on where the other stops. */
function goesOn(p: Piece, q: Piece): boolean {
  for (const i of [0, 1] as const) {
    for (const j of [0, 1] as const) {
      const [dx, dy] = [q.ends[j].x - p.ends[i].x, q.ends[j].y - p.ends[i].y];
      const gap = Math.hypot(dx, dy);
      if (gap > GAP) continue;
      const facing = -(p.out[i].x * q.out[j].x + p.out[i].y * q.out[j].y);
      const along = gap < 3 ? 1 : (dx * p.out[i].x + dy * p.out[i].y) / gap;
      if (facing > IN_LINE && along > IN_LINE - 0.1) return true;
    }
  }
  return false;
}

/** Pieces that are one line, put together. */
function joined(all: readonly Piece[]): readonly (readonly Piece[])[] {
  const group = all.map((_piece, i) => i);
  const root = (i: number): number => (group[i] === i ? i : (group[i] = root(group[i]!)));
  all.forEach((piece, i) => {
    for (let j = 0; j < i; j++) if (goesOn(piece, all[j]!)) group[root(i)] = root(j);
  });
  const groups = new Map<number, Piece[]>();
  all.forEach((piece, i) => groups.set(root(i), [...(groups.get(root(i)) ?? []), piece]));
  return [...groups.values()];
}

/** How far a line bows off the straight between its ends, pixels. */
function bow(points: readonly Point[], [a, b]: readonly [Point, Point]): number {
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const off = points.map(({ x, y }) => ((x - a.x) * (b.y - a.y) - (y - a.y) * (b.x - a.x)) / length);
  return Math.max(Math.abs(quantileOf(off, 0.05)), Math.abs(quantileOf(off, 0.95)));
}

/** Broader than any line and this much brighter than what lies round it: tape, a badge, a mirrored window. */
const BROAD_PX = 3;
const AROUND_PX = 14;
const BROADLY = 0.08;

/** Pixels of broad bright things, and right beside them. */
function broadIn({ width, height, values }: Grey): Uint8Array {
  const [near, far] = [blurred(values, width, height, BROAD_PX), blurred(values, width, height, AROUND_PX)];
  const broad = new Float32Array(values.length);
  for (let at = 0; at < broad.length; at++) broad[at] = near[at]! - far[at]! > BROADLY ? 1 : 0;
  const wide = blurred(broad, width, height, BROAD_PX);
  return Uint8Array.from(wide, (share) => (share > 0.05 ? 1 : 0));
}

/**
 * Fine bright lines: crests of brightness that stand out of the noise, are long enough, and neither
 * a step of brightness nor as long as an edge.
 * @param masked pixels that are left out, such as the lamp itself
 * @param times how much stricter than usual
 */
export function linesIn(grey: Grey, masked: (at: number) => boolean, times = 1): readonly Line[] {
  const ridges = ridgesOf(grey);
  const sample = ridges.strength.filter((one, i) => one > 0 && i % 7 === 0);
  const noise = Math.max(1e-6, quantileOf(sample, 0.5) / 0.6745);
  const on = crests(ridges, grey.width, STILL * noise * times);
  const broad = broadIn(grey);
  for (let at = 0; at < on.length; at++) if (on[at] && (broad[at] || masked(at))) on[at] = 0;
  const parts = pieces(on, ridges, grey.width, CLEARLY * noise * times)
    .filter((piece) => piece.length >= 5)
    .map((piece) => pieceOf(piece, grey.width));
  return joined(parts).flatMap((group): readonly Line[] => {
    const points = group.flatMap((piece) => piece.points);
    const whole = pieceOf(
      points.map(({ x, y }) => y * grey.width + x),
      grey.width,
    );
    if (whole.length < SHORTEST || whole.length > LONGEST * grey.width) return [];
    return [{ points, length: whole.length, isArc: bow(points, whole.ends) > Math.max(BOW_PX, BOW * whole.length) }];
  });
}
