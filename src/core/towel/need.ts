import type { Assumptions } from '../assumptions';
import {
  type CleanlinessClass,
  type GlassTowelHabit,
  type TowelBatch,
  type TowelRole,
  type Zone,
  cleanlinessOf,
} from '../model';
import { type RolesAtHand, type SideUse, sideCapacity, sideReach } from './capacity';
import type { Moisture } from './moisture';

/** When a towel takes something up: in the pass, when the whole body is dried, in the glass finish, or when something is put onto the clean car. */
export type NeedMoment = 'pass' | 'dry' | 'glass' | 'protect';

/** What one wiping of a zone puts on towel sides of one role. */
export interface TowelNeed {
  readonly role: TowelRole;
  readonly use: SideUse;
  readonly moment: NeedMoment;
  readonly cleanliness: CleanlinessClass;
  readonly dirtG: number;
  readonly liquidMl: number;
  /** Panel over the panel one side may wipe; 0 where only liquid counts. */
  readonly reachShare: number;
  /** Works wet from a bucket: liquid is no limit, and perhaps not all sides are used. */
  readonly soaked: boolean;
}

/** How a contact uses towels. */
export interface TowelUse {
  readonly medium: 'towel' | 'soaked-towel' | 'mitt';
  readonly finishWith: 'finish' | 'drying';
}

/** What the contact leaves for towels on one zone. */
export interface WipedZone {
  readonly cleanliness: CleanlinessClass;
  readonly areaM2: number;
  readonly loadGm2: number;
  readonly moisture: Moisture;
  /** Laid for a dedicated glass finish afterwards, mL. */
  readonly glassMl: number;
  /** In the pass of the glass, rather than at the end. */
  readonly glassInPass?: boolean;
  /** Dried after its pass: by the other person behind it, or with the whole body at the end. */
  readonly driedLater: boolean;
}

/** From this class down one towel does everything: wheels, tyres and arches. */
export const ONE_TOWEL_FROM = cleanlinessOf.faces;

const dirtOn = ({ loadGm2, areaM2 }: WipedZone, a: Assumptions): number => a.dirtLifted * loadGm2 * areaM2;

const reachOn = ({ loadGm2, areaM2, cleanliness }: WipedZone, a: Assumptions): number =>
  areaM2 / sideReach(loadGm2, cleanliness, a);

/** Wheels, tyres and arches keep to their own towels, which do everything. */
const wheelNeed = (zone: WipedZone, roles: RolesAtHand, a: Assumptions): TowelNeed => ({
  role: roles.wheels,
  use: 'wash',
  moment: 'pass',
  cleanliness: zone.cleanliness,
  dirtG: dirtOn(zone, a),
  liquidMl: zone.moisture.washMl + zone.moisture.finishMl,
  reachShare: reachOn(zone, a),
  soaked: false,
});

const washNeed = (zone: WipedZone, use: TowelUse, roles: RolesAtHand, a: Assumptions): TowelNeed => ({
  role: roles.wash,
  use: 'wash',
  moment: 'pass',
  cleanliness: zone.cleanliness,
  dirtG: dirtOn(zone, a),
  liquidMl: use.medium === 'towel' ? zone.moisture.washMl : 0,
  reachShare: reachOn(zone, a),
  soaked: use.medium === 'soaked-towel',
});

/** Whether the towel that finishes paint may do glass, too. */
function sharesGlass({ finishWith }: TowelUse, habit: GlassTowelHabit): boolean {
  switch (habit) {
    case 'own':
      return false;
    case 'drying':
      return finishWith === 'drying';
    case 'shared':
      return true;
  }
}

function finishNeed(
  zone: WipedZone,
  use: TowelUse,
  roles: RolesAtHand,
  habit: GlassTowelHabit,
  a: Assumptions,
): TowelNeed {
  const isGlass = zone.cleanliness === cleanlinessOf.glass;
  const shares = isGlass && sharesGlass(use, habit);
  const role = roles[isGlass && !shares ? 'glass' : use.finishWith];
  return {
    role,
    use: role === 'drying' ? 'drying' : 'finish',
    moment: zone.driedLater ? 'dry' : 'pass',
    // What is dried with the paint’s towel is as clean as paint to it.
    cleanliness: shares ? cleanlinessOf.uppers : zone.cleanliness,
    dirtG: zone.loadGm2 * zone.areaM2 * (1 - a.dirtLifted),
    liquidMl: zone.moisture.finishMl,
    reachShare: 0,
    soaked: false,
  };
}

const glassNeed = ({ glassMl, glassInPass }: WipedZone, roles: RolesAtHand): TowelNeed => ({
  role: roles.glass,
  use: 'finish',
  moment: glassInPass ? 'pass' : 'glass',
  cleanliness: cleanlinessOf.glass,
  dirtG: 0,
  liquidMl: glassMl,
  reachShare: 0,
  soaked: false,
});

/** Towels for one zone: glass has towels of its own where the approach wants it, and a mitt needs no wash side. */
export function towelNeeds(
  zone: WipedZone,
  use: TowelUse,
  roles: RolesAtHand,
  glassTowels: GlassTowelHabit,
  a: Assumptions,
): readonly TowelNeed[] {
  if (zone.cleanliness >= ONE_TOWEL_FROM) return [wheelNeed(zone, roles, a)];
  return [
    ...(use.medium === 'mitt' ? [] : [washNeed(zone, use, roles, a)]),
    finishNeed(zone, use, roles, glassTowels, a),
    ...(zone.glassMl > 0 ? [glassNeed(zone, roles)] : []),
  ];
}

/** A clean towel spreads what is put onto a clean zone: a buffing towel on paint, a work towel on trim and tyres. */
export const careNeed = (
  { areaM2, cleanliness, surface }: Pick<Zone, 'areaM2' | 'cleanliness' | 'surface'>,
  careMl: number,
  roles: RolesAtHand,
  a: Assumptions,
): TowelNeed => ({
  role: surface === 'paint' ? roles.finish : roles.wheels,
  use: 'protect',
  moment: 'protect',
  cleanliness,
  dirtG: 0,
  liquidMl: careMl * a.careTaken,
  reachShare: areaM2 / a.careSide,
  soaked: false,
});

/** So much of a need. */
export const part = (need: TowelNeed, share: number): TowelNeed => ({
  ...need,
  dirtG: need.dirtG * share,
  liquidMl: need.liquidMl * share,
  reachShare: need.reachShare * share,
});

/** What a need fills of the sides of a towel, in sides of each limit. */
export interface Filling {
  readonly dirt: number;
  readonly liquid: number;
  readonly reach: number;
}

/**
 * What a need fills of the sides of a towel.
 * @param wetShare liquid that a side holds already, as a share of its saturation
 */
export function fillingOf(need: TowelNeed, batch: TowelBatch, wetShare: number, a: Assumptions): Filling {
  const side = sideCapacity(batch, need.use, a);
  const roomMl = wetShare > 0 ? side.saturationMl * (1 - wetShare) : side.liquidMl;
  return {
    dirt: need.dirtG / side.dirtG,
    liquid: need.soaked ? 0 : need.liquidMl / roomMl,
    reach: need.reachShare,
  };
}

/** Sides of this towel that the need fills, as a fraction. */
export function sidesFor(need: TowelNeed, batch: TowelBatch, a: Assumptions): number {
  const { dirt, liquid, reach } = fillingOf(need, batch, 0, a);
  return Math.max(dirt, liquid, reach);
}
