import type { AssumptionKey, Assumptions } from '../assumptions';
import {
  type Body,
  type Leg,
  type Road,
  type Shelter,
  type SoilKind,
  type Surroundings,
  type Zone,
  type ZoneId,
  cleanlinessOf,
} from '../model';
import { gPerM2 } from '../units';
import type { Load } from './load';

/** What falls from the air, and what a road throws up: kind and rate. */
const air = {
  coast: ['dust', 'airCoast'],
  town: ['dust', 'airTown'],
  industrial: ['fallout', 'airIndustrial'],
  country: ['dust', 'airCountry'],
} as const satisfies Record<Surroundings, readonly [SoilKind, AssumptionKey]>;

const road = {
  dry: ['road-film', 'roadDry'],
  wet: ['road-film', 'roadWet'],
  salted: ['salt', 'roadSalted'],
  unpaved: ['grit', 'roadUnpaved'],
} as const satisfies Record<Road, readonly [SoilKind, AssumptionKey]>;

const shelterKeys = {
  garage: 'shelterGarage',
  deck: 'shelterDeck',
  street: 'shelterStreet',
} as const satisfies Record<Shelter, AssumptionKey>;

/** Bodies whose steep tail lifts the road's dirt onto itself. */
const steepTails: ReadonlySet<Body> = new Set(['hatchback', 'estate', 'suv', 'van', 'minivan', 'city']);

const rearParts: ReadonlySet<ZoneId> = new Set([
  'rear-face',
  'rear-window',
  'badges',
  'rear-bumper-upper',
  'rear-bumper-lower',
  'boot-sill',
]);
const bonnetParts: ReadonlySet<ZoneId> = new Set(['bonnet', 'windscreen']);

/** How much of the road's dirt a zone catches, against the reference of the rates. */
function throwKey(zone: Zone, body: Body): AssumptionKey {
  if (zone.cleanliness >= cleanlinessOf.faces) return 'throwWheel';
  if (rearParts.has(zone.id)) return steepTails.has(body) ? 'throwWake' : 'throwRear';
  if (zone.cleanliness === cleanlinessOf.shuts) return 'throwShut';
  if (bonnetParts.has(zone.id)) return 'throwBonnet';
  if (zone.view === 'front') return 'throwFront';
  if (zone.id.endsWith('-sill')) return 'throwSill';
  if (zone.view === 'top') return 'throwRoof';
  return zone.cleanliness === cleanlinessOf.lowers ? 'throwLower' : 'throwUpper';
}

/** Share of what falls from the air that stays on a panel of this tilt. */
const horizontality = ({ tiltDeg }: Zone, a: Assumptions): number =>
  a.uprightShare + (1 - a.uprightShare) * Math.max(0, Math.cos((tiltDeg * Math.PI) / 180));

/** g/m² a day of a kind. */
type Rates = ReadonlyMap<SoilKind, number>;

function ratesOf(leg: Leg, zone: Zone, body: Body, a: Assumptions): Rates {
  const [airKind, airKey] = air[leg.surroundings];
  const [roadKind, roadKey] = road[leg.road];
  // Wheels make their own dirt out of the brakes, on whatever asphalt.
  const thrown = zone.cleanliness === cleanlinessOf.faces && roadKind === 'road-film' ? 'brake-dust' : roadKind;
  const falls = a.soilPace * a[airKey] * a[shelterKeys[leg.shelter]] * horizontality(zone, a);
  const thrownUp = a.soilPace * ((a[roadKey] * leg.km) / Math.max(1, leg.days) / 100) * a[throwKey(zone, body)];
  const rates = new Map<SoilKind, number>([[airKind, falls]]);
  rates.set(thrown, (rates.get(thrown) ?? 0) + thrownUp);
  return rates;
}

/**
 * What lies on a zone after the legs since the last wash, by kind: dG/dt = D − G/τ, solved exactly
 * leg by leg from a clean panel. Our starting model; right within a factor of about two.
 */
export function forecastOn(zone: Zone, body: Body, since: readonly Leg[], a: Assumptions): readonly Load[] {
  const loads = new Map<SoilKind, number>([['dust', a.soilLevel0]]);
  for (const leg of since) {
    const rates = ratesOf(leg, zone, body, a);
    const keeps = Math.exp(-leg.days / a.shedDays);
    for (const kind of new Set([...loads.keys(), ...rates.keys()])) {
      const settles = (rates.get(kind) ?? 0) * a.shedDays;
      loads.set(kind, settles + ((loads.get(kind) ?? 0) - settles) * keeps);
    }
  }
  return [...loads].map(([kind, loadGm2]) => ({ kind, loadGm2: gPerM2(loadGm2) }));
}
