import { type Zone, isHidden } from '../model';
import type { PlanningContext } from './context';

const LOWERS = 2;
const SHUTS = 3;
const FACES = 4;

/** Body and glass outside: what the method of a car is chosen by. */
export const isBody = ({ id, cleanliness }: Pick<Zone, 'id' | 'cleanliness'>): boolean => cleanliness <= LOWERS && !isHidden(id);

/**
 * The highest index on a zone: on the body what the approach accepts; door shuts, wheel faces, tyres and arches have
 * limits of their own, as nobody looks at them as at a bonnet.
 */
export function limitOn({ cleanliness }: Pick<Zone, 'cleanliness'>, { limit, a }: Pick<PlanningContext, 'limit' | 'a'>): number {
  if (cleanliness <= LOWERS) return limit;
  return Math.max(limit, cleanliness === SHUTS ? a.limitShuts : cleanliness === FACES ? a.limitWheels : a.limitTyres);
}
