import { pumpFlow, rinse } from './flush-rule';

/** The same with water heated on site: works in frost, and loosens a little more. */
export const hotPump = rinse({
  kits: ['flush', 'heater'],
  gear: 'heater',
  source: 'water',
  jet: false,
  usualUm: (a) => a.flushFilm,
  scaleLM2: (a) => a.scalePump,
  most: (kind, a) => (kind === 'salt' ? a.flushHotSalt : a.flushHot),
  flowLMin: pumpFlow,
  liquidC: ({ hotC }) => hotC,
});
