import type { Degrees, Metres, SquareMetres } from '../units';

/** Zones of one flank; each stands once for the left and once for the right side. */
export const flankParts = [
  'front-wing-upper',
  'front-wing-lower',
  'front-door-upper',
  'front-door-lower',
  'rear-door-upper',
  'rear-door-lower',
  'rear-wing-upper',
  'rear-wing-lower',
  'sill',
  'front-glass',
  'rear-glass',
  'mirror',
  'front-shut',
  'rear-shut',
  'front-wheel',
  'front-tyre',
  'front-arch',
  'rear-wheel',
  'rear-tyre',
  'rear-arch',
] as const;
export type FlankPart = (typeof flankParts)[number];

/** Parts of one side of a motorcycle besides its wheels and tyres. */
const bikeFlankParts = ['tank', 'fairing', 'tail-panel', 'mudguard', 'engine', 'exhaust', 'chain'] as const;
export type BikeFlankPart = (typeof bikeFlankParts)[number];

/** Parts of a motorcycle in the middle. */
const bikeCentreParts = ['instruments', 'tank-top', 'seat', 'screen', 'headlamp', 'tail-light'] as const;
export type BikeCentrePart = (typeof bikeCentreParts)[number];

/** Pieces of one side that no view shows. */
const hiddenFlankParts = ['front-barrel', 'rear-barrel', 'front-handle', 'rear-handle'] as const;
export type HiddenFlankPart = (typeof hiddenFlankParts)[number];

/** Pieces in the middle, or inside, that no view shows. */
const hiddenCentreParts = ['fuel-flap', 'exhaust-tips', 'glass-inside', 'engine-bay', 'mats'] as const;
export type HiddenCentrePart = (typeof hiddenCentreParts)[number];

export const centreParts = [
  'roof',
  'windscreen',
  'rear-window',
  'bonnet',
  'boot-lid',
  'grille',
  'front-bumper-upper',
  'front-bumper-lower',
  'rear-face',
  'badges',
  'rear-bumper-upper',
  'rear-bumper-lower',
  'boot-sill',
] as const;
export type CentrePart = (typeof centreParts)[number];

export type Side = 'left' | 'right';
export type HiddenZoneId = HiddenCentrePart | `${Side}-${HiddenFlankPart}`;
type BikeZoneId = BikeCentrePart | `${Side}-${BikeFlankPart}`;
export type ZoneId = CentrePart | `${Side}-${FlankPart}` | BikeZoneId | HiddenZoneId;

export const hiddenZoneIds: readonly HiddenZoneId[] = [
  ...hiddenCentreParts,
  ...hiddenFlankParts.flatMap((part) => [`left-${part}`, `right-${part}`] as const),
];

/** Not drawn; soiled, washed and ticked off like the others. */
export const isHidden = (id: ZoneId): id is HiddenZoneId => (hiddenZoneIds as readonly ZoneId[]).includes(id);

export const zoneIds: readonly ZoneId[] = [
  ...centreParts,
  ...flankParts.map((part) => `left-${part}` as const),
  ...flankParts.map((part) => `right-${part}` as const),
  ...bikeCentreParts,
  ...bikeFlankParts.flatMap((part) => [`left-${part}`, `right-${part}`] as const),
  ...hiddenZoneIds,
];

export const views = ['left', 'right', 'top', 'front', 'rear'] as const;
export type View = (typeof views)[number];

export const surfaces = ['paint', 'glass', 'bright-metal', 'bare-plastic', 'wheel-finish', 'rubber'] as const;
export type Surface = (typeof surfaces)[number];

/**
 * Cleanliness class: a towel goes from a lower number to a higher one, never back.
 * 0 glass, 1 upper paint, 2 lower paint, 3 shuts, 4 wheel faces, 5 tyres and arches.
 */
export type CleanlinessClass = 0 | 1 | 2 | 3 | 4 | 5;

/** The classes by name, the cleanest first: `cleanliness <= cleanlinessOf.lowers` is the body, from `faces` on it is wheels. */
export const cleanlinessOf = { glass: 0, uppers: 1, lowers: 2, shuts: 3, faces: 4, tyres: 5 } as const satisfies Record<
  string,
  CleanlinessClass
>;

/** A point of a view in metres. Flanks: from the nose, above the ground. */
export type Point = readonly [x: number, y: number];
export type Polygon = readonly Point[];

export interface Zone {
  readonly id: ZoneId;
  readonly view: View;
  /** What is drawn is what is computed; inner outlines run the other way round (holes). */
  readonly polygons: readonly Polygon[];
  readonly areaM2: SquareMetres;
  /** Of the surface against the horizontal: 0 a roof, 90 a door. */
  readonly tiltDeg: Degrees;
  /** Where its outer side looks, clockwise from the nose: 0 ahead, 90 to the right; of no matter when level. */
  readonly facingDeg: Degrees;
  /** Mean height above the ground. */
  readonly heightM: Metres;
  readonly surface: Surface;
  readonly cleanliness: CleanlinessClass;
}
