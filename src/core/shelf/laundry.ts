import type { Assumptions } from '../assumptions';
import type { Place, TowelBatch, TowelRole } from '../model';
import { type Draft, draft } from './booking';
import { type Balances, amountAt, moved, stockItem } from './ledger';

/** Towels that are soaked and washed together: what has been on wheels, or on glass, stays apart. */
export const laundryGroups = ['paint', 'glass', 'wheels'] as const;
export type LaundryGroup = (typeof laundryGroups)[number];

export const groupOf: Readonly<Record<TowelRole, LaundryGroup>> = {
  wash: 'paint',
  finish: 'paint',
  drying: 'paint',
  glass: 'glass',
  wheels: 'wheels',
};

/** What so many kilograms of dry towels are soaked in. */
export interface Soak {
  readonly loads: number;
  /** Warm water and concentrate for all loads. */
  readonly soakL: number;
  readonly productMl: number;
}

/** A part load takes its share of a load's soak, but no less than the least. */
export function soakFor(kg: number, { loadKg, soakL: whole, leastSoakL, soakMl }: Assumptions): Soak {
  const soakL = Math.max(Math.min(leastSoakL, whole), (kg / loadKg) * whole);
  return { loads: Math.max(1, Math.ceil(kg / loadKg - 1e-9)), soakL, productMl: (soakL / whole) * soakMl };
}

export const weightKg = ({ widthM, heightM, gsm }: TowelBatch): number => (widthM * heightM * gsm) / 1000;

/** The way of a used towel back to the shelf. */
export const laundrySteps = [
  { kind: 'soaked', from: 'dirty', to: 'soaking' },
  { kind: 'washed', from: 'soaking', to: 'drying' },
  { kind: 'dried', from: 'drying', to: 'shelf' },
] as const satisfies readonly { readonly kind: Draft['kind']; readonly from: Place; readonly to: Place }[];
export type LaundryStep = (typeof laundrySteps)[number];

/** All towels of a group one step on; nothing where there are none. */
export function laundering(group: LaundryGroup, { kind, from, to }: LaundryStep, batches: readonly TowelBatch[], balances: Balances): readonly Draft[] {
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
  return draft('handed-down', [...moved(item, 'shelf', 'outside', count), ...moved(stockItem('towel', wheels.id), 'outside', 'shelf', count)]);
}
