export { draws } from './draws';
export type { Draws } from './draws';
export { quantile, spreadOf } from './quantiles';
export type { Spread } from './quantiles';
