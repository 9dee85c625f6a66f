import { type Zone, cleanlinessOf, isHidden } from '../model';
import type { PlanningContext } from './context';

/** Body and glass outside: what the method of a car is chosen by. */
export const isBody = ({ id, cleanliness }: Pick<Zone, 'id' | 'cleanliness'>): boolean =>
  cleanliness <= cleanlinessOf.lowers && !isHidden(id);

/**
 * The highest index on a zone: on the body what the approach accepts; door shuts, wheel faces, tyres and arches have
 * limits of their own, as nobody looks at them as at a bonnet.
 */
export function limitOn(
  { cleanliness }: Pick<Zone, 'cleanliness'>,
  { limit, a }: Pick<PlanningContext, 'limit' | 'a'>,
): number {
  if (cleanliness <= cleanlinessOf.lowers) return limit;
  return Math.max(
    limit,
    cleanliness === cleanlinessOf.shuts
      ? a.limitShuts
      : cleanliness === cleanlinessOf.faces
        ? a.limitWheels
        : a.limitTyres,
  );
}
