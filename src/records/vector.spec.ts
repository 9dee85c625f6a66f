import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { advanced, compared, freshId, together } from '.';

const browsers = fc.dictionary(fc.constantFrom('a', 'b', 'c'), fc.integer({ min: 1, max: 5 }), { minKeys: 1 });

describe('version vectors', () => {
  it('tell older from newer, whatever the clocks say', () => {
    expect(compared({ a: 1 }, { a: 2 })).toBe('newer');
    expect(compared({ a: 2, b: 1 }, { a: 2 })).toBe('older');
    expect(compared({ a: 2 }, { a: 1, b: 1 })).toBe('apart');
    expect(compared({ a: 2 }, { a: 2 })).toBe('same');
    expect(compared({}, { a: 2 })).toBe('apart');
  });

  it('are each other’s opposite, and a change more is newer', () => {
    const opposite = { same: 'same', older: 'newer', newer: 'older', apart: 'apart' } as const;
    fc.assert(
      fc.property(browsers, browsers, (p, q) => {
        expect(compared(q, p)).toBe(opposite[compared(p, q)]);
        expect(compared(p, advanced(p, 'a'))).toBe('newer');
        expect(['same', 'newer']).toContain(compared(p, together(p, q)));
      }),
    );
  });
});

describe('a fresh name', () => {
  it('is never the same, fits the rules of files, and needs no secure context', () => {
    const uuid = Object.getOwnPropertyDescriptor(crypto, 'randomUUID');
    Object.defineProperty(crypto, 'randomUUID', { value: undefined, configurable: true });
    const names = new Set(Array.from({ length: 1000 }, () => freshId('job')));
    if (uuid) Object.defineProperty(crypto, 'randomUUID', uuid);
    expect(names.size).toBe(1000);
    for (const name of names) expect(name).toMatch(/^[\w.-]{1,80}$/);
  });
});
