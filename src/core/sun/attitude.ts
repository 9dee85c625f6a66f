/** How a device is held, as browsers tell it: turned about its upright, its broad and its long axis, degrees, in that order. */
export interface Attitude {
  /** From north, counterclockwise. */
  readonly alphaDeg: number;
  readonly betaDeg: number;
  readonly gammaDeg: number;
}

/** Where something points: clockwise from north, and above the horizon, degrees. */
export interface Bearing {
  readonly azimuthDeg: number;
  readonly altitudeDeg: number;
}

type Vector = readonly [east: number, north: number, up: number];

const rad = (deg: number): number => (deg * Math.PI) / 180;
const deg = (radians: number): number => (radians * 180) / Math.PI;

const bearing = ([east, north, up]: Vector): Bearing => ({
  azimuthDeg: (deg(Math.atan2(east, north)) + 360) % 360,
  altitudeDeg: deg(Math.asin(Math.min(1, Math.max(-1, up)))),
});

/** Out of the screen. Rotations about z, x, y, as in the W3C's Device Orientation. */
function outOfScreen({ alphaDeg, betaDeg, gammaDeg }: Attitude): Vector {
  const [a, b, g] = [rad(alphaDeg), rad(betaDeg), rad(gammaDeg)];
  return [
    Math.cos(a) * Math.sin(g) + Math.sin(a) * Math.sin(b) * Math.cos(g),
    Math.sin(a) * Math.sin(g) - Math.cos(a) * Math.sin(b) * Math.cos(g),
    Math.cos(b) * Math.cos(g),
  ];
}

/** Where the top edge of the device points: lay it along the car. */
export function alongDevice({ alphaDeg, betaDeg }: Attitude): Bearing {
  const [a, b] = [rad(alphaDeg), rad(betaDeg)];
  return bearing([-Math.sin(a) * Math.cos(b), Math.cos(a) * Math.cos(b), Math.sin(b)]);
}

/** Where the camera at the back looks: hold it upright along the skyline. */
export const throughCamera = (attitude: Attitude): Bearing => {
  const [east, north, up] = outOfScreen(attitude);
  return bearing([-east, -north, -up]);
};

/**
 * Fall of what the device lies on, 0 for level: the tangent of its tilt, whichever way it lies.
 * @example slopeUnder({ alphaDeg: 0, betaDeg: 0, gammaDeg: 0 }) // 0
 */
export function slopeUnder(attitude: Attitude): number {
  const up = Math.abs(outOfScreen(attitude)[2]);
  return Math.sqrt(Math.max(0, 1 - up * up)) / Math.max(1e-6, up);
}
