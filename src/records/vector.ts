import { orderAfter } from '@esmero/model';

/**
 * How many changes each browser has made to a record (a version vector): whether one copy follows from
 * another can be read off it, whatever their clocks say.
 */
export type VersionVector = Readonly<Record<string, number>>;

export type Follows = 'same' | 'older' | 'newer' | 'apart';

/** How `other` stands to `mine`: `apart` where both have changes that the other lacks, or nobody noted any. */
export function compared(mine: VersionVector, other: VersionVector): Follows {
  const all = [...new Set([...Object.keys(mine), ...Object.keys(other)])];
  if (Object.keys(mine).length === 0 || Object.keys(other).length === 0) return 'apart';
  const lacks = all.some((by) => (other[by] ?? 0) < (mine[by] ?? 0));
  const has = all.some((by) => (other[by] ?? 0) > (mine[by] ?? 0));
  if (lacks && has) return 'apart';
  return lacks ? 'older' : has ? 'newer' : 'same';
}

/** All changes that either knows of. */
export function together(one: VersionVector, other: VersionVector): VersionVector {
  const all = new Set([...Object.keys(one), ...Object.keys(other)]);
  return Object.fromEntries([...all].map((by) => [by, Math.max(one[by] ?? 0, other[by] ?? 0)]));
}

/** One change more by a browser. */
export const advanced = (vector: VersionVector, by: string): VersionVector => ({
  ...vector,
  [by]: orderAfter(vector[by] ?? 0),
});
