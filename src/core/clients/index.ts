export { dueState, duesOf, isInTime, visitDay } from './due';
export type { Due, DueBand, DueCar, DueState } from './due';
export { newVisit, sinceThen } from './new-visit';
export { carsOf, doneOn, isOf } from './visits';
export type { CarVisits } from './visits';
