import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { toNumber } from '../units';
import { readDilution } from './dilution';
import { countFor, strengthPoured } from './poured';

const dilution = (label: string, reading: 'water' | 'flOzPerGallon' | 'mLPerGallon' = 'water') => {
  const read = readDilution({ label, reading });
  if (!read.ok) throw new Error(label);
  return read.dilution;
};

describe('what was poured', () => {
  it('2½ caps of 14.8 mL in 9.46 L are 1 to 256, and 1 to 128 wants five', () => {
    const caps = { count: 2.5, eachMl: 14.8, waterMl: 9460 };
    expect(Math.round(toNumber(strengthPoured(caps)!.waterParts))).toBe(256);
    expect(Math.round(countFor(dilution('128'), caps)!)).toBe(5);
    expect(countFor(dilution('128'), caps)).toBeCloseTo(4.99, 2);
  });

  it('comes back as the count that its own strength wants', () => {
    const amount = (max: number) => fc.integer({ min: 1, max: max * 10 }).map((n) => n / 10);
    fc.assert(
      fc.property(amount(50), amount(60), amount(20_000), (count, eachMl, waterMl) => {
        expect(countFor(strengthPoured({ count, eachMl, waterMl })!, { eachMl, waterMl })).toBeCloseTo(count, 9);
      }),
    );
  });

  it('is nothing where nothing was poured, and no count for what is used as it comes', () => {
    expect(strengthPoured({ count: 0, eachMl: 15, waterMl: 1000 })).toBeNull();
    expect(countFor(dilution('0'), { eachMl: 15, waterMl: 1000 })).toBeNull();
    expect(countFor(dilution('128'), { eachMl: 0, waterMl: 1000 })).toBeNull();
  });
});

describe('labels by the gallon', () => {
  it('say the same as in parts: an ounce in a gallon is 1 to 128, half an ounce 1 to 256', () => {
    expect(toNumber(dilution('1', 'flOzPerGallon').waterParts)).toBe(128);
    expect(toNumber(dilution('0.5', 'flOzPerGallon').waterParts)).toBe(256);
    expect(toNumber(dilution('29.5735295625', 'mLPerGallon').waterParts)).toBe(128);
  });

  it('say nothing where they say nought', () => {
    for (const reading of ['flOzPerGallon', 'mLPerGallon'] as const)
      expect(readDilution({ label: '0', reading }).ok).toBe(false);
  });
});
