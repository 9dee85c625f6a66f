export { dueState, duesOf, isInTime, visitDay } from './due';
export type { Due, DueCar, DueState } from './due';
export { newVisit } from './new-visit';
export { carsOf, doneOn, isOf } from './visits';
export type { CarVisits } from './visits';
