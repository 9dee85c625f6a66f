import { um } from '../../units';
import { type ContactRule, dryRate, mediumPressure } from './contact-rule';

/** Shampoo by mitt from a bucket, rinsed off and then dried: nothing of it stays. */
export const shampoo: ContactRule = {
  method: 'shampoo',
  family: 'shampoo',
  kits: ['shampoo'],
  sprays: null,
  purposes: ['shampoo'],
  aheadM2: () => 0,
  encapsulation: (_dwellS, a) => a.kappaShampoo,
  contact: (touching, a) => ({
    layers: [{ purpose: 'shampoo', film: um(a.shampooFilm) }],
    dwellS: 0,
    encapsulation: shampoo.encapsulation(0, a),
    pressure: mediumPressure(touching, a),
    sprayRate: 0,
    wipeRate: a.rateShampoo,
    finishRate: dryRate(touching, a),
    medium: touching.bucket === 'many-towels' ? 'soaked-towel' : 'mitt',
    mediumTakes: 0,
    finishWith: 'drying',
    rinses: 'off',
  }),
};
