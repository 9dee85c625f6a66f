import type { Job, Scope, ScopePart, Zone, ZoneId } from '../model';
import { zonesOf } from './zones';

const SHUTS = 3;

/** The part of an agreed scope that a zone belongs to. */
export function scopePartOf({ id, surface, cleanliness }: Pick<Zone, 'id' | 'surface' | 'cleanliness'>): ScopePart {
  if (cleanliness > SHUTS) return 'wheels';
  if (id === 'boot-sill') return 'boot-sill';
  if (cleanliness === SHUTS) return 'shuts';
  return surface === 'glass' ? 'glass' : 'body';
}

/** Is a zone to be washed, as far as was agreed? */
export const isInScope = (zone: Parameters<typeof scopePartOf>[0], scope: Scope): boolean => scope.includes(scopePartOf(zone));

/** Zones that nobody has asked for. */
export const outOfScope = ({ vehicle, scope }: Pick<Job, 'vehicle' | 'scope'>): readonly ZoneId[] =>
  zonesOf(vehicle)
    .filter((zone) => !isInScope(zone, scope))
    .map(({ id }) => id);
