import type { Assumptions } from '../assumptions';
import type { Job } from '../model';
import { type SunPosition, sunAt } from './position';

const rad = (deg: number): number => (deg * Math.PI) / 180;

/** Broken cloud beside the sun adds so much to a clear sky at most. */
const CLOUD_EDGE = 1.25;
/** Outside the air, W/m². */
const SOLAR_CONSTANT = 1361;
/** The beam of a sun this low is too long through the air to reckon with. */
const LOWEST_DEG = 3;

/** Relative path through the air (Kasten and Young 1989). */
const airMass = (altitudeDeg: number): number =>
  1 / (Math.sin(rad(altitudeDeg)) + 0.50572 * (altitudeDeg + 6.07995) ** -1.6364);

/** Square to the beam under a clear sky, W/m². */
const beamWm2 = (altitudeDeg: number): number => SOLAR_CONSTANT * 0.7 ** (airMass(altitudeDeg) ** 0.678);

/**
 * Sun on a level panel under a clear sky, W/m²: beam by the Meinel fit 0.7^(AM^0.678), and what the
 * sky scatters as its usual share.
 */
export function clearSkyWm2(altitudeDeg: number, a: Assumptions): number {
  if (altitudeDeg <= 0) return 0;
  return (beamWm2(altitudeDeg) * Math.sin(rad(altitudeDeg))) / (1 - a.diffuseClear);
}

/**
 * What is told of the sun, as far as the sky can give it then: none at night, whatever was typed.
 * @param levelWm2 on a level panel
 */
const sunThen = (levelWm2: number, { altitudeDeg }: SunPosition, a: Assumptions): number =>
  Math.min(levelWm2, clearSkyWm2(altitudeDeg, a) * CLOUD_EDGE);

/** What is told of the sun at the site, as far as the sky can give it at the job’s day and hour, W/m². */
export const sunAtSite = ({ site, date, hour }: Pick<Job, 'site' | 'date' | 'hour'>, a: Assumptions): number =>
  sunThen(site.sunWm2, sunAt(site, date, hour), a);

/** Sun on a level panel, parted into what comes straight and what comes from all the sky. */
interface Parted {
  /** Square to the beam, W/m². */
  readonly beam: number;
  /** On a level panel, W/m². */
  readonly diffuse: number;
}

/** The cloudier, the more comes from all sides; all of it when the sun is down. */
function part(levelWm2: number, { altitudeDeg }: SunPosition, a: Assumptions): Parted {
  const clear = clearSkyWm2(altitudeDeg, a);
  if (altitudeDeg < LOWEST_DEG || clear <= 0) return { beam: 0, diffuse: levelWm2 };
  const clearness = Math.min(1, levelWm2 / clear);
  const up = Math.sin(rad(altitudeDeg));
  // More than a clear sky gives at this hour cannot come straight from the sun, whatever was typed.
  const beam = Math.min((levelWm2 * (1 - a.diffuseClear) * clearness) / up, beamWm2(altitudeDeg));
  return { beam, diffuse: levelWm2 - beam * up };
}

/** How a panel lies: against the horizontal, and where its outer side looks, from north. */
export interface Facing {
  readonly tiltDeg: number;
  readonly azimuthDeg: number;
}

/** Cosine of the angle between the beam and the panel's normal; 0 from behind. */
function incidence({ tiltDeg, azimuthDeg }: Facing, sun: SunPosition): number {
  const [tilt, altitude] = [rad(tiltDeg), rad(sun.altitudeDeg)];
  const across = Math.cos(rad(sun.azimuthDeg - azimuthDeg));
  return Math.max(0, Math.sin(altitude) * Math.cos(tilt) + Math.cos(altitude) * Math.sin(tilt) * across);
}

/**
 * Sun that falls on a panel, W/m², from what falls on a level one: beam by its angle, sky and ground
 * by how much of each the panel sees.
 * @param shaded nothing comes straight: what is given gets through from all sides
 */
export function sunOnPanel(facing: Facing, toldWm2: number, sun: SunPosition, shaded: boolean, a: Assumptions): number {
  const levelWm2 = sunThen(toldWm2, sun, a);
  if (levelWm2 <= 0) return 0;
  const { beam, diffuse } = shaded ? { beam: 0, diffuse: levelWm2 } : part(levelWm2, sun, a);
  const sees = (1 + Math.cos(rad(facing.tiltDeg))) / 2;
  return beam * incidence(facing, sun) + diffuse * sees + levelWm2 * a.groundReflects * (1 - sees);
}
