import type { FlankPart, Point, Polygon } from '../model';
import type { Frame } from './frame';
import { type Corner, rounded } from './curve';
import { arc, circle, clipToBox, halfRing, ring } from './polygon';

export type FlankShapes = ReadonlyMap<FlankPart, readonly Polygon[]>;

/** Rim against the tyre's outside. */
const RIM_SHARE = 0.68;
/** Width of a drawn shut gap, share of the length. */
const SHUT_WIDTH = 0.012;

/** Corners of the side from the front lower edge backwards and up over the tail, and the roof line back to the nose; arches cut out. */
export function bodyOutline(f: Frame): readonly [shell: readonly Corner[], roof: readonly Corner[]] {
  const bottomRear: Point = [f.length * 0.97, f.clearance * 1.3];
  const bottomFront: Point = [f.length * 0.03, f.clearance * 1.2];
  const arch = (axle: Point): Point[] => {
    // Where the arch meets the underside; an arch that hangs below it ends at the wheel's centre.
    const drop = Math.max(-1, Math.min(0, (f.clearance - axle[1]) / f.archRadius));
    const dip = (Math.asin(drop) * 180) / Math.PI;
    return arc(axle, f.archRadius, dip, 180 - dip);
  };
  const steepTail: Point[] = f.deck[0] < f.length * 0.93 ? [f.tail, f.deck] : [f.deck];
  const sharp = ([x, y]: Point): Corner => [x, y, 0];
  const round = ([x, y]: Point, share: number): Corner => [x, y, share * f.height];
  const shell = [
    round(bottomFront, 0.06),
    ...[...arch(f.frontAxle)].reverse().map(sharp),
    ...[...arch(f.rearAxle)].reverse().map(sharp),
    round(bottomRear, 0.06),
    round([f.length, f.tail[1] * 0.6], 0.1),
    round([f.length, f.tail[1] * 0.93], 0.1),
    ...steepTail.map((point) => round(point, 0.08)),
  ];
  const nose = [round(f.nose, 0.16), round([0, f.nose[1] * 0.9], 0.08), round([0, f.nose[1] * 0.5], 0.1)];
  return [shell, [round(f.roofEnd, 0.1), round(f.header, 0.2), round(f.cowl, 0.06), ...nose]];
}

/** The painted side in one outline, wheel arches cut out, side glass left out. */
function bodySide(f: Frame): Polygon {
  const [shell, [, , , ...nose]] = bodyOutline(f);
  return rounded([
    ...shell,
    [...f.roofEnd, f.height * 0.05],
    [...f.glassTop, 0],
    [...f.glassBase, f.height * 0.02],
    [f.cowl[0] + f.length * 0.03, f.cowl[1], 0],
    [...f.cowl, 0],
    ...nose,
  ]);
}

const sideGlass = (f: Frame): Polygon =>
  rounded([
    [f.cowl[0] + f.length * 0.035, f.cowl[1], f.height * 0.03],
    [...f.glassBase, f.height * 0.05],
    [...f.glassTop, f.height * 0.08],
    [f.header[0], f.height * 0.94, f.length * 0.05],
  ]);

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
  return rounded([
    [x, y, h * 0.3],
    [x + w * 0.85, y, h * 0.2],
    [x + w, y + h * 0.5, h * 0.3],
    [x + w * 0.8, y + h, h * 0.4],
    [x + w * 0.15, y + h * 0.8, h * 0.4],
  ]);
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
