import { type Light, brightness } from './raster';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The towel in the picture: a convex outline in pixels. */
export interface Outline {
  readonly points: readonly Point[];
  /** Square pixels. */
  readonly area: number;
  readonly centre: Point;
  /** How bright what lies round it is. */
  readonly around: number;
}

export type NoOutline = 'no-towel' | 'pale-ground' | 'cut-off';

/** Pixels along a cell of the coarse grid that the towel is looked for in. */
const CELL = 4;
/** A towel has at least this share of the picture. */
const LEAST_SHARE = 0.1;
/** What lies round the towel is darker than this share of it. */
const PALEST = 0.5;
/** A folded towel fills this share of the box round it. */
const SQUARENESS = 0.86;

interface Cells {
  readonly across: number;
  readonly down: number;
  readonly values: Float32Array;
}

function cellsOf(light: Light): Cells {
  const [across, down] = [Math.floor(light.width / CELL), Math.floor(light.height / CELL)];
  const values = new Float32Array(across * down);
  for (let y = 0; y < down * CELL; y++)
    for (let x = 0; x < across * CELL; x++)
      values[Math.floor(y / CELL) * across + Math.floor(x / CELL)]! +=
        brightness(light, y * light.width + x) / (CELL * CELL);
  return { across, down, values };
}

const sorted = (values: ArrayLike<number>): Float32Array => Float32Array.from(values).sort();

/** The value below which a share of them lies. */
export const quantileOf = (values: ArrayLike<number>, share: number): number => {
  const inOrder = sorted(values);
  return inOrder[Math.min(inOrder.length - 1, Math.floor(share * inOrder.length))] ?? 0;
};

function rim({ across, down, values }: Cells): number[] {
  const found: number[] = [];
  for (let x = 0; x < across; x++) found.push(values[x]!, values[(down - 1) * across + x]!);
  for (let y = 0; y < down; y++) found.push(values[y * across]!, values[y * across + across - 1]!);
  return found;
}

/** The largest patch of cells above a threshold, each with its four neighbours. */
function largestPatch({ across, down, values }: Cells, above: number): readonly number[] {
  const seen = new Uint8Array(values.length);
  let best: number[] = [];
  for (let start = 0; start < values.length; start++) {
    if (seen[start] || values[start]! <= above) continue;
    const patch = [start];
    seen[start] = 1;
    // The patch grows while it is walked through.
    for (const at of patch) {
      const x = at % across;
      for (const next of [x > 0 ? at - 1 : -1, x < across - 1 ? at + 1 : -1, at - across, at + across]) {
        if (next < 0 || next >= across * down || seen[next] || values[next]! <= above) continue;
        seen[next] = 1;
        patch.push(next);
      }
    }
    if (patch.length > best.length) best = patch;
  }
  return best;
}

const cross = (o: Point, a: Point, b: Point): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

/** Convex hull, clockwise on the screen (Andrew's monotone chain). */
export function hull(points: readonly Point[]): readonly Point[] {
  const inOrder = [...points].sort((p, q) => p.x - q.x || p.y - q.y);
  const half = (from: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const point of from) {
      while (chain.length > 1 && cross(chain.at(-2)!, chain.at(-1)!, point) <= 0) chain.pop();
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(inOrder), ...half(inOrder.reverse())];
}

/** Shoelace formula. */
export const areaOf = (points: readonly Point[]): number =>
  Math.abs(
    points.reduce(
      (sum, p, i) => sum + p.x * points[(i + 1) % points.length]!.y - points[(i + 1) % points.length]!.x * p.y,
      0,
    ),
  ) / 2;

/** Centre of the area of a polygon. */
function centroid(points: readonly Point[]): Point {
  let [doubled, cx, cy] = [0, 0, 0];
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!;
    const part = p.x * q.y - q.x * p.y;
    doubled += part;
    cx += (p.x + q.x) * part;
    cy += (p.y + q.y) * part;
  });
  return { x: cx / (3 * doubled), y: cy / (3 * doubled) };
}

