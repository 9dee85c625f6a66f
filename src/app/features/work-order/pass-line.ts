import type { RunRow } from '@esmero/core';
import { jobTitle, passZones } from '@esmero/messages';
import { markOf } from '../../ui/net/looks';

/** Marks before a towel: fresh from the pile, turned, taken up again; and after it: done. */
const heldMark = { fresh: '+', turned: '›', same: '', demoted: '»' } as const;

/** "+2:1–2  ›3:4" from the towels in the hand, in order. */
export const sidesText = ({ towels }: RunRow): string =>
  towels
    .map(
      ({ towel, how, sides, done }) =>
        `${heldMark[how]}${towel}:${sides.length > 1 ? `${sides[0]}–${sides.at(-1)}` : sides[0]}${done ? '.' : ''}`,
    )
    .join('  ');

/** What is done in a row: the panels of a pass, or an errand. */
export const titleOf = (row: RunRow): string => (row.number === null ? jobTitle(row) : passZones(row));
/** A letter for each treatment in it. */
export const marksOf = ({ treatments }: RunRow): string => [...new Set(treatments.map(markOf))].join(' ');
