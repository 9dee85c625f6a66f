import { describe, expect, it } from 'vitest';
import { celsius } from '../units';
import { sampleJob, sampleSite, soilAll } from '../testing/sample';
import { planJob } from '../planning/plan-job';
import { runRows } from './run-rows';

const sections = (all: ReturnType<typeof runRows>, zoneId: string): number =>
  all.find((row) => row.zoneId === zoneId)!.sections;

describe('run rows', () => {
  const jobs = [
    sampleJob(),
    sampleJob({ soil: soilAll('mud', 2) }),
    sampleJob({ site: { ...sampleSite, workers: 2 } }),
    sampleJob({ site: { ...sampleSite, airC: celsius(-9), liquidC: celsius(6) } }),
    sampleJob({ choices: { ...sampleJob().choices, glass: 'last' } }),
  ];

  it.each(jobs.map((job, i) => [i, job] as const))('job %i: every zone once, numbered, with every second of the clock', (_i, job) => {
    const plan = planJob(job);
    const rows = runRows(plan);
    const numbered = rows.filter(({ number }) => number !== null);
    expect(numbered.map(({ number }) => number)).toEqual(numbered.map((_row, i) => i + 1));
    expect(new Set(numbered.map(({ zoneId }) => zoneId)).size).toBe(plan.zones.length);
    const spent = rows.flatMap(({ seconds }) => Object.values(seconds)).reduce((sum, s) => sum + s, 0);
    const steps = plan.timeline.steps.reduce((sum, { startS, endS }) => sum + endS - startS, 0);
    expect(spent).toBeCloseTo(steps, 6);
    rows.forEach(({ startS, wipeS, endS }) => {
      expect(wipeS).toBeGreaterThanOrEqual(startS);
      expect(endS).toBeGreaterThan(wipeS);
    });
  });

  it('split a zone into sections that fit its window', () => {
    const within = (largestSection: number) =>
      runRows(planJob(sampleJob({ choices: { ...sampleJob().choices, assumptions: { largestSection } } })));
    expect(sections(within(5), 'roof')).toBe(1);
    expect(sections(within(0.5), 'roof')).toBeGreaterThanOrEqual(2);
    expect(sections(within(0.5), 'left-mirror')).toBe(1);
  });

  it('name the towel sides that work on a zone', () => {
    const rows = runRows(planJob(sampleJob()));
    for (const row of rows.filter(({ number }) => number !== null)) expect(row.sides.length).toBeGreaterThan(0);
  });
});