/** Area of the smallest box round a hull; one of its sides lies along one of the hull's. */
function boxArea(points: readonly Point[]): number {
  let least = Infinity;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!;
    const length = Math.hypot(q.x - p.x, q.y - p.y);
    if (length === 0) return;
    const [ux, uy] = [(q.x - p.x) / length, (q.y - p.y) / length];
    const along = points.map(({ x, y }) => x * ux + y * uy);
    const off = points.map(({ x, y }) => y * ux - x * uy);
    least = Math.min(least, (Math.max(...along) - Math.min(...along)) * (Math.max(...off) - Math.min(...off)));
  });
  return least;
}

/** Where a value between two neighbouring cells crosses the threshold, as a share of the way to the outer one. */
const crossing = (inner: number, outer: number, threshold: number): number =>
  (inner - threshold) / Math.max(1e-6, inner - outer);

/** Points of the towel's edge to a fraction of a cell: where brightness, cell to cell, crosses the threshold. */
function edgePoints({ across, down, values }: Cells, patch: readonly number[], threshold: number): readonly Point[] {
  const points: Point[] = [];
  for (const at of patch) {
    const [x, y] = [at % across, Math.floor(at / across)];
    for (const [dx, dy] of [
      [-1, 0],
      [1, 0],
      [0, -1],
      [0, 1],
    ] as const) {
      const [nx, ny] = [x + dx, y + dy];
      if (nx < 0 || ny < 0 || nx >= across || ny >= down) continue;
      const outer = values[ny * across + nx]!;
      if (outer > threshold) continue;
      const part = crossing(values[at]!, outer, threshold);
      points.push({ x: (x + 0.5 + dx * part) * CELL, y: (y + 0.5 + dy * part) * CELL });
    }
  }
  return points;
}

/**
 * Finds a white towel on something darker. The cloth may be soiled in its middle: what counts is
 * its clean rim, and the outline round it is convex.
 */
export function findOutline(light: Light): Outline | NoOutline {
  const cells = cellsOf(light);
  const clean = quantileOf(cells.values, 0.97);
  const around = quantileOf(rim(cells), 0.5);
  if (clean < 0.02) return 'no-towel';
  if (around > PALEST * clean) return 'pale-ground';
  // Half of a cell on the edge is towel: half-way between both is where the edge runs.
  const threshold = (clean + around) / 2;
  const patch = largestPatch(cells, threshold);
  const { across, down } = cells;
  const touching = patch.filter(
    (at) => at % across === 0 || at % across === across - 1 || at < across || at >= across * (down - 1),
  ).length;
  const points = hull(edgePoints(cells, patch, threshold));
  const area = points.length < 3 ? 0 : areaOf(points);
  if (area < LEAST_SHARE * light.width * light.height) return 'no-towel';
  if (touching > 2) return 'cut-off';
  if (area < SQUARENESS * boxArea(points)) return 'no-towel';
  return { points, area, centre: centroid(points), around };
}

/** The same outline, each point at this share of its distance from the centre. */
export const scaled = ({ points, centre }: Outline, share: number): readonly Point[] =>
  points.map(({ x, y }) => ({ x: centre.x + share * (x - centre.x), y: centre.y + share * (y - centre.y) }));

/** Calls back for every pixel within a convex outline, row by row. */
export function within(
  points: readonly Point[],
  { width, height }: Pick<Light, 'width' | 'height'>,
  each: (at: number, x: number, y: number) => void,
): void {
  const top = Math.max(0, Math.ceil(Math.min(...points.map(({ y }) => y)) - 0.5));
  const bottom = Math.min(height - 1, Math.floor(Math.max(...points.map(({ y }) => y)) - 0.5));
  for (let y = top; y <= bottom; y++) {
    const crossings: number[] = [];
    points.forEach((p, i) => {
      const q = points[(i + 1) % points.length]!;
      const row = y + 0.5;
      if (p.y <= row !== q.y <= row) crossings.push(p.x + ((row - p.y) / (q.y - p.y)) * (q.x - p.x));
    });
    if (crossings.length < 2) continue;
    const from = Math.max(0, Math.ceil(Math.min(...crossings) - 0.5));
    const to = Math.min(width - 1, Math.floor(Math.max(...crossings) - 0.5));
    for (let x = from; x <= to; x++) each(y * width + x, x, y);
  }
}
