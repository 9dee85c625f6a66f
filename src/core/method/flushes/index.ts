import type { Flush } from '../../model';
import type { FlushRule } from './flush-rule';
import { hotPump } from './hot-pump';
import { none } from './none';
import { pump } from './pump';

export type { FlushRule } from './flush-rule';

export const flushRules: Readonly<Record<Flush, FlushRule>> = {
  none,
  pump,
  'hot-pump': hotPump,
};
