import { describe, expect, it } from 'vitest';
import { fromMinor, minorDigits, moneyText, toMinor } from './money';

describe('money', () => {
  it('has as many digits as its currency', () => {
    expect(['EUR', 'JPY', 'KWD', 'XXQ'].map(minorDigits)).toEqual([2, 0, 3, 2]);
    expect(toMinor(26.5, 'EUR')).toBe(2650);
    expect(toMinor(2600, 'JPY')).toBe(2600);
    expect(fromMinor(toMinor(1.234, 'KWD'), 'KWD')).toBe(1.234);
  });

  it('is said with them', () => {
    expect(moneyText(2650, 'EUR')).toBe('€26.50');
    expect(moneyText(2650, 'JPY')).toBe('¥2,650');
    expect(moneyText(150, 'not a code')).toBe('1.50 not a code');
  });
});
