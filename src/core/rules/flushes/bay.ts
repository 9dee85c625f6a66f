import { rinse } from './flush-rule';

/** The lance of a self-serve bay: its own water, its own drain; the car is driven there first. */
export const bay = rinse({
  kits: ['bay'],
  gear: null,
  source: 'bay',
  jet: true,
  usualUm: (a) => a.bayFilm,
  scaleLM2: (a) => a.scaleBay,
  most: (kind, a) => (kind === 'salt' ? a.flushBaySalt : a.flushBay),
  flowLMin: ({ a }) => a.flowBay,
  liquidC: ({ carriedC }) => carriedC,
});
