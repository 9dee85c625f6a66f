import type { ZoneId } from '../model';
import type { Chosen } from '../passes';
import { stepsByPart } from './clock-waits';
import type { Step } from './crew';

/** A section that would dry, or freeze, before it is done. */
export interface Late {
  readonly zoneId: ZoneId;
  readonly section: number;
  readonly lateS: number;
}

const EPSILON = 1e-3;

/**
 * Sections that the clock leaves longer than their films last.
 * @param steps with those before the plan, at their real times
 */
export function lateIn(chosen: readonly Chosen[], steps: readonly Step[]): readonly Late[] {
  const parts = stepsByPart(steps);
  return chosen.flatMap(({ zone, option: { drying, finishing } }) =>
    (parts.get(zone.id) ?? []).flatMap(({ spray, wipe, finish, dry, ...by }): Late[] => {
      const done = finish ?? dry ?? wipe;
      const lays = drying.layered || !spray;
      // What is dried at the end is wet with what was laid last: with the rinse, or with the wash.
      const last = by['rinse-off'] ?? wipe;
      const firstEndS = drying.layered
        ? (by['rinse-before'] ?? wipe).startS
        : finishing === 'body'
          ? wipe.endS
          : done.endS;
      const lateS = Math.max(
        spray ? firstEndS - spray.startS - drying.windowS : 0,
        lays || finishing === 'body' ? done.endS - last.startS - drying.lastS : 0,
      );
      return lateS > EPSILON ? [{ zoneId: zone.id, section: wipe.section, lateS }] : [];
    }),
  );
}
