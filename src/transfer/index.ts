/** Files in and out of what is kept: backups, imports that ask, and the way back. */
export { transferFor } from './client';
export type { Backup, Ended, Reviewed, Transfer } from './transfer';
export type { CalendarReview, Foreign, ForeignSpan, RowReview, TableReview } from './foreign';
export type { Aside } from './source';
export { choices, offered, standings, usual } from './review';
export type { Choice, Review, ReviewRow, Standing, StockReview } from './review';
export { isSealed, sealed, unsealed } from './sealed';
export { lastImport } from './apply';
export type { Applied, Brought, Choices, LastImport } from './apply';
