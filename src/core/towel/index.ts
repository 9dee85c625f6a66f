export { rolesAtHand, sidesUsed, sideCapacity, sideReach } from './capacity';
export type { RolesAtHand, SideCapacity, SideUse } from './capacity';
export { moistureOf } from './moisture';
export type { Moisture } from './moisture';
export { ONE_TOWEL_FROM, sidesFor, towelNeeds } from './need';
export type { TowelNeed, TowelUse, WipedZone } from './need';
export { towelLedger, towelsTaken } from './ledger';
export type { LedgerRules, SideEntry, UsedSide, UsedTowel, Wiping } from './ledger';
