import { um } from '../../units';
import { type ContactRule, dwellOf, encapsulated } from './contact-rule';
import { rinseless } from './rinseless';

/** Rinseless after a stronger mix has been sprayed on and left to work. */
export const presoakRinseless: ContactRule = {
  method: 'rinseless',
  family: 'presoak',
  kits: ['presoak', 'wash'],
  sprays: 'presoak',
  purposes: ['presoak', 'wash'],
  aheadM2: (a) => a.presoakAhead,
  encapsulation: (dwellS, a) => encapsulated(a.kappaPresoak, dwellS, a.tauPresoak),
  contact: (touching, a) => {
    const wash = rinseless.contact(touching, a);
    const dwellS = dwellOf(a.dwellPresoak, touching.dwell, a);
    return {
      ...wash,
      layers: [{ purpose: 'presoak', film: um(a.presoakFilm * touching.filmFactor) }, ...wash.layers],
      dwellS,
      encapsulation: presoakRinseless.encapsulation(dwellS, a),
      sprayRate: a.ratePumpSpray,
    };
  },
};
