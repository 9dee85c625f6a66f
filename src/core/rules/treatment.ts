import { type Working, partsOf } from '../model';
import { type ContactRule, contactRules } from './contacts';
import { type FlushKind, flushRules } from './flushes';

export const contactOf = (treatment: Working): ContactRule => contactRules[partsOf(treatment).contact];

/** What comes before anything is wiped. */
export const loosenedBy = (treatment: Working): FlushKind => flushRules[partsOf(treatment).flush].is;

/** Rinsed with a jet, from a washer or in a bay. */
export const hasJet = (treatment: Working): boolean => flushRules[partsOf(treatment).flush].jet;

/** Water loosens the dirt before it is touched; a mist only cools the panel, and air is dry. */
export const isRinsed = (treatment: Working): boolean => ['steam', 'rinse'].includes(loosenedBy(treatment));

/** Washed with a shampoo that is rinsed off again. */
export const isShampooed = (treatment: Working): boolean => contactOf(treatment).method === 'shampoo';
