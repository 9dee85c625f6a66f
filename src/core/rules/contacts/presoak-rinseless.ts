import { um } from '../../units';
import { type ContactRule, dwellOf, encapsulated } from './contact-rule';
import { rinseless } from './rinseless';

/** Rinseless after a stronger mix has been sprayed on and left to work. */
export const presoakRinseless: ContactRule = {
  kits: ['presoak', 'wash'],
  sprays: 'presoak',
  purposes: ['presoak', 'wash'],
  contact: (touching, a) => {
    const wash = rinseless.contact(touching, a);
    const dwellS = dwellOf(a.dwellPresoak, touching.dwell, a);
    return {
      ...wash,
      layers: [{ purpose: 'presoak', film: um(a.presoakFilm * touching.filmFactor) }, ...wash.layers],
      dwellS,
      encapsulation: encapsulated(a.kappaPresoak, dwellS, a.tauPresoak),
      sprayRate: a.ratePumpSpray,
    };
  },
};
