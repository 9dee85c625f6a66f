import type {
  BikeCentrePart,
  BikeFlankPart,
  FlankPart,
  Point,
  Polygon,
  Side,
  Vehicle,
  View,
  Zone,
  ZoneId,
} from '../model';
import { degrees, m2, metres } from '../units';
import { type Corner, rounded } from './curve';
import type { Detail } from './detail';
import { areaOf, centroidOf, circle, halfRing, ring } from './polygon';
import type { Traits } from './traits';

/** Size of an ordinary road motorcycle, m. */
export const motorcycleSize = {
  lengthM: metres(2.15),
  widthM: metres(0.8),
  heightM: metres(1.15),
  wheelbaseM: metres(1.45),
  clearanceM: metres(0.15),
  wheelDiameterM: metres(0.62),
};

type BikePart = BikeFlankPart | BikeCentrePart | Extract<FlankPart, `${string}-wheel` | `${string}-tyre` | 'mirror'>;

const t = (surface: Zone['surface'], cleanliness: Zone['cleanliness'], curvature: number): Traits => ({
  surface,
  cleanliness,
  curvature,
});

/** What each part is made of: paint above, chrome and bare metal below. Curvature is our judgement. */
const traits: Readonly<Record<BikePart, Traits & { readonly surface: Zone['surface'] }>> = {
  tank: t('paint', 1, 1.3),
  'tank-top': t('paint', 1, 1.1),
  fairing: t('paint', 1, 1.2),
  'tail-panel': t('paint', 1, 1.2),
  mirror: t('bare-plastic', 1, 2),
  screen: t('glass', 0, 1.15),
  headlamp: t('glass', 0, 1.3),
  instruments: t('bare-plastic', 1, 1.2),
  seat: t('bare-plastic', 2, 1.2),
  'tail-light': t('bare-plastic', 2, 1.2),
  mudguard: t('bare-plastic', 2, 2),
  engine: t('bright-metal', 4, 2),
  exhaust: t('bright-metal', 5, 1.6),
  chain: t('bright-metal', 5, 2),
  'front-wheel': t('wheel-finish', 4, 1.3),
  'rear-wheel': t('wheel-finish', 4, 1.3),
  'front-tyre': t('rubber', 5, 1.2),
  'rear-tyre': t('rubber', 5, 1.2),
} as Readonly<Record<BikePart, Traits & { readonly surface: Zone['surface'] }>>;

/** Rim as a share of the wheel’s radius. */
const RIM = 0.72;

interface Bike {
  readonly vehicle: Vehicle;
  readonly radius: number;
  readonly front: Point;
  readonly rear: Point;
  /** From shares of length and height. */
  readonly at: (along: number, up: number, round?: number) => Corner;
  /** From shares of width and height, or of length and width seen from above. */
  readonly end: (across: number, up: number, round?: number) => Corner;
  readonly above: (along: number, across: number, round?: number) => Corner;
}

function bikeOf(vehicle: Vehicle): Bike {
  const { lengthM, widthM, heightM, wheelbaseM, wheelDiameterM } = vehicle.dimensions;
  const radius = wheelDiameterM / 2;
  const first = Math.max(radius, (lengthM - wheelbaseM) * 0.47);
  const smooth = heightM;
  return {
    vehicle,
    radius,
    front: [first, radius],
    rear: [first + wheelbaseM, radius],
    at: (along, up, round = 0.03) => [along * lengthM, up * heightM, round * smooth],
    end: (across, up, round = 0.03) => [across * widthM, up * heightM, round * smooth],
    above: (along, across, round = 0.03) => [along * lengthM, across * widthM, round * smooth],
  };
}

