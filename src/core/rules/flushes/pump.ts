import { pumpFlow, rinse } from './flush-rule';

/** A pump sprayer used like a hose, with plain water. */
export const pump = rinse({
  kits: ['flush'],
  gear: null,
  source: 'water',
  jet: false,
  usualUm: (a) => a.flushFilm,
  scaleLM2: (a) => a.scalePump,
  most: (kind, a) => (kind === 'salt' ? a.flushPumpSalt : a.flushPump),
  flowLMin: pumpFlow,
  liquidC: ({ carriedC }) => carriedC,
});
