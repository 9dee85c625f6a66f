import { describe, expect, it } from 'vitest';
import { pathOf, signatureSvg } from './signature-path';

const point = (x: number, y: number) => ({ x, y, pressure: 0.5, time: 0 });

describe('a signature', () => {
  it('is kept as one path in a box of its own, whatever the screen', () => {
    const strokes = [{ points: [point(0, 0), point(208, 69)] }, { points: [point(416, 138)] }];
    expect(pathOf(strokes, 416, 138)).toBe('M0.0 0.0L150.0 50.0M300.0 100.0');
    expect(pathOf([], 416, 138)).toBe('');
  });

  it('is drawn on paper as it is kept', () => {
    expect(signatureSvg({ path: 'M1 2L3 4' })).toContain('d="M1 2L3 4"');
  });
});
