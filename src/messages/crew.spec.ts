import { describe, expect, it } from 'vitest';
import type { RunEvent } from '@esmero/model';
import { crewText } from './crew';

const tick = (kind: 'wipe' | 'wet', zone: string): RunEvent =>
  ({ kind, zone, section: 1, of: 1, by: 0, at: 1, seq: 1 }) as never;

describe('what the other phone took back', () => {
  it('is named by its panels, without what was only wetted ahead', () => {
    expect(crewText.takenBack([tick('wet', 'roof'), tick('wipe', 'bonnet'), tick('wipe', 'grille')])).toBe(
      'The other phone took back what was ticked off: bonnet and grille.',
    );
    expect(crewText.takenBack([tick('wet', 'roof')])).toBe('The other phone took back what was ticked off: roof.');
    expect(
      crewText.takenBack((['roof', 'bonnet', 'grille', 'windscreen'] as const).map((zone) => tick('wipe', zone))),
    ).toContain(': 4 panels.');
    expect(crewText.takenBack([])).toBe('The other phone took back what was ticked off.');
  });
});
