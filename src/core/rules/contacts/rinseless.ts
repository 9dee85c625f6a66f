import { um } from '../../units';
import { type ContactRule, dryRate, mediumPressure } from './contact-rule';

/** A weak solution taken on from a bucket by mitt or pre-soaked towels; dried at once. */
export const rinseless: ContactRule = {
  method: 'rinseless',
  family: 'rinseless',
  kits: ['wash'],
  sprays: null,
  purposes: ['wash'],
  aheadM2: () => 0,
  encapsulation: (_dwellS, a) => a.kappaWash,
  contact: (touching, a) => ({
    layers: [{ purpose: 'wash', film: um(a.wrungFilm) }],
    dwellS: 0,
    encapsulation: rinseless.encapsulation(0, a),
    pressure: mediumPressure(touching, a),
    sprayRate: 0,
    wipeRate: a.rateWash,
    finishRate: dryRate(touching, a),
    medium: touching.bucket === 'many-towels' ? 'soaked-towel' : 'mitt',
    mediumTakes: a.washTakesRinseless,
    finishWith: 'drying',
  }),
};
