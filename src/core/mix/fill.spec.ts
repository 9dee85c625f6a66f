import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { MeasuringDevice } from '../model';
import { ml } from '../units';
import { readDilution } from './dilution';
import { type Poured, fillVolumes, fillWith } from './fill';

const poured = (label: string, band: Poured['use'] = { weakest: null, strongest: null }): Poured => {
  const read = readDilution({ label, reading: 'water' });
  if (!read.ok) throw new Error(label);
  return { dilution: read.dilution, use: band };
};
const device = (stepMl: number): MeasuringDevice => ({ kind: 'cup', stepMl: ml(stepMl), capacityMl: ml(100) });
const vessel = (capacity: number) => ({ capacityMl: ml(capacity), workingShare: 0.75 });

describe('fillings of a vessel', () => {
  it('add up to what is wanted, as few as the working line allows, full ones first and none a mere splash', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60_000 }), fc.integer({ min: 200, max: 20_000 }), (wanted, capacity) => {
        const fills = fillVolumes(wanted, vessel(capacity));
        const line = capacity * 0.75;
        expect(fills.reduce((sum, fill) => sum + fill, 0)).toBeCloseTo(wanted, 6);
        expect(fills.length).toBe(Math.max(1, Math.ceil(wanted / line - 1e-9)));
        fills.slice(0, -2).forEach((fill) => expect(fill).toBe(line));
        for (const fill of fills) expect(fill).toBeLessThanOrEqual(line + 1e-6);
        if (fills.length > 1) for (const fill of fills) expect(fill).toBeGreaterThanOrEqual(line / 4 - 1e-6);
      }),
    );
  });

  it('hold product and water that make the whole, and the true ratio after rounding', () => {
    const fill = fillWith(poured('256'), 'finalVolume', 8000, device(1));
    expect(fill.dose!.productMl + fill.waterMl).toBeCloseTo(8000, 9);
    expect(fill.dose!.measured.deliveredMl).toBe(31);
    expect(fill.dose!.trueWaterParts).toBeCloseTo(fill.waterMl / 31, 9);
    expect(fillWith(null, 'finalVolume', 500, device(1))).toEqual({ totalMl: 500, waterMl: 500, dose: null });
  });

  it('are held against the band of the label on both sides', () => {
    const band = { weakest: 300, strongest: 200 };
    const of = (step: number, volume: number) =>
      fillWith(poured('256', band), 'intoWater', volume, device(step)).dose!.band;
    expect(of(1, 5120)).toBe('within');
    expect(of(15, 5120)).toBe('too-weak');
    expect(of(30, 5120)).toBe('too-strong');
  });
});
