import type { FlushRule } from './flush-rule';

/** A pump sprayer used like a hose, with plain water. */
export const pump: FlushRule = {
  kits: ['flush'],
  gear: null,
  source: 'water',
  jet: false,
  filmUm: (a) => a.flushFilm,
  removes: (kind, a) => (kind === 'salt' ? a.flushPumpSalt : a.flushPump),
  secondsPerM2: ({ a }) => a.rateFlush,
  liquidC: ({ carriedC }) => carriedC,
};
