import type { Assumptions } from '../assumptions';
import { type CleanlinessClass, type TowelBatch, type TowelRole, towelRoles } from '../model';

/** Folded in four, a towel shows eight sides, each a quarter of its area. */
export const SIDES = 8;

/** What one side of a towel can take. */
export interface SideCapacity {
  readonly dirtG: number;
  /** Share of saturation that still works in this role, in mL. */
  readonly liquidMl: number;
  /** Whole saturation of one side's share of the fibre, mL. */
  readonly saturationMl: number;
}

/** Liquid limit as a share of saturation, by what a side does. */
function usableShare(use: SideUse, a: Assumptions): number {
  switch (use) {
    case 'wash':
      return 1;
    case 'finish':
      return a.finishShare;
    case 'drying':
      return a.dryingShare;
  }
}

/** What a side does to a panel. */
export type SideUse = 'wash' | 'finish' | 'drying';

/** A quarter fold shares its fibre between its two faces, so a side owns an eighth of the towel. */
export function sideCapacity(batch: TowelBatch, use: SideUse, a: Assumptions): SideCapacity {
  const area = batch.widthM * batch.heightM;
  const saturationMl = (a.towelAbsorbs * batch.gsm * area) / SIDES;
  return {
    dirtG: (a.sideDirt * area) / 4,
    liquidMl: saturationMl * usableShare(use, a),
    saturationMl,
  };
}

/** Panel that one side may wipe: less of it the dirtier, and on the lower body. */
export function sideReach(loadGm2: number, cleanliness: CleanlinessClass, a: Assumptions): number {
  if (cleanliness >= 2 || loadGm2 > a.sideLoadMiddle) return a.sideAreaHeavy;
  return loadGm2 <= a.sideLoadLight ? a.sideAreaLight : a.sideAreaMiddle;
}

/** Where towels of a wanted role are missing, the nearest that will do. */
const substitutes: Readonly<Record<TowelRole, readonly TowelRole[]>> = {
  wash: ['wash'],
  finish: ['finish'],
  drying: ['drying', 'finish'],
  glass: ['glass', 'finish'],
  wheels: ['wheels', 'wash'],
};

/** For each role that is wanted, the role on hand that serves for it. */
export type RolesAtHand = Readonly<Record<TowelRole, TowelRole>>;

export function rolesAtHand(towels: readonly TowelBatch[]): RolesAtHand {
  const has = (role: TowelRole): boolean => towels.some((b) => b.role === role && b.clean > 0);
  return Object.fromEntries(
    towelRoles.map((wanted) => [wanted, substitutes[wanted].find(has) ?? wanted]),
  ) as Record<TowelRole, TowelRole>;
}