/** One side, nose at x = 0, ground at y = 0. */
function flank({ at, radius, front, rear }: Bike): readonly (readonly [BikePart, readonly Polygon[]])[] {
  const wheel = (axle: Point) => ({ face: [circle(axle, radius * RIM)], tyre: ring(axle, radius, radius * RIM) });
  const [first, last] = [wheel(front), wheel(rear)];
  return [
    ['front-tyre', first.tyre],
    ['front-wheel', first.face],
    ['rear-tyre', last.tyre],
    ['rear-wheel', last.face],
    ['mudguard', [halfRing(front, radius * 1.14, radius * 1.04)]],
    ['exhaust', [rounded([at(0.47, 0.14), at(0.65, 0.14), at(0.675, 0.23), at(0.62, 0.2), at(0.47, 0.185)])]],
    ['chain', [rounded([at(0.625, 0.3, 0.01), at(0.675, 0.27, 0.01), at(0.675, 0.33, 0.01), at(0.645, 0.38, 0.01)])]],
    [
      'engine',
      [rounded([at(0.445, 0.6), at(0.58, 0.64), at(0.63, 0.44), at(0.6, 0.24), at(0.47, 0.22), at(0.52, 0.38)])],
    ],
    [
      'fairing',
      [
        rounded([
          at(0.18, 0.63),
          at(0.26, 0.8),
          at(0.35, 0.79),
          at(0.41, 0.61),
          at(0.5, 0.37),
          at(0.42, 0.25),
          at(0.34, 0.36),
          at(0.29, 0.56),
        ]),
      ],
    ],
    ['tank', [rounded([at(0.375, 0.79), at(0.42, 0.89, 0.05), at(0.54, 0.85, 0.05), at(0.585, 0.7), at(0.43, 0.635)])]],
    [
      'tail-panel',
      [rounded([at(0.6, 0.7), at(0.63, 0.77), at(0.86, 0.87), at(0.97, 0.85), at(0.92, 0.77), at(0.72, 0.66)])],
    ],
    ['mirror', [rounded([at(0.29, 0.9, 0.01), at(0.335, 0.92, 0.01), at(0.345, 0.985, 0.02), at(0.3, 0.975, 0.02)])]],
  ];
}

interface Middle {
  readonly part: BikeCentrePart;
  readonly view: View;
  readonly polygon: Polygon;
  readonly tiltDeg: number;
  readonly up: number;
}

function middle({
  end,
  above,
  vehicle: {
    dimensions: { heightM },
  },
}: Bike): readonly Middle[] {
  const top = (part: BikeCentrePart, corners: readonly Corner[], tiltDeg: number, up: number): Middle => ({
    part,
    view: 'top',
    polygon: rounded(corners),
    tiltDeg,
    up: up * heightM,
  });
  const upright = (part: BikeCentrePart, view: 'front' | 'rear', corners: readonly Corner[], up: number): Middle => ({
    part,
    view,
    polygon: rounded(corners),
    tiltDeg: 70,
    up: up * heightM,
  });
  return [
    top('instruments', [above(0.27, -0.14), above(0.34, -0.14), above(0.34, 0.14), above(0.27, 0.14)], 45, 0.88),
    top(
      'tank-top',
      [
        above(0.37, -0.16, 0.05),
        above(0.46, -0.24, 0.08),
        above(0.57, -0.15, 0.05),
        above(0.57, 0.15, 0.05),
        above(0.46, 0.24, 0.08),
        above(0.37, 0.16, 0.05),
      ],
      15,
      0.87,
    ),
    top(
      'seat',
      [
        above(0.59, -0.15, 0.05),
        above(0.7, -0.2, 0.06),
        above(0.92, -0.12, 0.05),
        above(0.92, 0.12, 0.05),
        above(0.7, 0.2, 0.06),
        above(0.59, 0.15, 0.05),
      ],
      10,
      0.74,
    ),
    upright('headlamp', 'front', [end(-0.15, 0.63), end(0.15, 0.63), end(0.2, 0.75), end(-0.2, 0.75)], 0.69),
    upright(
      'screen',
      'front',
      [end(-0.21, 0.78), end(0.21, 0.78), end(0.13, 0.97, 0.06), end(-0.13, 0.97, 0.06)],
      0.88,
    ),
    upright('tail-light', 'rear', [end(-0.13, 0.6), end(0.13, 0.6), end(0.18, 0.84), end(-0.18, 0.84)], 0.72),
  ];
}

const isPaint = (surface: Zone['surface'], vehicle: Vehicle): Zone['surface'] =>
  surface === 'paint' && vehicle.cladding ? 'bare-plastic' : surface;

