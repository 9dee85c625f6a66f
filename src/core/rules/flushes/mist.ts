import type { FlushRule } from './flush-rule';

/** A mist of plain water that cools a hot panel as it dries: nothing runs off, and no dirt goes with it. */
export const mist: FlushRule = {
  is: 'mist',
  kits: ['flush'],
  gear: null,
  source: 'water',
  jet: false,
  amounts: ['usual'],
  filmUm: (_amount, a) => a.mistFilm,
  most: () => 0,
  removes: () => 0,
  secondsPerM2: (_filmUm, { a }) => a.rateMist,
  liquidC: ({ carriedC }) => carriedC,
};
