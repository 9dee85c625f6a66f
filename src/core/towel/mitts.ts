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

interface InHand {
  readonly from: CleanlinessClass;
  readonly zones: ZoneId[];
  to: CleanlinessClass;
}

const GLASS = 0;

/**
 * The mitts with which a way is washed, one in the hand at a time and one for glass: none goes back to something
 * cleaner. One that was put down is taken up again for something dirtier, the one that has come down furthest first.
 */
export function mittsFor(way: readonly Mitted[], worker: number): readonly UsedMitt[] {
  const mitts: InHand[] = [];
  const hands: { glass?: InHand; paint?: InHand } = {};
  for (const { zoneId, cleanliness } of way) {
    const hand = cleanliness === GLASS ? 'glass' : 'paint';
    let mitt = hands[hand];
    if (!mitt || mitt.to > cleanliness) {
      const down = mitts.filter((one) => one !== hands.glass && one !== hands.paint && one.to < cleanliness).sort((p, q) => q.to - p.to)[0];
      mitt = down ?? { from: cleanliness, to: cleanliness, zones: [] };
      if (!down) mitts.push(mitt);
      hands[hand] = mitt;
    }
    if (!mitt.zones.includes(zoneId)) mitt.zones.push(zoneId);
    mitt.to = cleanliness;
  }
  return mitts.map((mitt, i) => ({ ...mitt, number: i + 1, worker }));
}
