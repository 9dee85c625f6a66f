import { describe, expect, it } from 'vitest';
import { celsius } from '../units';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { planJob } from '../planning/plan-job';
import { runRows } from './run-rows';

const parts = (all: ReturnType<typeof runRows>, zone: string): number =>
  new Set(
    all.flatMap((row) =>
      row.parts.filter(({ zoneId, section }) => zoneId === zone && section > 0).map(({ section }) => section),
    ),
  ).size;

describe('run rows', () => {
  const jobs = [
    sampleJob(),
    sampleJob({ soil: soilAll('mud', 2) }),
    sampleJob({ site: { ...sampleSite, workers: 2 } }),
    sampleJob({ site: { ...sampleSite, airC: celsius(-9), liquidC: celsius(6) } }),
    sampleJob({ choices: { ...sampleJob().choices, glass: 'last' } }),
  ];

  it.each(jobs.map((job, i) => [i, job] as const))(
    'job %i: every zone, pass by pass, with every second of the clock',
    (_i, job) => {
      const plan = planJob(job);
      const rows = runRows(plan);
      const numbered = rows.filter(({ number }) => number !== null);
      expect(numbered.map(({ number }) => number).sort((p, q) => p! - q!)).toEqual(numbered.map((_row, i) => i + 1));
      expect(new Set(numbered.flatMap((row) => row.parts.map(({ zoneId }) => zoneId))).size).toBe(plan.zones.length);
      const spent = rows.flatMap(({ seconds }) => Object.values(seconds)).reduce((sum, s) => sum + s, 0);
      const steps = plan.timeline.steps.reduce((sum, { startS, endS }) => sum + endS - startS, 0);
      expect(spent).toBeCloseTo(steps, 6);
      rows.forEach(({ startS, wipeS, endS }) => {
        expect(wipeS).toBeGreaterThanOrEqual(startS);
        expect(endS).toBeGreaterThan(wipeS);
      });
    },
  );

  it('split a zone into parts that fit its window and are within reach', () => {
    const within = (largestSection: number) =>
      runRows(planJob(sampleJob({ choices: { ...sampleJob().choices, assumptions: { largestSection } } })));
    // A roof is done in halves from either side.
    expect(parts(within(5), 'roof') % 2).toBe(0);
    expect(parts(within(0.3), 'roof')).toBeGreaterThan(parts(within(5), 'roof'));
    expect(parts(within(0.5), 'left-mirror')).toBe(1);
  });

  it('name the towel sides that work on a zone', () => {
    const rows = runRows(planJob(sampleJob()));
    for (const row of rows.filter(({ act }) => act === 'wipe'))
      expect(row.towels.flatMap(({ sides }) => sides).length).toBeGreaterThan(0);
  });
});
