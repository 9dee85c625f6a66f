export { amountAt, balancesOf, missingFor, moved, stockItem } from './ledger';
export type { AtPlaces, Balances, Missing } from './ledger';
export { bookingOut, counting, draft, isBooked, releasing, reservedFor, reserving, takingBack } from './booking';
export type { Draft } from './booking';
export { groupOf, laundering, laundryGroups, laundrySteps, retiring, soakFor, weightKg } from './laundry';
export type { LaundryGroup, LaundryStep, Soak } from './laundry';
export { expiry, lotsOf, outlookOf, shoppingList, washesOf } from './outlook';
export type { Lot, Outlook, ToBuy } from './outlook';
