import type { CentrePart, Point, Polygon, View } from '../model';
import { type Corner, rounded } from './curve';
import type { Frame } from './frame';

/** A centre-line panel: where it is drawn, its outline, and how it slopes. */
export interface CentreShape {
  readonly part: CentrePart;
  readonly view: View;
  readonly polygon: Polygon;
  /** Against the horizontal. */
  readonly tiltDeg: number;
  /** Clockwise from the nose. */
  readonly facingDeg: number;
  /** True area of the sloped panel over the area of its outline in this view. */
  readonly slopeFactor: number;
  readonly heightM: number;
}

/** Steeper than this a panel shows from the end of the car rather than from above. */
const END_VIEW_DEG = 55;
/** Least run of a boot lid, share of the length: below it the tail has none. */
const LEAST_LID = 0.05;
/** Half widths at stations along the car, shares of the width. */
const HALF_NOSE = 0.35;
const HALF_COWL = 0.41;
const HALF_TAIL = 0.38;

const facing = { front: 0, rear: 180 } as const;

/** A panel between two points of the profile, `half` its half widths at either point. */
function between(
  f: Frame,
  part: CentrePart,
  [from, to]: readonly [Point, Point],
  half: readonly [number, number],
  endView: 'front' | 'rear',
  /** How far its corners are rounded at either point, m. */
  round: readonly [number, number] = [0, 0],
): CentreShape {
  const run = to[0] - from[0];
  const rise = Math.abs(to[1] - from[1]);
  const slant = Math.hypot(run, rise);
  const tiltDeg = (Math.atan2(rise, run) * 180) / Math.PI;
  const [a, b] = [half[0] * f.width, half[1] * f.width];
  const steep = tiltDeg > END_VIEW_DEG;
  const outline = (p: number, q: number, swap: boolean): Polygon => {
    const corners: Corner[] = [
      [p, -a, round[0]],
      [q, -b, round[1]],
      [q, b, round[1]],
      [p, a, round[0]],
    ];
    const polygon = rounded(corners);
    return swap ? polygon.map(([along, across]): Point => [across, along]) : polygon;
  };
  return {
    part,
    view: steep ? endView : 'top',
    polygon: steep ? outline(from[1], to[1], true) : outline(from[0], to[0], false),
    tiltDeg,
    facingDeg: facing[endView],
    slopeFactor: slant / (steep ? rise : run),
    heightM: (from[1] + to[1]) / 2,
  };
}

function profilePanels(f: Frame): CentreShape[] {
  const halfRoof = f.template.roofWidth / 2;
  const panels = [
    between(f, 'bonnet', [f.nose, f.cowl], [HALF_NOSE, HALF_COWL], 'front', [f.width * 0.16, 0]),
    between(f, 'windscreen', [f.cowl, f.header], [HALF_COWL, halfRoof], 'front', [f.width * 0.05, f.width * 0.05]),
    between(f, 'roof', [f.header, f.roofEnd], [halfRoof, halfRoof], 'rear'),
    between(f, 'rear-window', [f.roofEnd, f.deck], [halfRoof * 0.96, HALF_TAIL * 0.95], 'rear', [
      f.width * 0.05,
      f.width * 0.05,
    ]),
  ];
  const lidRun = f.tail[0] - f.deck[0];
  return lidRun < LEAST_LID * f.length
    ? panels
    : [
        ...panels,
        between(f, 'boot-lid', [f.deck, f.tail], [HALF_TAIL, HALF_TAIL], 'rear', [0, Math.min(lidRun, f.width) * 0.2]),
      ];
}

const upright = (part: CentrePart, view: 'front' | 'rear', polygon: Polygon, heightM: number): CentreShape => ({
  part,
  view,
  polygon,
  tiltDeg: 90,
  facingDeg: facing[view],
  slopeFactor: 1,
  heightM,
});

/**
 * An end of the car: a lower band, an upper band, and an insert let into the upper edge of the
 * upper band (grille; badges and plate).
 */
interface EndFace {
  readonly half: number;
  readonly bottom: number;
  readonly middle: number;
  readonly top: number;
  readonly insertHalf: number;
  readonly insertBottom: number;
}

/** A band across the car; its lower corners may be rounded. */
const band = (half: number, bottom: number, top: number, roundM = 0): Polygon =>
  rounded([
    [-half, bottom, roundM],
    [half, bottom, roundM],
    [half, top, 0],
    [-half, top, 0],
  ]);

/** The band with the insert cut out of its upper edge. */
const notched = ({ half, middle, top, insertHalf, insertBottom }: EndFace): Polygon => {
  const roundM = Math.min(half - insertHalf, top - middle) * 0.6;
  return rounded([
    [-half, middle, 0],
    [half, middle, 0],
    [half, top, roundM],
    [insertHalf, top, 0],
    [insertHalf, insertBottom, 0],
    [-insertHalf, insertBottom, 0],
    [-insertHalf, top, 0],
    [-half, top, roundM],
  ]);
};

const centreOf = (bottom: number, top: number): number => (bottom + top) / 2;

function frontFace(f: Frame): CentreShape[] {
  const top = f.nose[1];
  const bottom = f.clearance * 1.1;
  const middle = bottom + (top - bottom) * 0.38;
  const face: EndFace = {
    half: f.width * 0.44,
    bottom,
    middle,
    top,
    insertHalf: f.width * 0.24,
    insertBottom: middle + (top - middle) * 0.35,
  };
  return [
    upright(
      'front-bumper-lower',
      'front',
      band(face.half * 0.95, bottom, middle, (middle - bottom) * 0.7),
      centreOf(bottom, middle),
    ),
    upright('front-bumper-upper', 'front', notched(face), centreOf(middle, top)),
    upright('grille', 'front', band(face.insertHalf, face.insertBottom, top), centreOf(face.insertBottom, top)),
  ];
}

function rearFace(f: Frame): CentreShape[] {
  const top = f.template.deck[0] < 0.93 ? f.tail[1] : f.deck[1];
  const bottom = f.clearance * 1.3;
  const sill = bottom + (top - bottom) * 0.5;
  const lip = sill + f.height * 0.025;
  const bumperMiddle = bottom + (sill - bottom) * 0.45;
  const face: EndFace = {
    half: f.width * 0.43,
    bottom: lip,
    middle: lip,
    top,
    insertHalf: f.width * 0.2,
    insertBottom: lip + (top - lip) * 0.45,
  };
  return [
    upright(
      'rear-bumper-lower',
      'rear',
      band(face.half * 0.95, bottom, bumperMiddle, (bumperMiddle - bottom) * 0.7),
      centreOf(bottom, bumperMiddle),
    ),
    upright('rear-bumper-upper', 'rear', band(face.half, bumperMiddle, sill), centreOf(bumperMiddle, sill)),
    upright('boot-sill', 'rear', band(face.half * 0.7, sill, lip), centreOf(sill, lip)),
    upright('rear-face', 'rear', notched(face), centreOf(lip, top)),
    upright('badges', 'rear', band(face.insertHalf, face.insertBottom, top), centreOf(face.insertBottom, top)),
  ];
}

/** Panels seen from above, from the front and from the rear, y = 0 on the centre line or ground. */
export const centreShapes = (f: Frame): readonly CentreShape[] => [
  ...profilePanels(f),
  ...frontFace(f),
  ...rearFace(f),
];
