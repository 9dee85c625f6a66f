import fc from 'fast-check';
import { expect, it } from 'vitest';
import fixture from '../testing/fixtures/physics.json';
import { settlingMs } from './settling';

it.each(fixture.settling)('$diameterUm µm at $waterC °C', ({ diameterUm, waterC, settlingMs: expected }) => {
  expect(Math.abs(settlingMs(diameterUm, waterC) / expected - 1)).toBeLessThan(0.01);
});

it('is faster for larger grains and warmer water', () => {
  const grain = fc.double({ min: 2, max: 400, noNaN: true });
  const temperature = fc.double({ min: 1, max: 60, noNaN: true });
  fc.assert(
    fc.property(grain, temperature, (um, c) => {
      expect(settlingMs(um * 1.1, c)).toBeGreaterThan(settlingMs(um, c));
      expect(settlingMs(um, c + 5)).toBeGreaterThan(settlingMs(um, c));
    }),
  );
});
