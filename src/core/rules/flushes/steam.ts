import type { FlushRule } from './flush-rule';

/** Steam along seams, sills and recesses: hardly any water, nothing runs off. */
export const steam: FlushRule = {
  kits: ['steamer'],
  gear: 'steamer',
  source: 'line',
  jet: false,
  filmUm: (a) => a.steamFilm,
  removes: (_kind, a) => a.flushSteam,
  secondsPerM2: ({ a }) => a.rateSteam,
  liquidC: ({ a }) => a.steamC,
};
