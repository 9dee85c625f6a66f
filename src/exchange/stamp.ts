import type { Stamp } from '@esmero/records';
import type { StampDocument } from './documents/library';

/** Browsers that a stamp names; those with the most changes stay. */
const MOST_BROWSERS = 1000;

export const stampFrom = ({ changedAt, edits }: StampDocument): Stamp => ({
  changedAt,
  vector: Object.fromEntries(edits.map(({ by, count }) => [by, count])),
});

export const stampDocument = ({ changedAt, vector }: Stamp): StampDocument => ({
  changedAt,
  edits: Object.entries(vector)
    .sort(([, p], [, q]) => q - p)
    .slice(0, MOST_BROWSERS)
    .map(([by, count]) => ({ by, count })),
});
