import fc from 'fast-check';

/** Every case where `npm run test:deep` asks for it; a tenth otherwise. */
const DEEP = process.env['DEEP'] !== undefined;

/**
 * How many cases a property is tried on.
 * @param deep of all of them
 * @param usual in the ordinary run, where a tenth of them would take too long
 */
export const runs = (deep: number, usual = Math.max(Math.min(deep, 5), Math.round(deep / 10))): number =>
  DEEP ? deep : usual;

// The same cases each time; what once failed is pinned as an example of its property.
fc.configureGlobal({ seed: 20310714, numRuns: runs(100) });
