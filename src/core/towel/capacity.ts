import type { Assumptions } from '../assumptions';
import { type CleanlinessClass, type Pile, type TowelBatch, type TowelRole, cleanlinessOf, towelRoles } from '../model';

/** What one side of a towel can take. */
export interface SideCapacity {
  readonly dirtG: number;
  /** Share of saturation that still works in this role, in mL. */
  readonly liquidMl: number;
  /** Whole saturation of one side's share of the fibre, mL. */
  readonly saturationMl: number;
}

/** Liquid limit as a share of saturation, by what a side does. */
function usableShare(use: SideUse, pile: Pile, a: Assumptions): number {
  switch (use) {
    case 'wash':
    case 'protect':
      return 1;
    case 'finish':
      return a.finishShare;
    case 'drying':
      return pile === 'short' ? a.finishShare : a.dryingShare;
  }
}

/** What a side does to a panel. */
export type SideUse = 'wash' | 'finish' | 'drying' | 'protect';

/** Sides that are worked with: a wetted towel is perhaps not wetted again for the second half of them. */
export const sidesUsed = (
  { sides }: TowelBatch,
  soaked: boolean,
  { soakedSides }: { readonly soakedSides: number },
): number => (soaked ? Math.min(soakedSides, sides) : sides);

/** A fold shares its fibre between its two faces, so of eight sides each owns an eighth of it. */
export function sideCapacity(batch: TowelBatch, use: SideUse, a: Assumptions): SideCapacity {
  const area = batch.widthM * batch.heightM;
  const saturationMl = (a.towelAbsorbs * batch.gsm * area) / batch.sides;
  return {
    dirtG: (a.sideDirt * 2 * area) / batch.sides,
    liquidMl: saturationMl * usableShare(use, batch.pile, a),
    saturationMl,
  };
}

/** Panel that one side may wipe: less of it the dirtier, and on the lower body. */
export function sideReach(loadGm2: number, cleanliness: CleanlinessClass, a: Assumptions): number {
  if (cleanliness >= cleanlinessOf.lowers || loadGm2 > a.sideLoadMiddle) return a.sideAreaHeavy;
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
  return Object.fromEntries(towelRoles.map((wanted) => [wanted, substitutes[wanted].find(has) ?? wanted])) as Record<
    TowelRole,
    TowelRole
  >;
}
