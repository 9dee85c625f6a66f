import type { FlushRule } from './flush-rule';
import { mains } from './mains';

/** The lance of a self-serve bay: its own water, its own drain; the car is driven there first. */
export const bay: FlushRule = {
  ...mains,
  kits: ['bay'],
  gear: null,
  source: 'bay',
  filmUm: (a) => a.bayFilm,
  secondsPerM2: ({ a }) => a.rateWand,
};
