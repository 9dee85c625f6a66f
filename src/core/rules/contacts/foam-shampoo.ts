import { um } from '../../units';
import { type ContactRule, dwellOf, encapsulated } from './contact-rule';
import { shampoo } from './shampoo';

/** Foam that is left to work and rinsed off before the mitt comes. */
export const foamShampoo: ContactRule = {
  method: 'shampoo',
  family: 'shampoo',
  kits: ['foam', 'shampoo'],
  sprays: 'foam',
  purposes: ['foam', 'shampoo'],
  aheadM2: (a) => a.foamAhead,
  encapsulation: (dwellS, a) => Math.max(a.kappaShampoo, encapsulated(a.kappaFoam, dwellS, a.tauFoam)),
  contact: (touching, a) => {
    const wash = shampoo.contact(touching, a);
    const dwellS = dwellOf(a.dwellFoam, touching.dwell, a);
    return {
      ...wash,
      layers: [{ purpose: 'foam', film: um(a.foamCoat * touching.filmFactor) }, ...wash.layers],
      dwellS,
      encapsulation: foamShampoo.encapsulation(dwellS, a),
      sprayRate: a.rateFoam,
      rinses: 'between',
    };
  },
};
