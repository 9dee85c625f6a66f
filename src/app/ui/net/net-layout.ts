import polylabel from 'polylabel';
import type { Dimensions, Point, View, Zone, ZoneId } from '@esmero/model';

/** How the net lies: nose to the left, or nose up for a narrow screen. */
export type Lie = 'across' | 'up';

export interface PlacedZone {
  readonly zone: Zone;
  /** SVG path, metres. */
  readonly path: string;
  /** The point farthest from any edge: where there is most room to write. */
  readonly centre: Point;
  /** Distance from there to the nearest edge, metres. */
  readonly room: number;
}

export interface Net {
  readonly zones: readonly PlacedZone[];
  readonly viewBox: string;
}

/** Gap between views, metres. */
const GAP = 0.14;
const MARGIN = 0.1;

type Place = (point: Point) => Point;

/** Highest point that any zone of a view reaches. */
const topOf = (zones: readonly Zone[], view: View): number =>
  Math.max(
    0,
    ...zones
      .filter((zone) => zone.view === view)
      .flatMap(({ polygons }) => polygons.flat().map(([, up]) => up)),
  );

/**
 * Hinges the views around the top: flanks along the roof, nose and tail at the ends, each with its
 * upper edge to the middle. Nose left, left flank below, as the body would fold open.
 */
function placesOf(zones: readonly Zone[], { lengthM, widthM }: Dimensions): Record<View, Place> {
  const [left, right, front, rear] = (['left', 'right', 'front', 'rear'] as const).map((view) =>
    topOf(zones, view),
  );
  const side = widthM / 2 + GAP;
  return {
    top: ([x, y]) => [x, y],
    left: ([x, up]) => [x, side + left! - up],
    right: ([x, up]) => [x, -(side + right! - up)],
    front: ([across, up]) => [-(GAP + front! - up), across],
    rear: ([across, up]) => [lengthM + GAP + rear! - up, across],
  };
}

const turned: Record<Lie, Place> = {
  across: (point) => point,
  up: ([x, y]) => [-y, x],
};

const pathOf = (polygons: readonly (readonly Point[])[]): string =>
  polygons
    .map((polygon) => `M${polygon.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}Z`)
    .join('');

/** Precision of the writing's place, metres. */
const PRECISION = 0.02;

/** Farthest from all edges, holes included, as plain numbers. */
function widest(polygons: readonly (readonly Point[])[]): { centre: Point; room: number } {
  const found = polylabel(
    polygons.map((ring) => ring.map(([x, y]) => [x, y])),
    PRECISION,
  );
  return { centre: [found[0]!, found[1]!], room: found.distance };
}

function boxOf(points: readonly Point[]): string {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [x, y] = [Math.min(...xs) - MARGIN, Math.min(...ys) - MARGIN];
  return [x, y, Math.max(...xs) + MARGIN - x, Math.max(...ys) + MARGIN - y]
    .map((value) => value.toFixed(3))
    .join(' ');
}

/** The car unfolded: every zone where it lies on the net, in metres. */
export function netOf(zones: readonly Zone[], dimensions: Dimensions, lie: Lie): Net {
  const places = placesOf(zones, dimensions);
  const put = (view: View): Place => (point) => turned[lie](places[view](point));
  const placed = zones.map((zone): PlacedZone => {
    const place = put(zone.view);
    const { centre, room } = widest(zone.polygons);
    return {
      zone,
      path: pathOf(zone.polygons.map((polygon) => polygon.map(place))),
      centre: place(centre),
      room,
    };
  });
  const points = zones.flatMap(({ view, polygons }) => polygons.flat().map(put(view)));
  return { zones: placed, viewBox: boxOf(points) };
}

export type Direction = 'left' | 'right' | 'up' | 'down';

const along: Readonly<Record<Direction, Place>> = {
  left: ([x, y]) => [-x, y],
  right: ([x, y]) => [x, y],
  up: ([x, y]) => [-y, x],
  down: ([x, y]) => [y, x],
};

/** The next zone in a direction: near, and not far off the line. */
export function neighbour(net: Net, from: ZoneId, direction: Direction): ZoneId | null {
  const start = net.zones.find(({ zone }) => zone.id === from);
  if (!start) return null;
  let best: ZoneId | null = null;
  let least = Infinity;
  for (const { zone, centre } of net.zones) {
    const [ahead, aside] = along[direction]([centre[0] - start.centre[0], centre[1] - start.centre[1]]);
    const distance = ahead + 2.2 * Math.abs(aside);
    if (zone.id !== from && ahead > 0.02 && distance < least) [best, least] = [zone.id, distance];
  }
  return best;
}
