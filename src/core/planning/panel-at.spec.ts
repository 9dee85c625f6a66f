import { expect, it } from 'vitest';
import { sampleJob, sampleSite } from '../testing/sample';
import { panelAt } from '.';

it('heats no roof at night, whatever sun was typed', () => {
  const at = (hour: number): number =>
    panelAt(sampleJob({ hour, site: { ...sampleSite, shade: false, sunWm2: 850, panelC: null } }), 'roof')!;
  expect(at(23)).toBeLessThan(sampleSite.airC + 1);
  expect(at(12)).toBeGreaterThan(sampleSite.airC + 10);
});
