import { um } from '../../units';
import { encapsulated, type ContactRule } from './contact-rule';

/** A lubricating spray on a dry panel, a short dwell, lifted with one side, finished with another. */
export const waterless: ContactRule = {
  kits: ['waterless'],
  contact: (loadGm2, filmFactor, _bucket, a) => ({
    layers: [
      {
        purpose: 'waterless',
        film: um((a.waterlessFilmBase + a.waterlessFilmPerLoad * loadGm2) * filmFactor),
      },
    ],
    dwellS: a.dwellWaterless,
    encapsulation: encapsulated(a.kappaWaterless, a.dwellWaterless, a.tauWaterless),
    pressure: a.pressureFlat,
    sprayRate: a.rateTriggerSpray,
    wipeRate: a.rateWipeBase + a.rateWipePerLoad * loadGm2,
    finishRate: a.rateFinish,
    medium: 'towel',
    mediumTakes: a.washTakesSpray,
    finishWith: 'finish',
  }),
};
