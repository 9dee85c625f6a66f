import { rinse } from './flush-rule';

/** A battery washer fed from a bucket: more push than a sprayer, as long as battery and bucket last. */
export const cordless = rinse({
  kits: ['cordless'],
  gear: 'cordless-wand',
  source: 'supply',
  jet: true,
  usualUm: (a) => a.cordlessFilm,
  scaleLM2: (a) => a.scaleCordless,
  most: (kind, a) => (kind === 'salt' ? a.flushCordlessSalt : a.flushCordless),
  flowLMin: ({ gear }) => gear['cordless-wand']?.flowLMin ?? 0,
  liquidC: ({ carriedC }) => carriedC,
});
