import { type FlushRule, wandSeconds } from './flush-rule';

/** A battery wand fed from a bucket: more push than a sprayer, as long as battery and bucket last. */
export const cordless: FlushRule = {
  kits: ['cordless'],
  gear: 'cordless-wand',
  source: 'supply',
  jet: true,
  filmUm: (a) => a.cordlessFilm,
  removes: (kind, a) => (kind === 'salt' ? a.flushCordlessSalt : a.flushCordless),
  secondsPerM2: ({ a, gear }) => wandSeconds(a.cordlessFilm, gear['cordless-wand'], a),
  liquidC: ({ carriedC }) => carriedC,
};
