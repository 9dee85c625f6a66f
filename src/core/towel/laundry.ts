import type { Assumptions } from '../assumptions';
import type { TowelBatch, TowelRole } from '../model';

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
