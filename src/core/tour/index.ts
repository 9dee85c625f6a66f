export { DayPlanner } from './plan-day';
export type { DayLeg, DayPlan, FirstShortage } from './plan-day';
export { dayMends, withDayChange } from './mends';
export type { DayChange, DayMend } from './mends';
export { stockKinds } from './stocks';
export type { StockKind } from './stocks';
export { kmBetween, placesOf } from './travel';
