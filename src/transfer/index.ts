/** Files in and out of what is kept: backups, imports that ask, and the way back. */
export { transferFor } from './client';
export type { Backup, Reviewed, Transfer } from './transfer';
export { choices, offered, standings, usual } from './review';
export type { Choice, Review, ReviewRow, Standing, StockReview } from './review';
export { isSealed, sealed, unsealed } from './sealed';
export { lastImport } from './apply';
export type { Applied, Brought, Choices, LastImport } from './apply';
