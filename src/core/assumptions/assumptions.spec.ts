import { describe, expect, it } from 'vitest';
import { assumptionGroups, assumptionKeys, assumptionTable, resolveAssumptions } from '.';

describe('assumptions', () => {
  it.each(assumptionKeys)('%s lies within its own bounds and says what it is', (key) => {
    const { value, min, max, note } = assumptionTable[key];
    expect(value).toBeGreaterThanOrEqual(min);
    expect(value).toBeLessThanOrEqual(max);
    expect(note.length).toBeGreaterThan(4);
  });

  it('stand in one group each', () => {
    const grouped = Object.values(assumptionGroups).flatMap((group) => Object.keys(group));
    expect(new Set(grouped).size).toBe(grouped.length);
    expect(grouped).toEqual(assumptionKeys);
  });

  it('yield to a user’s own figure', () => {
    expect(resolveAssumptions({ walking: 0.3 }).walking).toBe(0.3);
    expect(resolveAssumptions({}).walking).toBe(0.15);
  });
});
