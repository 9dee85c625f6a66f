export { guessMapping, tableKinds, tables } from './columns';
export type { Mapping, TableField, TableKind } from './columns';
export { holdingsOf } from './holdings';
export type { Here } from './holdings';
export { billsCsv, clientsCsv, logCsv, productsCsv, stockCsv } from './kept';
export { readRows } from './rows';
export type { RowRead } from './rows';
export { readTable, writeTable } from './table';
export type { Table, TableRead } from './table';