/** All zones of a motorcycle that are drawn: both sides, and what is seen from above and from its ends. */
export function motorcycleZones(vehicle: Vehicle): readonly Zone[] {
  const bike = bikeOf(vehicle);
  const zone = (
    id: ZoneId,
    part: BikePart,
    view: View,
    polygons: readonly Polygon[],
    tiltDeg: number,
    facingDeg: number,
    heightM: number,
  ): Zone => ({
    id,
    view,
    polygons,
    areaM2: m2(areaOf(polygons) * traits[part].curvature),
    tiltDeg: degrees(tiltDeg),
    facingDeg: degrees(facingDeg),
    heightM: metres(heightM),
    surface:
      part === 'tail-panel' || part === 'fairing' ? isPaint(traits[part].surface, vehicle) : traits[part].surface,
    cleanliness: traits[part].cleanliness,
  });
  const centre = middle(bike).map(({ part, view, polygon, tiltDeg, up }) =>
    zone(part, part, view, [polygon], tiltDeg, view === 'rear' ? 180 : 0, up),
  );
  const side = (of: Side): Zone[] =>
    flank(bike).map(([part, polygons]) =>
      zone(`${of}-${part}` as ZoneId, part, of, polygons, 90, of === 'right' ? 90 : 270, centroidOf(polygons)[1]),
    );
  return [...centre, ...side('left'), ...side('right')];
}

/** What makes it look like a motorcycle besides its zones: frame, bars, fork, spokes, tyres seen from the ends. */
export function motorcycleDetails(vehicle: Vehicle): readonly Detail[] {
  const bike = bikeOf(vehicle);
  const { at, end, above, front, rear, radius } = bike;
  const stub = (view: View, corners: readonly Corner[]): Detail => ({ kind: 'stub', view, points: rounded(corners) });
  const bar = (from: Point, to: Point, wide: number): Corner[] => {
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const long = Math.hypot(dx, dy);
    const [nx, ny] = [(-dy / long) * wide, (dx / long) * wide];
    return [
      [from[0] + nx, from[1] + ny, 0],
      [to[0] + nx, to[1] + ny, 0],
      [to[0] - nx, to[1] - ny, 0],
      [from[0] - nx, from[1] - ny, 0],
    ];
  };
  const point = ([x, y]: Corner): Point => [x, y];
  const sides = (['left', 'right'] as const).flatMap((view): Detail[] => [
    stub(view, bar(front, point(at(0.31, 0.84)), radius * 0.09)),
    stub(view, bar(rear, point(at(0.6, 0.36)), radius * 0.09)),
    stub(view, [at(0.4, 0.66), at(0.64, 0.72), at(0.7, 0.62), at(0.64, 0.3), at(0.48, 0.2)]),
    stub(view, bar(point(at(0.3, 0.86)), point(at(0.4, 0.84)), radius * 0.06)),
    stub(view, bar(point(at(0.315, 0.84)), point(at(0.318, 0.94)), radius * 0.03)),
    ...[front, rear].flatMap(([x, y]) =>
      Array.from({ length: 6 }, (_, i): Detail => {
        const angle = ((30 + i * 60) * Math.PI) / 180;
        const out = (share: number): Point => [
          x + share * radius * Math.cos(angle),
          y + share * radius * Math.sin(angle),
        ];
        return { kind: 'spoke', view, points: [out(0.12), out(0.66)] };
      }),
    ),
  ]);
  const tyre = (view: 'front' | 'rear', wide: number): Detail =>
    stub(view, [end(-wide, 0, 0.02), end(wide, 0, 0.02), end(wide, 0.54, 0.05), end(-wide, 0.54, 0.05)]);
  return [
    ...sides,
    stub('top', [above(0, -0.07, 0.04), above(0.3, -0.07, 0.02), above(0.3, 0.07, 0.02), above(0, 0.07, 0.04)]),
    stub('top', [above(0.7, -0.1, 0.02), above(1, -0.1, 0.06), above(1, 0.1, 0.06), above(0.7, 0.1, 0.02)]),
    stub('top', [above(0.3, -0.5, 0.01), above(0.325, -0.5, 0.01), above(0.325, 0.5, 0.01), above(0.3, 0.5, 0.01)]),
    tyre('front', 0.07),
    tyre('rear', 0.11),
    stub('front', [end(-0.28, 0.42), end(0.28, 0.42), end(0.3, 0.76), end(-0.3, 0.76)]),
    stub('front', [end(-0.5, 0.855, 0.01), end(0.5, 0.855, 0.01), end(0.5, 0.88, 0.01), end(-0.5, 0.88, 0.01)]),
    stub('rear', [end(-0.5, 0.855, 0.01), end(0.5, 0.855, 0.01), end(0.5, 0.88, 0.01), end(-0.5, 0.88, 0.01)]),
    stub('rear', [end(-0.24, 0.3), end(0.24, 0.3), end(0.26, 0.8), end(-0.26, 0.8)]),
  ];
}
