import { describe, expect, it } from 'vitest';
import { isMissingPart } from './notices';

describe('a part that is gone from the server', () => {
  it.each([
    'Failed to fetch dynamically imported module: http://van/chunk-ABC.js',
    'error loading dynamically imported module: http://van/chunk-ABC.js',
    'Importing a module script failed.',
  ])('is told by what browsers say of it: %s', (message) => expect(isMissingPart(new TypeError(message))).toBe(true));

  it('is not any other error', () => {
    expect(isMissingPart(new TypeError('x is undefined'))).toBe(false);
    expect(isMissingPart(null)).toBe(false);
  });
});
