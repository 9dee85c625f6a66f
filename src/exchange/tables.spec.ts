import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { planJob } from '@esmero/core';
import { demoJobs } from '@esmero/demo';
import { mixesCsv, stepsCsv, towelsCsv } from './tables';

const rowsOf = (csv: string): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(csv, { header: true }).data;
const sum = (rows: Record<string, string>[], field: string): number =>
  rows.reduce((total, row) => total + Number(row[field]), 0);

describe('tables', () => {
  const plan = planJob(demoJobs[0]!);

  it('hold every filling, side and step of the plan', () => {
    const mixes = rowsOf(mixesCsv(plan));
    expect(sum(mixes, 'measured_ml')).toBeCloseTo(plan.totals.productMl.value, 1);
    expect(sum(mixes, 'water_ml') / 1000).toBeCloseTo(plan.totals.litres.value, 2);
    expect(rowsOf(stepsCsv(plan))).toHaveLength(plan.timeline.steps.length);
    const entries = plan.towels.flatMap(({ sides }) => sides.flatMap((side) => side.entries));
    expect(rowsOf(towelsCsv(plan))).toHaveLength(entries.length);
  });

  it('keep a name from acting as a formula', () => {
    const job = { ...demoJobs[0]!, vessels: demoJobs[0]!.vessels.map((v) => ({ ...v, name: '=1+1' })) };
    expect(mixesCsv(planJob(job))).not.toMatch(/(^|,)=1/m);
  });
});
