import type { FlushRule } from './flush-rule';

/** Steam along seams, sills and recesses: hardly any water, nothing runs off. */
export const steam: FlushRule = {
  is: 'steam',
  kits: ['steamer'],
  gear: 'steamer',
  source: 'line',
  jet: false,
  amounts: ['usual'],
  filmUm: (_amount, a) => a.steamFilm,
  most: (_kind, a) => a.flushSteam,
  removes: (_kind, _filmUm, a) => a.flushSteam,
  secondsPerM2: (_filmUm, { a }) => a.rateSteam,
  liquidC: ({ a }) => a.steamC,
};
