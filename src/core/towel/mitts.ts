import type { CleanlinessClass, ZoneId } from '../model';

/** A mitt or sponge, rinsed between zones, with what it washes in the order of work. */
export interface UsedMitt {
  /** Counted from 1 in the order of first use, per worker. */
  readonly number: number;
  readonly worker: number;
  readonly zones: readonly ZoneId[];
  readonly from: CleanlinessClass;
  readonly to: CleanlinessClass;
}

/** A zone that is washed with a rinsed medium. */
export interface Mitted {
  readonly zoneId: ZoneId;
  readonly cleanliness: CleanlinessClass;
}

interface Going {
  readonly from: CleanlinessClass;
  readonly zones: ZoneId[];
  to: CleanlinessClass;
}

/**
 * The fewest mitts with which a way can be washed when none goes back to a cleaner class: each zone
 * goes to the mitt that has come down furthest and may still serve it. As many as the longest run of
 * ever cleaner zones in the way, and no fewer could do.
 */
export function fewestMitts(way: readonly Mitted[], worker: number): readonly UsedMitt[] {
  const mitts: Going[] = [];
  for (const { zoneId, cleanliness } of way) {
    const fit = mitts.filter(({ to }) => to <= cleanliness).sort((p, q) => q.to - p.to)[0];
    if (fit) {
      if (!fit.zones.includes(zoneId)) fit.zones.push(zoneId);
      fit.to = cleanliness;
    } else mitts.push({ from: cleanliness, to: cleanliness, zones: [zoneId] });
  }
  return mitts.map((mitt, i) => ({ ...mitt, number: i + 1, worker }));
}
