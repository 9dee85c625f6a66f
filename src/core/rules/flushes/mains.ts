import { rinse } from './flush-rule';

/** A pressure washer on tap and mains. */
export const mains = rinse({
  kits: ['mains'],
  gear: 'mains-wand',
  source: 'line',
  jet: true,
  usualUm: (a) => a.mainsFilm,
  scaleLM2: (a) => a.scaleMains,
  most: (kind, a) => (kind === 'salt' ? a.flushMainsSalt : a.flushMains),
  flowLMin: ({ gear }) => gear['mains-wand']?.flowLMin ?? 0,
  liquidC: ({ carriedC }) => carriedC,
});
