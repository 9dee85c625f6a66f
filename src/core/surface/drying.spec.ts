import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import fixture from '../testing/fixtures/physics.json';
import { saturationPa } from './air';
import { type Wetting, coldestPanelC, freezeTimeS, leastLiquidC, openTimeS, startC, steadyPanelC } from './drying';
import { type Skin, airOn, skinCapacity } from './panel';
import { defaultAssumptions as a } from '../assumptions';
import type { Colour } from '../model';
import { runs } from '@esmero/testing';

type Input = (typeof fixture.drying)[number]['input'];

const wettingOf = (input: Omit<Input, 'panelReadingC'> & { panelReadingC: number | null }): Wetting => ({
  air: airOn(
    {
      airC: input.airC,
      humidity: input.relativeHumidity,
      windMs: input.windMs,
      sunWm2: input.sunOnPanelWm2,
      shaded: input.shaded,
      colour: input.colour as Colour,
    },
    a,
  ),
  heatCapacity: skinCapacity(input.skin as Skin, a),
  appliedUm: input.appliedUm,
  holdUpUm: input.holdUpUm,
  liquidC: input.liquidC,
  panelReadingC: input.panelReadingC,
});

const within = (value: number | null, expected: number, share = 0.01): void =>
  expect(Math.abs(value! - expected)).toBeLessThanOrEqual(Math.max(0.05, Math.abs(expected) * share));

describe('saturation pressure', () => {
  it.each(fixture.saturation)('$tempC °C', ({ tempC, saturationPa: expected }) =>
    within(saturationPa(tempC), expected, 1e-4),
  );
});

describe('drying against the reference', () => {
  it.each(fixture.drying)('$name', ({ input, expect: expected }) => {
    const wetting = wettingOf(input);
    within(steadyPanelC(wetting.air), expected.steadyPanelC);
    within(startC(wetting), expected.startC);
    within(openTimeS(wetting), expected.openTimeS);
  });
});

describe('freezing against the reference', () => {
  it.each(fixture.freezing)('$name', ({ input, expect: expected }) => {
    const wetting = wettingOf(input);
    within(startC(wetting), expected.startC);
    within(freezeTimeS(wetting, a.slushC), expected.freezeTimeS);
  });
});

const anyWetting = fc
  .record({
    airC: fc.double({ min: 5, max: 38, noNaN: true }),
    relativeHumidity: fc.double({ min: 0.2, max: 0.85, noNaN: true }),
    windMs: fc.double({ min: 0, max: 5, noNaN: true }),
    sunOnPanelWm2: fc.double({ min: 0, max: 900, noNaN: true }),
    shaded: fc.boolean(),
    appliedUm: fc.double({ min: 10, max: 70, noNaN: true }),
    liquidC: fc.double({ min: 8, max: 30, noNaN: true }),
  })
  .map((rest) => wettingOf({ ...rest, skin: 'steel', colour: 'mid', holdUpUm: 70, panelReadingC: null }));

const timeOf = (wetting: Wetting): number => openTimeS(wetting) ?? Infinity;

describe('the open time', () => {
  it('never grows with sun, a warmer reading or drier air, and never shrinks with more film', () => {
    fc.assert(
      fc.property(anyWetting, (w) => {
        const slack = timeOf(w) * 1.02 + 0.5;
        expect(timeOf({ ...w, air: { ...w.air, sunWm2: w.air.sunWm2 + 200 } })).toBeLessThanOrEqual(slack);
        expect(timeOf({ ...w, panelReadingC: steadyPanelC(w.air) + 15 })).toBeLessThanOrEqual(slack);
        expect(timeOf({ ...w, air: { ...w.air, humidity: w.air.humidity * 0.8 } })).toBeLessThanOrEqual(slack);
        expect(timeOf({ ...w, appliedUm: w.appliedUm * 0.8 })).toBeLessThanOrEqual(slack);
      }),
      { numRuns: runs(60) },
    );
  });

  it('moves by less than 1 % when the steps are halved', () => {
    fc.assert(
      fc.property(anyWetting, (w) => {
        const [coarse, fine] = [openTimeS(w), openTimeS(w, 2)];
        if (coarse !== null && fine !== null) within(coarse, fine);
      }),
      { numRuns: runs(500) },
    );
  });

  it('is null where nothing dries for hours, and never NaN', () => {
    const damp = wettingOf({ ...fixture.drying[0]!.input, relativeHumidity: 1, windMs: 0, airC: 4, liquidC: 4 });
    expect(openTimeS(damp)).toBeNull();
    fc.assert(
      fc.property(anyWetting, (w) => !Number.isNaN(openTimeS(w))),
      { numRuns: runs(40) },
    );
  });
});

describe('cold', () => {
  const cold = wettingOf(fixture.freezing[0]!.input);

  it('names the liquid temperature at which the film would start where it should', () => {
    const liquidC = leastLiquidC(cold, 0.5);
    expect(startC({ ...cold, liquidC })).toBeCloseTo(0.5, 9);
    expect(freezeTimeS({ ...cold, liquidC: liquidC - 1 }, a.slushC)).toBe(0);
    expect(freezeTimeS({ ...cold, liquidC: liquidC + 5 }, a.slushC)).toBeGreaterThan(0);
  });

  it('gives more time with a larger flood, and does not freeze a mild car', () => {
    const flood = wettingOf(fixture.freezing[1]!.input);
    expect(freezeTimeS({ ...flood, appliedUm: 500 }, a.slushC)!).toBeLessThan(freezeTimeS(flood, a.slushC)!);
    expect(freezeTimeS(wettingOf(fixture.drying[0]!.input), a.slushC)).toBeNull();
  });

  it('just stays above slush on the coldest panel that is named, and with the coolest liquid', () => {
    fc.assert(
      fc.property(anyWetting, fc.double({ min: 0, max: 3, noNaN: true }), (wetting, limit) => {
        const coldest = coldestPanelC(wetting, limit);
        expect(startC({ ...wetting, panelReadingC: coldest })).toBeCloseTo(limit, 6);
        const frozen = { ...wetting, panelReadingC: -8 };
        expect(startC({ ...frozen, liquidC: leastLiquidC(frozen, limit) })).toBeCloseTo(limit, 6);
      }),
    );
  });
});
