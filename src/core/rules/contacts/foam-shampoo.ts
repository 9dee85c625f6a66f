import { um } from '../../units';
import { type ContactRule, dwellOf, encapsulated } from './contact-rule';
import { shampoo } from './shampoo';

/** Foam that is left to work and rinsed off before the mitt comes. */
export const foamShampoo: ContactRule = {
  kits: ['foam', 'shampoo'],
  sprays: 'foam',
  purposes: ['foam', 'shampoo'],
  contact: (touching, a) => {
    const wash = shampoo.contact(touching, a);
    const dwellS = dwellOf(a.dwellFoam, touching.dwell, a);
    return {
      ...wash,
      layers: [{ purpose: 'foam', film: um(a.foamCoat * touching.filmFactor) }, ...wash.layers],
      dwellS,
      encapsulation: Math.max(wash.encapsulation, encapsulated(a.kappaFoam, dwellS, a.tauFoam)),
      sprayRate: a.rateFoam,
      rinses: 'between',
    };
  },
};
