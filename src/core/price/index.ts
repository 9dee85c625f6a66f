export { visitAccount } from './actual';
export type { VisitAccount } from './actual';
export { billOf, invoiceOf, numbersOf } from './bill';
export { priceOf } from './price';
export { quoteOf, usualBusiness } from './quote';
export type { CarsPrice, QuoteAnswer, QuoteAsked } from './quote';
export { seasonMethods, seasonOf } from './season';
export type { Season, SeasonAsked, SeasonMethod, SeasonPlan } from './season';
export { takesOf } from './takes';
