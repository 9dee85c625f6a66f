import type { ZoneId } from '../model';
import { type PlanningContext, limitOn } from '../rules';
import type { SoilBasis } from '../soil';
import type { Realised } from './realise';

/** A zone whose soil decides: worth a second look, low and from the side, with a wet fingertip. */
export interface Question {
  readonly zoneId: ZoneId;
  readonly basis: SoilBasis;
  readonly index: number;
  /** If the load is at the upper end of what it is known to. */
  readonly worseIndex: number;
  readonly limit: number;
}

/** Asked at most: nobody walks round three times. */
const MOST = 4;

/** Exposure grows with the load, so the index for a load that is `times` as much follows from it. */
const indexAt = (index: number, times: number): number => 100 * (1 - (1 - Math.min(index, 99.999) / 100) ** times);

/**
 * Zones that are treated within the approach's limit, and would not be if they are dirtier by as much
 * as eye or forecast may be wrong. The nearest to the limit come first.
 */
export function questionsOf({ choice }: Realised, context: PlanningContext): readonly Question[] {
  return context.zones
    .flatMap(({ zone, soil }): Question[] => {
      const option = choice.picks.get(zone.id);
      if (!option) return [];
      const { index } = option.marring;
      const limit = limitOn(zone, context);
      const worseIndex = indexAt(index, soil.spread);
      return worseIndex > limit ? [{ zoneId: zone.id, basis: soil.basis, index, worseIndex, limit }] : [];
    })
    .sort((p, q) => q.worseIndex - p.worseIndex)
    .slice(0, MOST);
}
