import { type Job, type Scope, type ScopePart, type Zone, type ZoneId, cleanlinessOf, isHidden } from '../model';
import { hiddenZonesOf } from './hidden';
import { zonesOf } from './zones';

const TRIM: readonly ZoneId[] = ['grille', 'badges'];

/** The part of an agreed scope that a zone belongs to. */
export function scopePartOf({ id, surface, cleanliness }: Pick<Zone, 'id' | 'surface' | 'cleanliness'>): ScopePart {
  if (isHidden(id)) return hiddenPartOf(id);
  if (cleanliness > cleanlinessOf.shuts) return 'wheels';
  if (id === 'boot-sill') return 'boot-sill';
  if (cleanliness === cleanlinessOf.shuts) return 'shuts';
  if (TRIM.includes(id)) return 'trim';
  return surface === 'glass' ? 'glass' : 'body';
}

function hiddenPartOf(id: ZoneId): ScopePart {
  if (id.endsWith('-barrel')) return 'barrels';
  if (id === 'engine-bay') return 'engine';
  return id === 'glass-inside' || id === 'mats' ? id : 'details';
}

/** Is a zone to be washed, as far as was agreed? */
export const isInScope = (zone: Parameters<typeof scopePartOf>[0], scope: Scope): boolean =>
  scope.includes(scopePartOf(zone));

/** Hidden pieces that are asked for. */
export const hiddenInScope = ({ vehicle, scope }: Pick<Job, 'vehicle' | 'scope'>): readonly Zone[] =>
  hiddenZonesOf(vehicle).filter((zone) => isInScope(zone, scope));

/** All that is drawn, and what is asked for of what is not. */
export const zonesIn = (job: Pick<Job, 'vehicle' | 'scope'>): readonly Zone[] => [
  ...zonesOf(job.vehicle),
  ...hiddenInScope(job),
];

/** Zones that nobody has asked for. */
export const outOfScope = ({ vehicle, scope }: Pick<Job, 'vehicle' | 'scope'>): readonly ZoneId[] =>
  zonesOf(vehicle)
    .filter((zone) => !isInScope(zone, scope))
    .map(({ id }) => id);
