import type { Place, TowelBatch } from '../model';
import { type LaundryGroup, groupOf } from '../towel';
import { type Draft, draft } from './booking';
import { type Balances, amountAt, moved, stockItem } from './ledger';

/** The way of a used towel back into stock. */
export const laundrySteps = [
  { kind: 'soaked', from: 'dirty', to: 'soaking' },
  { kind: 'washed', from: 'soaking', to: 'drying' },
  { kind: 'dried', from: 'drying', to: 'shelf' },
] as const satisfies readonly { readonly kind: Draft['kind']; readonly from: Place; readonly to: Place }[];
export type LaundryStep = (typeof laundrySteps)[number];

/** All towels of a group one step on; nothing where there are none. */
export function laundering(
  group: LaundryGroup,
  { kind, from, to }: LaundryStep,
  batches: readonly TowelBatch[],
  balances: Balances,
): readonly Draft[] {
  const entries = batches
    .filter(({ role }) => groupOf[role] === group)
    .flatMap(({ id }) => {
      const item = stockItem('towel', id);
      return moved(item, from, to, amountAt(balances, item, from));
    });
  return entries.length > 0 ? [draft(kind, entries)] : [];
}

/** A towel that is past its best goes down: from clean to wheels, or from wheels out of use. */
export function retiring(batch: TowelBatch, wheels: TowelBatch | undefined, count: number): Draft {
  const item = stockItem('towel', batch.id);
  if (batch.role === 'wheels' || !wheels) return draft('retired', moved(item, 'shelf', 'retired', count));
  return draft('handed-down', [
    ...moved(item, 'shelf', 'outside', count),
    ...moved(stockItem('towel', wheels.id), 'outside', 'shelf', count),
  ]);
}
