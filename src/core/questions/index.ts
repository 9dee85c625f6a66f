export { studies } from './table';
export type { About, OfPicture, Studies, StudyKind } from './table';
export type { DayAnswer, DayAsked } from './day';
export type { LotBrief } from './lot';
