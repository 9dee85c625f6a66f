import type { Assumptions } from '../assumptions';
import { type Zone, type ZoneId, cleanlinessOf } from '../model';

/** Hands-on seconds on one zone, by phase; walking and folding are not in it. */
export interface WorkSeconds {
  readonly flush: number;
  readonly pretreat: number;
  readonly spray: number;
  /** Rinsing off what was sprayed before the wash, and the wash itself. */
  readonly rinseBefore: number;
  readonly wipe: number;
  readonly rinseOff: number;
  readonly finish: number;
  readonly glass: number;
  readonly protect: number;
}

export const totalWork = (w: WorkSeconds): number =>
  w.flush + w.pretreat + w.spray + washS(w) + w.finish + w.glass + w.protect;

/** The wash with its rinses. */
export const washS = ({ rinseBefore, wipe, rinseOff }: WorkSeconds): number => rinseBefore + wipe + rinseOff;

/** All seconds in which water runs. */
export const rinsedS = ({ flush, rinseBefore, rinseOff }: WorkSeconds): number => flush + rinseBefore + rinseOff;

/** What goes by the piece whatever lies on it; undefined where it does not. */
function piecesOf(id: ZoneId, a: Assumptions): number | undefined {
  if (id.endsWith('-barrel')) return a.barrelSeconds;
  if (id.endsWith('-handle')) return a.handleSeconds;
  if (id.endsWith('-engine')) return a.bikeEngineSeconds;
  if (/-(tank|fairing|tail-panel|mudguard|exhaust|chain)$/.test(id)) return a.bikeSideSeconds;
  switch (id) {
    case 'instruments':
    case 'tank-top':
    case 'seat':
    case 'screen':
    case 'headlamp':
    case 'tail-light':
      return a.bikeTopSeconds;
    case 'fuel-flap':
      return a.fuelFlapSeconds;
    case 'exhaust-tips':
      return a.exhaustSeconds;
    case 'engine-bay':
      return a.engineSeconds;
    case 'mats':
      return a.matSeconds;
    default:
      return undefined;
  }
}

/**
 * Time for the contact where it goes by the piece: shuts, and wheels between a light and a heavy
 * figure by their load. undefined where it goes by the square metre.
 */
export function pieceSeconds(zone: Zone, loadGm2: number, a: Assumptions): number | undefined {
  const small = piecesOf(zone.id, a);
  if (small !== undefined) return small;
  if (zone.cleanliness === cleanlinessOf.shuts) return a.shutSeconds;
  if (zone.cleanliness < cleanlinessOf.faces) return undefined;
  const heavy = (loadGm2 - a.soilLevel1) / Math.max(1e-9, a.soilLevel4 - a.soilLevel1);
  const wheel = a.wheelLight + (a.wheelHeavy - a.wheelLight) * Math.min(1, Math.max(0, heavy));
  const share = zone.cleanliness === cleanlinessOf.faces ? a.wheelShareFace : (1 - a.wheelShareFace) / 2;
  return wheel * share;
}
