import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  add,
  divide,
  fromDecimal,
  multiply,
  parseRational,
  rational,
  rationalToString,
  subtract,
  toNumber,
} from './rational';

const anyRational = fc
  .tuple(fc.bigInt(-1_000_000n, 1_000_000n), fc.bigInt(1n, 1_000_000n))
  .map(([num, den]) => rational(num, den));

describe('rational numbers', () => {
  it('reads decimals, commas and fractions exactly', () => {
    expect(rationalToString(parseRational('2.5')!)).toBe('5/2');
    expect(rationalToString(parseRational(' 0,1 ')!)).toBe('1/10');
    expect(rationalToString(parseRational('1875/64')!)).toBe('1875/64');
  });

  it.each(['', 'abc', '1/0', '1e5', '--2', '1.2.3'])('refuses %j', (text) => {
    expect(parseRational(text)).toBeUndefined();
  });

  it('undoes addition and multiplication exactly', () => {
    fc.assert(
      fc.property(anyRational, anyRational, (a, b) => {
        expect(subtract(add(a, b), b)).toEqual(a);
        if (b.num !== 0n) expect(divide(multiply(a, b), b)).toEqual(a);
      }),
    );
  });

  it('takes a typed decimal as written', () => {
    expect(rationalToString(fromDecimal(0.1))).toBe('1/10');
    expect(toNumber(fromDecimal(1e-9))).toBe(1e-9);
  });

  it('names the programmer’s mistake of a zero denominator', () => {
    expect(() => rational(1, 0)).toThrow(/denominator/);
  });
});
