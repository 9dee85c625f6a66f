import type { Zone } from '../model';
import type { PlanningContext } from './context';

const LOWERS = 2;
const SHUTS = 3;
const FACES = 4;

/** Body and glass: what the method of a car is chosen by. */
export const isBody = ({ cleanliness }: Pick<Zone, 'cleanliness'>): boolean => cleanliness <= LOWERS;

/**
 * The highest index on a zone: on the body what the approach accepts; door shuts, wheel faces, tyres and arches have
 * limits of their own, as nobody looks at them as at a bonnet.
 */
export function limitOn({ cleanliness }: Pick<Zone, 'cleanliness'>, { limit, a }: Pick<PlanningContext, 'limit' | 'a'>): number {
  if (cleanliness <= LOWERS) return limit;
  return Math.max(limit, cleanliness === SHUTS ? a.limitShuts : cleanliness === FACES ? a.limitWheels : a.limitTyres);
}
