import { describe, expect, it } from 'vitest';
import { collectionVersion, jobVersion } from '@esmero/records';
import { collectionMigrations, jobMigrations } from '.';

describe('the versions that are written', () => {
  it.each([
    ['job', jobVersion, jobMigrations],
    ['collection', collectionVersion, collectionMigrations],
  ])('of a %s are one more than there are steps to it', (_what, version, steps) =>
    expect(version).toBe(steps.length + 1),
  );
});
