import { cleanlinessOf } from '../model';
import { type TowelNeed, ONE_TOWEL_FROM } from './need';

/** What somebody can hold at a time, one towel each: a pair for glass, a pair for paint, a work towel for wheels, and one for each thing that is put on at the end. */
export const slots = ['glass-wash', 'glass-finish', 'wash', 'finish', 'work', 'protect', 'trim', 'tyres'] as const;
export type Slot = (typeof slots)[number];

/** Place of each in the list. */
export const slotAt = Object.fromEntries(slots.map((slot, i) => [slot, i])) as Readonly<Record<Slot, number>>;

/** The hand that a need falls to; a paint towel that may do glass stays in its own. */
export function slotOf({ cleanliness, use, role }: Pick<TowelNeed, 'cleanliness' | 'use' | 'role'>): Slot {
  if (use === 'protect') return role === 'finish' ? 'protect' : cleanliness >= ONE_TOWEL_FROM ? 'tyres' : 'trim';
  if (cleanliness >= ONE_TOWEL_FROM) return 'work';
  if (use === 'wash') return cleanliness === cleanlinessOf.glass ? 'glass-wash' : 'wash';
  return cleanliness === cleanlinessOf.glass || role === 'glass' ? 'glass-finish' : 'finish';
}
