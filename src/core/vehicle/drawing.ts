import { recent } from '../cache';
import type { Point, Polygon, Vehicle } from '../model';
import { type Corner, rounded } from './curve';
import type { Detail } from './detail';
import { bodyOutline } from './flank';
import { type Frame, frameOf } from './frame';
import { motorcycleDetails } from './motorcycle';

const mirroredAcross = (half: readonly Corner[]): Corner[] => [
  ...half,
  ...[...half].reverse().map(([x, y, r]): Corner => [-x, y, r]),
];

/** Whole car from the side, roof and all. */
const flankBody = (f: Frame): Polygon => {
  const [shell, roof] = bodyOutline(f);
  return rounded([...shell, ...roof]);
};

/** Whole car from an end: sills, shoulders below the glass, roof. */
function endBody(f: Frame, shoulderUp: number): Polygon {
  const [w, h, halfRoof] = [f.width, f.height, (f.template.roofWidth * f.width) / 2];
  return rounded(
    mirroredAcross([
      [0.43 * w, f.clearance, 0.05 * h],
      [0.5 * w, 0.3 * h, 0.1 * h],
      [0.5 * w, shoulderUp * 0.96, 0.08 * h],
      [0.46 * w, shoulderUp * 1.06, 0.06 * h],
      [halfRoof * 1.02, 0.95 * h, 0.1 * h],
      [halfRoof * 0.7, h * 0.995, 0.12 * h],
    ]),
  );
}

/** Whole car from above, narrowing to nose and tail. */
function topBody(f: Frame): Polygon {
  const [l, w] = [f.length, f.width];
  const half: Corner[] = [
    [0, 0.3 * w, 0.14 * w],
    [0.05 * l, 0.44 * w, 0.16 * w],
    [f.cowl[0], 0.5 * w, 0.1 * l],
    [0.86 * l, 0.49 * w, 0.1 * l],
    [l, 0.42 * w, 0.12 * w],
  ];
  return rounded([...half, ...[...half].reverse().map(([x, y, r]): Corner => [x, -y, r])]);
}

const endGlass = (f: Frame, base: number): Polygon =>
  rounded(
    mirroredAcross([
      [0.41 * f.width, base, 0.05 * f.height],
      [(f.template.roofWidth * f.width * 0.9) / 2, 0.93 * f.height, 0.07 * f.height],
    ]),
  );

/** Tyres as they show below an end of the car. */
function stubs(f: Frame, view: 'front' | 'rear'): Detail[] {
  const [inner, outer, top] = [0.33 * f.width, 0.45 * f.width, f.wheelRadius];
  return [-1, 1].map((side) => ({
    kind: 'stub',
    view,
    points: rounded([
      [side * inner, 0, 0.03],
      [side * outer, 0, 0.03],
      [side * outer, top, 0],
      [side * inner, top, 0],
    ]),
  }));
}

/** A pair of lamps between two heights, from an inner to an outer half width. */
const lamps = (
  kind: 'lamp' | 'tail-lamp',
  view: 'front' | 'rear',
  [inner, outer]: readonly [number, number],
  [bottom, top]: readonly [number, number],
): Detail[] =>
  [-1, 1].map((side) => ({
    kind,
    view,
    points: rounded([
      [side * inner, bottom + (top - bottom) * 0.25, 0.04],
      [side * outer, bottom, 0.05],
      [side * outer, top, 0.05],
      [side * inner, top - (top - bottom) * 0.15, 0.04],
    ]),
  }));

function flankDetails(f: Frame, view: 'left' | 'right'): Detail[] {
  const [l, nose, tail] = [f.length, f.nose[1], f.tail[1]];
  const lamp = rounded([
    [0.012 * l, nose * 0.8, 0.03],
    [0.1 * l, nose * 0.88, 0.03],
    [0.085 * l, nose * 0.78, 0.05],
    [0.014 * l, nose * 0.7, 0.04],
  ]);
  const tailLamp = rounded([
    [0.993 * l, tail * 0.92, 0.03],
    [0.945 * l, tail * 0.95, 0.03],
    [0.955 * l, tail * 0.76, 0.04],
    [0.996 * l, tail * 0.72, 0.03],
  ]);
  const handleAt = f.cowl[1] * 0.9;
  const ends = f.template.doors === 2 ? [f.pillar, f.doorEnd] : [f.pillar];
  const handles = ends.map((x): Detail => ({
    kind: 'handle',
    view,
    points: [
      [x - 0.06 * l, handleAt],
      [x - 0.025 * l, handleAt],
    ],
  }));
  const spokes = [f.frontAxle, f.rearAxle].flatMap(([x, y]) =>
    Array.from({ length: 5 }, (_, i): Detail => {
      const angle = ((90 + i * 72) * Math.PI) / 180;
      const at = (share: number): Point => [
        x + share * f.wheelRadius * Math.cos(angle),
        y + share * f.wheelRadius * Math.sin(angle),
      ];
      return { kind: 'spoke', view, points: [at(0.1), at(0.6)] };
    }),
  );
  return [
    { kind: 'body', view, points: flankBody(f) },
    { kind: 'lamp', view, points: lamp },
    { kind: 'tail-lamp', view, points: tailLamp },
    ...handles,
    ...spokes,
  ];
}

function details(vehicle: Vehicle): readonly Detail[] {
  const f = frameOf(vehicle);
  const deck = f.template.deck[0] < 0.93 ? f.tail[1] : f.deck[1];
  return [
    ...flankDetails(f, 'left'),
    ...flankDetails(f, 'right'),
    { kind: 'body', view: 'top', points: topBody(f) },
    ...stubs(f, 'front'),
    ...stubs(f, 'rear'),
    { kind: 'body', view: 'front', points: endBody(f, f.nose[1]) },
    { kind: 'body', view: 'rear', points: endBody(f, deck) },
    { kind: 'glass', view: 'front', points: endGlass(f, f.cowl[1] * 1.02) },
    { kind: 'glass', view: 'rear', points: endGlass(f, f.deck[1] * 1.03) },
    ...lamps('lamp', 'front', [0.26 * f.width, 0.425 * f.width], [f.nose[1] * 0.78, f.nose[1] * 0.93]),
    ...lamps('tail-lamp', 'rear', [0.27 * f.width, 0.42 * f.width], [deck * 0.8, deck * 0.95]),
  ];
}

const KEPT = 16;

/** What is drawn of a vehicle besides its zones, in the metres of each view: bodies and tyres first, lamps, handles and spokes after. */
export const detailsOf: (vehicle: Vehicle) => readonly Detail[] = recent(KEPT, JSON.stringify, (vehicle: Vehicle) =>
  vehicle.body === 'motorcycle' ? motorcycleDetails(vehicle) : details(vehicle),
);
