import { recent } from '../cache';
import { type HiddenZoneId, type Vehicle, type View, type Zone, hiddenZoneIds } from '../model';
import { type Metres, degrees, m2, metres } from '../units';
import { zonesOf } from './zones';

/** Where a piece is: of the length from the nose, and above the ground. */
interface Piece {
  readonly view: View;
  readonly along: number;
  readonly heightM: number;
  readonly areaM2: number;
  readonly surface: Zone['surface'];
  readonly cleanliness: Zone['cleanliness'];
}

/** A rim is so much of the wheel across, and so wide, m (judged). */
const RIM = 0.62;
const RIM_WIDE_M = 0.2;
const HANDLE_M2 = 0.015;
const FUEL_FLAP_M2 = 0.05;
const EXHAUST_M2 = 0.04;
const MAT_M2 = 0.35;
/** Of the bonnet’s area, what of the engine bay is wiped. */
const ENGINE = 0.7;

const areaIn = (zones: readonly Zone[], of: (zone: Zone) => boolean): number =>
  zones.filter(of).reduce((sum, { areaM2 }) => sum + areaM2, 0);

function pieceOf(
  id: HiddenZoneId,
  { dimensions: { wheelDiameterM, heightM } }: Vehicle,
  zones: readonly Zone[],
): Piece {
  const view: View = id.startsWith('left-') ? 'left' : 'right';
  switch (id) {
    case 'left-front-barrel':
    case 'right-front-barrel':
    case 'left-rear-barrel':
    case 'right-rear-barrel':
      return {
        view,
        along: id.includes('front') ? 0.2 : 0.8,
        heightM: wheelDiameterM / 2,
        areaM2: Math.PI * RIM * wheelDiameterM * RIM_WIDE_M,
        surface: 'wheel-finish',
        cleanliness: 5,
      };
    case 'left-front-handle':
    case 'right-front-handle':
    case 'left-rear-handle':
    case 'right-rear-handle':
      return {
        view,
        along: id.includes('front') ? 0.45 : 0.65,
        heightM: heightM / 2,
        areaM2: HANDLE_M2,
        surface: 'paint',
        cleanliness: 3,
      };
    case 'fuel-flap':
      return {
        view: 'right',
        along: 0.8,
        heightM: heightM / 2,
        areaM2: FUEL_FLAP_M2,
        surface: 'paint',
        cleanliness: 3,
      };
    case 'exhaust-tips':
      return { view: 'rear', along: 1, heightM: 0.3, areaM2: EXHAUST_M2, surface: 'bright-metal', cleanliness: 5 };
    case 'glass-inside':
      return {
        view: 'left',
        along: 0.5,
        heightM: heightM * 0.75,
        areaM2: areaIn(zones, ({ surface }) => surface === 'glass'),
        surface: 'glass',
        cleanliness: 0,
      };
    case 'engine-bay':
      return {
        view: 'front',
        along: 0,
        heightM: heightM / 2,
        areaM2: ENGINE * areaIn(zones, ({ id: of }) => of === 'bonnet'),
        surface: 'bare-plastic',
        cleanliness: 5,
      };
    case 'mats':
      return {
        view: 'left',
        along: 0.5,
        heightM: 0,
        areaM2: MAT_M2 * (hasRear(zones) ? 4 : 2),
        surface: 'rubber',
        cleanliness: 5,
      };
  }
}

const hasRear = (zones: readonly Zone[]): boolean => zones.some(({ id }) => id === 'left-rear-door-upper');

/** A door handle is where a door is; an engine bay and barrels are everywhere. */
const isThere = (id: HiddenZoneId, zones: readonly Zone[]): boolean => !id.endsWith('rear-handle') || hasRear(zones);

function zoneFrom(id: HiddenZoneId, vehicle: Vehicle, zones: readonly Zone[]): Zone {
  const { view, along, heightM, areaM2, surface, cleanliness } = pieceOf(id, vehicle, zones);
  const at = [along * vehicle.dimensions.lengthM, heightM] as const;
  return {
    id,
    view,
    polygons: [[at, at, at]],
    areaM2: m2(areaM2),
    tiltDeg: degrees(90),
    facingDeg: degrees(view === 'right' ? 90 : view === 'rear' ? 180 : view === 'front' ? 0 : 270),
    heightM: metres(heightM) as Metres,
    surface,
    cleanliness,
  };
}

/** Pieces of a vehicle that no view shows; a point stands for where they are. Areas are our judgement. */
export const hiddenZonesOf: (vehicle: Vehicle) => readonly Zone[] = recent(64, JSON.stringify, (vehicle: Vehicle) => {
  // A motorcycle hides nothing.
  if (vehicle.body === 'motorcycle') return [];
  const zones = zonesOf(vehicle);
  return hiddenZoneIds.filter((id) => isThere(id, zones)).map((id) => zoneFrom(id, vehicle, zones));
});
