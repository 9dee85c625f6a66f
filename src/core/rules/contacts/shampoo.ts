import { um } from '../../units';
import type { ContactRule } from './contact-rule';

/** Shampoo by mitt from a bucket, rinsed off and then dried: nothing of it stays. */
export const shampoo: ContactRule = {
  kits: ['shampoo'],
  sprays: null,
  purposes: ['shampoo'],
  contact: ({ bucket }, a) => ({
    layers: [{ purpose: 'shampoo', film: um(a.shampooFilm) }],
    dwellS: 0,
    encapsulation: a.kappaShampoo,
    pressure: bucket === 'many-towels' ? a.pressureRolled : a.pressureMitt,
    sprayRate: 0,
    wipeRate: a.rateShampoo,
    finishRate: a.rateDry,
    medium: bucket === 'many-towels' ? 'soaked-towel' : 'mitt',
    mediumTakes: 0,
    finishWith: 'drying',
    rinses: 'off',
  }),
};
