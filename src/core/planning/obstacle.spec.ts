import { describe, expect, it } from 'vitest';
import type { Shut } from '../rules';
import { obstacleOf } from './obstacle';

const hot: Shut = { treatment: 'none/waterless', gates: [{ code: 'panel-too-hot', panelC: 55, maxC: 45 }] };
const marring: Shut = {
  treatment: 'none/waterless',
  gates: [{ code: 'index-over-limit', index: 40, limit: 30, approach: 'balanced' }],
};
const open: Shut = { treatment: 'none/rinseless', gates: [] };

describe('what stands in the way', () => {
  it('is heat only where heat forbids a treatment on every zone', () => {
    expect(obstacleOf([[hot], [hot, marring]])).toBe('heat');
    expect(obstacleOf([[hot], [marring]])).toBe('soil');
  });

  it('is not told by a treatment that nothing forbids', () => {
    expect(obstacleOf([[marring, open]])).toBe('soil');
  });
});
