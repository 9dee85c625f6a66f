import { um } from '../../units';
import { type ContactRule, dwellOf, encapsulated } from './contact-rule';
import { waterless } from './waterless';

/** A dry foam from a pump foamer: a little more film and more lift than a spray, wiped the same way. */
export const foam: ContactRule = {
  kits: ['foam'],
  sprays: 'foam',
  purposes: ['foam'],
  contact: (touching, a) => {
    const spray = waterless.contact(touching, a);
    const dwellS = dwellOf(a.dwellFoam, touching.dwell, a);
    return {
      ...spray,
      layers: spray.layers.map(({ film }) => ({ purpose: 'foam', film: um(film + a.foamFilmMore) })),
      dwellS,
      encapsulation: encapsulated(a.kappaFoam, dwellS, a.tauFoam),
      sprayRate: a.rateFoam,
    };
  },
};
