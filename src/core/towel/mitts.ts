import { type CleanlinessClass, type MediumHabit, type ZoneId, cleanlinessOf } from '../model';

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
  /** Which pass of the way it is in. */
  readonly pass: number;
}

interface InHand {
  readonly from: CleanlinessClass;
  readonly zones: ZoneId[];
  to: CleanlinessClass;
  pass: number;
}

/** One goes on its way down to dirtier parts; otherwise each keeps to its own. */
const isShared = (habit: MediumHabit): boolean => habit === 'mitt' || habit === 'sponge';

/** A fresh one each pass, or where another part of the car begins. */
const needsAnother = (habit: MediumHabit, { pass, to }: InHand, next: Pick<Mitted, 'pass' | 'cleanliness'>): boolean =>
  habit === 'many-mitts' ? pass !== next.pass : habit === 'mitts-by-area' && to !== next.cleanliness;

/**
 * The mitts with which a way is washed, one in the hand at a time and one for glass: none goes back to something
 * cleaner. One that was put down is taken up again for something dirtier, the one that has come down furthest first.
 */
export function mittsFor(way: readonly Mitted[], worker: number, habit: MediumHabit = 'mitt'): readonly UsedMitt[] {
  const mitts: InHand[] = [];
  const hands: { glass?: InHand; paint?: InHand } = {};
  for (const { zoneId, cleanliness, pass } of way) {
    const hand = cleanliness === cleanlinessOf.glass ? 'glass' : 'paint';
    let mitt = hands[hand];
    if (!mitt || mitt.to > cleanliness || needsAnother(habit, mitt, { cleanliness, pass })) {
      const down =
        isShared(habit) &&
        mitts
          .filter((one) => one !== hands.glass && one !== hands.paint && one.to < cleanliness)
          .sort((p, q) => q.to - p.to)[0];
      mitt = down || { from: cleanliness, to: cleanliness, zones: [], pass };
      if (!down) mitts.push(mitt);
      hands[hand] = mitt;
    }
    if (!mitt.zones.includes(zoneId)) mitt.zones.push(zoneId);
    mitt.to = cleanliness;
    mitt.pass = pass;
  }
  return mitts.map((mitt, i) => ({ ...mitt, number: i + 1, worker }));
}
