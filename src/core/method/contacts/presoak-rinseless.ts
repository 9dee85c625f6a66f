import { um } from '../../units';
import { encapsulated, type ContactRule } from './contact-rule';
import { rinseless } from './rinseless';

/** Rinseless after a stronger mix has been sprayed on and left to work. */
export const presoakRinseless: ContactRule = {
  kits: ['presoak', 'wash'],
  contact: (loadGm2, filmFactor, bucket, a) => {
    const wash = rinseless.contact(loadGm2, filmFactor, bucket, a);
    return {
      ...wash,
      layers: [{ purpose: 'presoak', film: um(a.presoakFilm) }, ...wash.layers],
      dwellS: a.dwellPresoak,
      encapsulation: encapsulated(a.kappaPresoak, a.dwellPresoak, a.tauPresoak),
      sprayRate: a.ratePumpSpray,
    };
  },
};
