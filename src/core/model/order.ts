/** Numbers that say what came after what go no further. */
export const MOST_ORDER = 1_000_000_000;

/** The number after that one. At the bound it stays the same, so that what was accepted can always be written and read again; then the time decides. */
export function orderAfter(last: number): number {
  return Math.min(MOST_ORDER, last + 1);
}
