import type { Detail } from '@esmero/core';
import type { Point, View, Zone, ZoneId } from '@esmero/model';

/** One side of the car on its own, as somebody sees it who stands before it. */
export interface DrawnView {
  readonly view: View;
  readonly viewBox: string;
  readonly zones: readonly { readonly id: ZoneId; readonly path: string; readonly box: Box; readonly areaM2: number }[];
  readonly under: readonly { readonly kind: Detail['kind']; readonly path: string }[];
  readonly over: readonly { readonly kind: Detail['kind']; readonly path: string }[];
}

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const MARGIN = 0.06;

/** Metres up become metres down the screen; the right flank has its nose at the right, the tail its left at the left. */
export const upright: Readonly<Record<View, (point: Point) => Point>> = {
  left: ([x, up]) => [x, -up],
  right: ([x, up]) => [-x, -up],
  top: (point) => point,
  front: ([across, up]) => [across, -up],
  rear: ([across, up]) => [-across, -up],
};

/** An SVG path through rings of points, metres to a tenth of a millimetre: what is drawn has the area that is computed. */
export const pathOf = (polygons: readonly (readonly Point[])[]): string =>
  polygons.map((polygon) => `M${polygon.map(([x, y]) => `${x.toFixed(4)} ${y.toFixed(4)}`).join('L')}Z`).join('');

function boxOf(points: readonly Point[]): Box {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

/** Details that lie below the panels. */
export const UNDER: ReadonlySet<Detail['kind']> = new Set(['stub', 'body', 'glass']);

/** From the same polygons that areas are computed from. */
export function viewOf(view: View, zones: readonly Zone[], details: readonly Detail[]): DrawnView {
  const place = upright[view];
  const own = zones.filter((zone) => zone.view === view);
  const drawn = details
    .filter((detail) => detail.view === view)
    .map(({ kind, points }) => ({ kind, points: points.map(place) }));
  const placed = own.map(({ id, areaM2, polygons }) => ({
    id,
    areaM2,
    polygons: polygons.map((polygon) => polygon.map(place)),
  }));
  const { x, y, width, height } = boxOf([
    ...placed.flatMap(({ polygons }) => polygons.flat()),
    ...drawn.flatMap(({ points }) => points),
  ]);
  const paths = (isIn: (kind: Detail['kind']) => boolean) =>
    drawn.filter(({ kind }) => isIn(kind)).map(({ kind, points }) => ({ kind, path: pathOf([points]) }));
  return {
    view,
    viewBox: [x - MARGIN, y - MARGIN, width + 2 * MARGIN, height + 2 * MARGIN]
      .map((value) => value.toFixed(2))
      .join(' '),
    zones: placed.map(({ id, areaM2, polygons }) => ({
      id,
      areaM2,
      path: pathOf(polygons),
      box: boxOf(polygons.flat()),
    })),
    under: paths((kind) => UNDER.has(kind)),
    over: paths((kind) => !UNDER.has(kind)),
  };
}
