import polylabel from 'polylabel';
import type { Detail } from '@esmero/core';
import type { Dimensions, Point, View, Zone, ZoneId } from '@esmero/model';
import { UNDER, pathOf, upright } from './view-layout';

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

/** Something drawn that is no zone. */
interface PlacedDetail {
  readonly kind: Detail['kind'];
  readonly path: string;
}

export interface Net {
  readonly zones: readonly PlacedZone[];
  /** Below the zones: bodies, tyres, glass seen through. */
  readonly under: readonly PlacedDetail[];
  /** Above them: lamps, handles, spokes. */
  readonly over: readonly PlacedDetail[];
  readonly viewBox: string;
}

/** Gap between views, metres. */
const GAP = 0.14;
const MARGIN = 0.1;

type Place = (point: Point) => Point;

/**
 * Hinges the flanks on the roof, nose to the left, left flank below, as the body would fold open; nose and tail stand
 * upright before and behind it, each as one sees it who stands there. Nose up, all of it is turned but those two.
 */
function placesOf({ lengthM, widthM, heightM }: Dimensions, lie: Lie): Record<View, Place> {
  const side = widthM / 2 + GAP;
  const turned: Place = lie === 'across' ? (point) => point : ([x, y]) => [-y, x];
  const hinged =
    (place: Place): Place =>
    (point) =>
      turned(place(point));
  const ahead = lie === 'across' ? GAP + widthM / 2 : GAP + heightM / 2;
  // One who faces the nose has the car's left at the right hand.
  const end = (centre: Point, right: 1 | -1): Place => {
    const [x, y] = turned(centre);
    return ([across, up]) => [x + right * across, y + heightM / 2 - up];
  };
  return {
    top: hinged((point) => point),
    left: hinged(([x, up]) => [x, side + heightM - up]),
    right: hinged(([x, up]) => [x, -(side + heightM - up)]),
    front: end([-ahead, 0], 1),
    rear: end([lengthM + ahead, 0], -1),
  };
}

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
  return [x, y, Math.max(...xs) + MARGIN - x, Math.max(...ys) + MARGIN - y].map((value) => value.toFixed(3)).join(' ');
}

/** The car unfolded: every zone where it lies on the net, in metres. */
export const netOf = (zones: readonly Zone[], details: readonly Detail[], dimensions: Dimensions, lie: Lie): Net =>
  netWith(placesOf(dimensions, lie), zones, details);

/** One side alone, upright, as somebody sees it who stands before it. */
export const sideOf = (view: View, zones: readonly Zone[], details: readonly Detail[]): Net =>
  netWith(
    upright,
    zones.filter((zone) => zone.view === view),
    details.filter((detail) => detail.view === view),
  );

function netWith(places: Readonly<Record<View, Place>>, zones: readonly Zone[], details: readonly Detail[]): Net {
  const placed = zones.map((zone): PlacedZone => {
    const place = places[zone.view];
    const { centre, room } = widest(zone.polygons);
    return {
      zone,
      path: pathOf(zone.polygons.map((polygon) => polygon.map(place))),
      centre: place(centre),
      room,
    };
  });
  const drawn = (isIn: (kind: Detail['kind']) => boolean): PlacedDetail[] =>
    details
      .filter(({ kind }) => isIn(kind))
      .map(({ kind, view, points }) => ({ kind, path: pathOf([points.map(places[view])]) }));
  const points = [
    ...zones.flatMap(({ view, polygons }) => polygons.flat().map(places[view])),
    ...details.flatMap(({ view, points: own }) => own.map(places[view])),
  ];
  return {
    zones: placed,
    under: drawn((kind) => UNDER.has(kind)),
    over: drawn((kind) => !UNDER.has(kind)),
    viewBox: boxOf(points),
  };
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
