import type { Assumptions } from '../assumptions';
import type { CleanlinessClass, TowelBatch, TowelRole } from '../model';
import { type RolesAtHand, type SideUse, sideCapacity, sideReach } from './capacity';
import type { Moisture } from './moisture';

/** What one wiping of a zone puts on towel sides of one role. */
export interface TowelNeed {
  readonly role: TowelRole;
  readonly use: SideUse;
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
}

/** From this class down one towel does everything: wheels, tyres and arches. */
export const ONE_TOWEL_FROM = 4;

const dirtOn = ({ loadGm2, areaM2 }: WipedZone, a: Assumptions): number =>
  a.dirtLifted * loadGm2 * areaM2;

const reachOn = ({ loadGm2, areaM2, cleanliness }: WipedZone, a: Assumptions): number =>
  areaM2 / sideReach(loadGm2, cleanliness, a);

/** Wheels, tyres and arches keep to their own towels, which do everything. */
const wheelNeed = (zone: WipedZone, roles: RolesAtHand, a: Assumptions): TowelNeed => ({
  role: roles.wheels,
  use: 'wash',
  cleanliness: zone.cleanliness,
  dirtG: dirtOn(zone, a),
  liquidMl: zone.moisture.washMl + zone.moisture.finishMl,
  reachShare: reachOn(zone, a),
  soaked: false,
});

const washNeed = (zone: WipedZone, use: TowelUse, roles: RolesAtHand, a: Assumptions): TowelNeed => ({
  role: roles.wash,
  use: 'wash',
  cleanliness: zone.cleanliness,
  dirtG: dirtOn(zone, a),
  liquidMl: use.medium === 'towel' ? zone.moisture.washMl : 0,
  reachShare: reachOn(zone, a),
  soaked: use.medium === 'soaked-towel',
});

function finishNeed(zone: WipedZone, use: TowelUse, roles: RolesAtHand, a: Assumptions): TowelNeed {
  const role = roles[zone.cleanliness === 0 ? 'glass' : use.finishWith];
  return {
    role,
    use: role === 'drying' ? 'drying' : 'finish',
    cleanliness: zone.cleanliness,
    dirtG: zone.loadGm2 * zone.areaM2 * (1 - a.dirtLifted),
    liquidMl: zone.moisture.finishMl + zone.glassMl,
    reachShare: 0,
    soaked: false,
  };
}

/** Towels for one zone: glass is finished with glass towels, and a mitt needs no wash side. */
export function towelNeeds(
  zone: WipedZone,
  use: TowelUse,
  roles: RolesAtHand,
  a: Assumptions,
): readonly TowelNeed[] {
  if (zone.cleanliness >= ONE_TOWEL_FROM) return [wheelNeed(zone, roles, a)];
  const finish = finishNeed(zone, use, roles, a);
  return use.medium === 'mitt' ? [finish] : [washNeed(zone, use, roles, a), finish];
}

/** Sides of this towel that the need fills, as a fraction. */
export function sidesFor(need: TowelNeed, batch: TowelBatch, a: Assumptions): number {
  const side = sideCapacity(batch, need.use, a);
  return Math.max(
    need.dirtG / side.dirtG,
    need.soaked ? 0 : need.liquidMl / side.liquidMl,
    need.reachShare,
  );
}
