import type { Assumptions } from '../assumptions';
import type { Zone } from '../model';

/** Hands-on seconds on one zone, by phase; walking and folding are not in it. */
export interface WorkSeconds {
  readonly flush: number;
  readonly pretreat: number;
  readonly spray: number;
  readonly wipe: number;
  readonly finish: number;
  readonly glass: number;
}

export const totalWork = (w: WorkSeconds): number =>
  w.flush + w.pretreat + w.spray + w.wipe + w.finish + w.glass;

const SHUTS = 3;
const FACES = 4;

/**
 * Time for the contact where it goes by the piece: shuts, and wheels between a light and a heavy
 * figure by their load. undefined where it goes by the square metre.
 */
export function pieceSeconds(zone: Zone, loadGm2: number, a: Assumptions): number | undefined {
  if (zone.cleanliness === SHUTS) return a.shutSeconds;
  if (zone.cleanliness < FACES) return undefined;
  const heavy = (loadGm2 - a.soilLevel1) / Math.max(1e-9, a.soilLevel4 - a.soilLevel1);
  const wheel = a.wheelLight + (a.wheelHeavy - a.wheelLight) * Math.min(1, Math.max(0, heavy));
  const share = zone.cleanliness === FACES ? a.wheelShareFace : (1 - a.wheelShareFace) / 2;
  return wheel * share;
}
