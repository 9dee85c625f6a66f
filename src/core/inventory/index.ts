export { bookingOut, counting, draft, isBooked, opening, releasing, reserving, takingBack } from './booking';
export type { Draft } from './booking';
export { laundering, laundrySteps, retiring } from './laundry';
export type { LaundryStep } from './laundry';
export { amountAt, balancesOf, missingFor, moved, movementsByItem, stockItem } from './ledger';
export type { Missing } from './ledger';
export { expiry, lotsOf, outlookOf, shoppingList, washesOf } from './outlook';
export type { ToBuy } from './outlook';
export { settled } from './settled';
