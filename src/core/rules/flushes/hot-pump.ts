import type { FlushRule } from './flush-rule';
import { pump } from './pump';

/** The same with water heated on site: works in frost, and loosens a little more. */
export const hotPump: FlushRule = {
  ...pump,
  kits: ['flush', 'heater'],
  gear: 'heater',
  removes: (kind, a) => (kind === 'salt' ? a.flushHotSalt : a.flushHot),
  liquidC: ({ hotC }) => hotC,
};
