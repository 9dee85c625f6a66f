import { um } from '../../units';
import { type ContactRule, dwellOf, encapsulated } from './contact-rule';
import { waterless } from './waterless';

/** A dry foam from a pump foamer: a little more film and more lift than a spray, wiped the same way. */
export const foam: ContactRule = {
  method: 'waterless',
  family: 'foam',
  kits: ['foam'],
  sprays: 'foam',
  purposes: ['foam'],
  aheadM2: (a) => a.foamAhead,
  encapsulation: (dwellS, a) => encapsulated(a.kappaFoam, dwellS, a.tauFoam),
  contact: (touching, a) => {
    const spray = waterless.contact(touching, a);
    const [{ film }] = spray.layers;
    const dwellS = dwellOf(a.dwellFoam, touching.dwell, a);
    return {
      ...spray,
      layers: [{ purpose: 'foam', film: um(film + a.foamFilmMore) }],
      dwellS,
      encapsulation: foam.encapsulation(dwellS, a),
      sprayRate: a.rateFoam,
    };
  },
};
