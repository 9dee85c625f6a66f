import { um } from '../../units';
import type { ContactRule } from './contact-rule';

/** A weak solution taken on from a bucket by mitt or pre-soaked towels; dried at once. */
export const rinseless: ContactRule = {
  kits: ['wash'],
  sprays: null,
  purposes: ['wash'],
  contact: ({ bucket }, a) => ({
    layers: [{ purpose: 'wash', film: um(a.wrungFilm) }],
    dwellS: 0,
    encapsulation: a.kappaWash,
    pressure: bucket === 'many-towels' ? a.pressureRolled : a.pressureMitt,
    sprayRate: 0,
    wipeRate: a.rateWash,
    finishRate: a.rateDry,
    medium: bucket === 'many-towels' ? 'soaked-towel' : 'mitt',
    mediumTakes: a.washTakesRinseless,
    finishWith: 'drying',
  }),
};
