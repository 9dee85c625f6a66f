import type { FlankPart, Point, Polygon } from '../model';
import type { Frame } from './frame';
import { arc, circle, clipToBox, halfRing, ring } from './polygon';

export type FlankShapes = ReadonlyMap<FlankPart, readonly Polygon[]>;

/** Rim against the tyre's outside. */
const RIM_SHARE = 0.68;
/** Width of a drawn shut gap, share of the length. */
const SHUT_WIDTH = 0.012;

/** The painted side in one outline, wheel arches cut out, side glass left out. */
function bodySide(f: Frame): Polygon {
  const bottomRear: Point = [f.length * 0.97, f.clearance * 1.3];
  const bottomFront: Point = [f.length * 0.03, f.clearance * 1.2];
  const arch = (axle: Point): Point[] => {
    // Where the arch meets the underside; an arch that hangs below it ends at the wheel's centre.
    const drop = Math.max(-1, Math.min(0, (f.clearance - axle[1]) / f.archRadius));
    const dip = (Math.asin(drop) * 180) / Math.PI;
    return arc(axle, f.archRadius, dip, 180 - dip);
  };
  const steepTail: Point[] = f.deck[0] < f.length * 0.93 ? [f.deck, f.tail] : [f.deck];
  return [
    bottomFront,
    ...[...arch(f.frontAxle)].reverse(),
    ...[...arch(f.rearAxle)].reverse(),
    bottomRear,
    [f.length, f.tail[1] * 0.6],
    [f.length, f.tail[1] * 0.93],
    ...steepTail.reverse(),
    f.roofEnd,
    f.glassTop,
    f.glassBase,
    [f.cowl[0] + f.length * 0.03, f.cowl[1]],
    f.cowl,
    f.nose,
    [0, f.nose[1] * 0.9],
    [0, f.nose[1] * 0.5],
  ];
}

const sideGlass = (f: Frame): Polygon => [
  [f.cowl[0] + f.length * 0.035, f.cowl[1]],
  f.glassBase,
  f.glassTop,
  [f.header[0], f.height * 0.94],
];

/** A strip of door edge behind `x`, as tall as the door. */
const shut = (f: Frame, x: number): Polygon => [
  [x - (f.length * SHUT_WIDTH) / 2, f.sillTop],
  [x + (f.length * SHUT_WIDTH) / 2, f.sillTop],
  [x + (f.length * SHUT_WIDTH) / 2, f.cowl[1] * 0.97],
  [x - (f.length * SHUT_WIDTH) / 2, f.cowl[1] * 0.97],
];

function mirror(f: Frame): Polygon {
  const [x, y] = [f.doorStart + f.length * 0.02, f.cowl[1]];
  const [w, h] = [f.length * 0.045, f.height * 0.09];
  return [
    [x, y],
    [x + w * 0.85, y],
    [x + w, y + h * 0.5],
    [x + w * 0.8, y + h],
    [x + w * 0.15, y + h * 0.8],
  ];
}

/** Outlines of all zones of one flank, nose at x = 0, ground at y = 0. */
export function flankShapes(f: Frame): FlankShapes {
  const body = bodySide(f);
  const glass = sideGlass(f);
  const two = f.template.doors === 2;
  const doorEnd = two ? f.doorEnd : f.pillar;
  const cut = (left: number | undefined, right: number | undefined) => ({
    upper: clipToBox(body, { left, right, bottom: f.skirt }),
    lower: (bottom?: number) => clipToBox(body, { left, right, bottom, top: f.skirt }),
  });
  const frontWing = cut(undefined, f.doorStart);
  const frontDoor = cut(f.doorStart, f.pillar);
  const rearDoor = cut(f.pillar, doorEnd);
  const rearWing = cut(doorEnd, undefined);
  const wheel = (axle: Point) => ({
    face: [circle(axle, f.wheelRadius * RIM_SHARE)],
    tyre: ring(axle, f.wheelRadius, f.wheelRadius * RIM_SHARE),
    arch: [halfRing(axle, f.archRadius, f.wheelRadius)],
  });
  const [front, rear] = [wheel(f.frontAxle), wheel(f.rearAxle)];
  const rearGlass = clipToBox(glass, { left: f.pillar });
  const shapes: [FlankPart, readonly Polygon[]][] = [
    ['front-wing-upper', [frontWing.upper]],
    ['front-wing-lower', [frontWing.lower()]],
    ['front-door-upper', [frontDoor.upper]],
    ['front-door-lower', [frontDoor.lower(f.sillTop)]],
    ...(two
      ? ([
          ['rear-door-upper', [rearDoor.upper]],
          ['rear-door-lower', [rearDoor.lower(f.sillTop)]],
        ] as [FlankPart, readonly Polygon[]][])
      : []),
    ['rear-wing-upper', [rearWing.upper]],
    ['rear-wing-lower', [rearWing.lower()]],
    ['sill', [clipToBox(body, { left: f.doorStart, right: doorEnd, top: f.sillTop })]],
    ['front-glass', [clipToBox(glass, { right: f.pillar })]],
    ...(rearGlass.length > 2 ? ([['rear-glass', [rearGlass]]] as [FlankPart, Polygon[]][]) : []),
    ['front-shut', [shut(f, f.pillar)]],
    ...(two ? ([['rear-shut', [shut(f, doorEnd)]]] as [FlankPart, Polygon[]][]) : []),
    ['mirror', [mirror(f)]],
    ['front-arch', front.arch],
    ['front-tyre', front.tyre],
    ['front-wheel', front.face],
    ['rear-arch', rear.arch],
    ['rear-tyre', rear.tyre],
    ['rear-wheel', rear.face],
  ];
  return new Map(shapes);
}
