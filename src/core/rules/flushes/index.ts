import type { Flush } from '../../model';
import { air } from './air';
import { bay } from './bay';
import { cordless } from './cordless';
import type { FlushRule } from './flush-rule';
import { hotPump } from './hot-pump';
import { mains } from './mains';
import { mist } from './mist';
import { none } from './none';
import { pump } from './pump';
import { steam } from './steam';

export type { FlushKind, FlushRule, FlushSource, RinseAmount } from './flush-rule';

export const flushRules: Readonly<Record<Flush, FlushRule>> = {
  none,
  pump,
  'hot-pump': hotPump,
  cordless,
  mains,
  bay,
  steam,
  mist,
  air,
};
