export { DayPlanner } from './plan-day';
export type { DayLeg, DayPlan, FirstShortage } from './plan-day';
export { dayMends, withDayChange } from './mends';
export type { DayChange, DayMend } from './mends';
export { planLot } from './plan-lot';
export type { LotCar, LotPlan, LotShortage, LotStock } from './plan-lot';
export { stockKinds } from './stocks';
export type { StockKind } from './stocks';
export { kmBetween, placesOf } from './travel';
