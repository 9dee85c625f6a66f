import type { FlushRule } from './flush-rule';

/** Nothing before the contact. */
export const none: FlushRule = {
  is: 'nothing',
  kits: [],
  gear: null,
  source: null,
  jet: false,
  amounts: ['usual'],
  filmUm: () => 0,
  most: () => 0,
  removes: () => 0,
  secondsPerM2: () => 0,
  liquidC: ({ carriedC }) => carriedC,
};
