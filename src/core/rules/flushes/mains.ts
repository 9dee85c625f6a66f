import { type FlushRule, wandSeconds } from './flush-rule';

/** A pressure wand on tap and mains. */
export const mains: FlushRule = {
  kits: ['mains'],
  gear: 'mains-wand',
  source: 'line',
  jet: true,
  filmUm: (a) => a.mainsFilm,
  removes: (kind, a) => (kind === 'salt' ? a.flushMainsSalt : a.flushMains),
  secondsPerM2: ({ a, gear }) => wandSeconds(a.mainsFilm, gear['mains-wand'], a),
  liquidC: ({ carriedC }) => carriedC,
};
