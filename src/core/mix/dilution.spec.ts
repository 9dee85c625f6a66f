import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type DilutionLabel, type LabelReading, labelReadings } from '../model';
import { add, compare, fromDecimal, toNumber } from '../units';
import reference from '../testing/fixtures/mixing.json';
import { type FillMode, exactText, fillModes, mixFor, notations, readDilution } from './dilution';

const dilutionOf = (label: DilutionLabel) => {
  const read = readDilution(label);
  if (!read.ok) throw new Error(`${label.label} should be readable`);
  return read.dilution;
};

describe('mixing against the reference', () => {
  it.each(reference.cases)('$name', ({ input, expect: wanted }) => {
    const dilution = dilutionOf({ label: input.label, reading: input.reading as LabelReading });
    const mix = mixFor(dilution, input.fill as FillMode, input.volumeMl);
    expect(exactText(mix.productMl)).toBe(wanted.productMl);
    expect(toNumber(mix.productMl)).toBeCloseTo(wanted.productMlRounded, 4);
    expect(toNumber(mix.waterMl)).toBeCloseTo(wanted.waterMl, 4);
    expect(notations(dilution).waterParts).toBe(wanted.waterPartsPerProduct);
    expect(notations(dilution).percent).toBeCloseTo(wanted.productPercent, 6);
  });
});

describe('mixing', () => {
  it('conserves volume exactly', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 90 }),
        fc.constantFrom(...labelReadings),
        fc.constantFrom(...fillModes),
        fc.integer({ min: 1, max: 2_000_000 }).map((v) => v / 100),
        (n, reading, fill, volume) => {
          const mix = mixFor(dilutionOf({ label: String(n), reading }), fill, volume);
          expect(compare(add(mix.productMl, mix.waterMl), mix.totalMl)).toBe(0);
          const fixed = fill === 'finalVolume' ? mix.totalMl : mix.waterMl;
          expect(compare(fixed, fromDecimal(volume))).toBe(0);
        },
      ),
    );
  });

  it('differs by (N+1)/N between the two readings of one label', () => {
    const [water, whole] = (['water', 'whole'] as const).map((reading) =>
      toNumber(mixFor(dilutionOf({ label: '5', reading }), 'finalVolume', 750).productMl),
    );
    expect(whole! / water!).toBeCloseTo(6 / 5, 12);
  });

  it.each([
    ['0', 'percent', 'not-positive'],
    ['-3', 'water', 'not-positive'],
    ['abc', 'water', 'not-a-number'],
    ['0.5', 'whole', 'less-than-whole'],
    ['101', 'percent', 'over-100-percent'],
  ] as const)('%s read as %s is refused: %s', (label, reading, code) => {
    expect(readDilution({ label, reading })).toMatchObject({ ok: false, fault: { code } });
  });

  it('takes a ready-to-use product as it comes', () => {
    const ready = dilutionOf({ label: '0', reading: 'water' });
    expect(toNumber(mixFor(ready, 'intoWater', 500).productMl)).toBe(500);
    expect(notations(ready).mLPerLitreOfWater).toBeNull();
  });
});
