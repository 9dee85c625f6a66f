import { um } from '../../units';
import { type ContactRule, dwellOf, encapsulated } from './contact-rule';

/** A lubricating spray on a dry panel, a short dwell, lifted with one side, finished with another. */
export const waterless: ContactRule = {
  method: 'waterless',
  family: 'waterless',
  kits: ['waterless'],
  sprays: 'waterless',
  purposes: ['waterless'],
  aheadM2: (a) => a.sprayAhead,
  encapsulation: (dwellS, a) => encapsulated(a.kappaWaterless, dwellS, a.tauWaterless),
  contact: ({ loadGm2, filmFactor, dwell, wiping }, a) => {
    const dwellS = dwellOf(a.dwellWaterless, dwell, a);
    const [pressure, pace] =
      wiping === 'flat'
        ? [a.pressureFlat, 1]
        : wiping === 'rolled'
          ? [a.pressureRolled, a.rateRolled]
          : [a.pressureScooped, a.rateScooped];
    return {
      layers: [
        { purpose: 'waterless', film: um((a.waterlessFilmBase + a.waterlessFilmPerLoad * loadGm2) * filmFactor) },
      ],
      dwellS,
      encapsulation: waterless.encapsulation(dwellS, a),
      pressure,
      sprayRate: a.rateTriggerSpray,
      wipeRate: (a.rateWipeBase + a.rateWipePerLoad * loadGm2) * pace,
      finishRate: a.rateFinish,
      medium: 'towel',
      mediumTakes: a.washTakesSpray,
      finishWith: 'finish',
    };
  },
};
