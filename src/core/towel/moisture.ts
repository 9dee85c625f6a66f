/** Where the liquid of a contact goes on one zone, mL: all but the first add up to the first. */
export interface Moisture {
  readonly laidMl: number;
  readonly runoffMl: number;
  /** Taken by what washes: towel side, or mitt and so the bucket. */
  readonly washMl: number;
  readonly evaporatedMl: number;
  /** Left for what finishes or dries. */
  readonly finishMl: number;
}

/** Liquid laid on a zone, and what works on it. */
export interface Wetted {
  readonly laidMl: number;
  readonly runoffMl: number;
  /** Share of what stays on the panel that the wash takes. */
  readonly washTakes: number;
  /** What the air would take between spray and finish, mL. */
  readonly airTakesMl: number;
}

/**
 * Shares liquid out among ground, wash, air and finish: what does not run off stays; the wash takes
 * its share of that, the air what it can of the rest, and the finish has what is left.
 */
export function moistureOf({ laidMl, runoffMl, washTakes, airTakesMl }: Wetted): Moisture {
  const held = laidMl - runoffMl;
  const washMl = held * washTakes;
  const evaporatedMl = Math.min(airTakesMl, held - washMl);
  return { laidMl, runoffMl, washMl, evaporatedMl, finishMl: held - washMl - evaporatedMl };
}
