import type { Stamp } from '@esmero/records';
import type { StampDocument } from './documents/library';

export const stampFrom = ({ changedAt, edits }: StampDocument): Stamp => ({
  changedAt,
  vector: Object.fromEntries(edits.map(({ by, count }) => [by, count])),
});

export const stampDocument = ({ changedAt, vector }: Stamp): StampDocument => ({
  changedAt,
  edits: Object.entries(vector).map(([by, count]) => ({ by, count })),
});
