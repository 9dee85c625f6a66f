import { describe, expect, it } from 'vitest';
import { endRun, noteUse, startRun } from '../edit';
import type { Job, RunUse, Site } from '../model';
import { sampleJob, sampleSite } from '../testing/sample';
import { waterOfYear } from './year';

const used = (waterL: number | null, runoffL: number | null): RunUse => ({
  at: 0,
  because: '',
  method: 'rinseless',
  doneShare: 1,
  plannedMin: 30,
  paces: [],
  soil: null,
  waterL,
  runoffL,
  mixes: [],
  towels: [],
});
const washed = (day: string, use: RunUse | null, runoff: Site['runoff'] = 'allowed'): Job => {
  const at = Date.parse(`${day}T12:00:00Z`);
  const ended = endRun(startRun({ ...sampleJob({ site: { ...sampleSite, runoff } }), id: day }, at), at + 60_000);
  return use ? noteUse(ended, use) : ended;
};

describe('the water of a year', () => {
  const jobs = [
    washed('2031-01-05', used(12, 4)),
    washed('2031-01-20', used(20, 9), 'captured'),
    washed('2031-07-02', used(8, null)),
    washed('2031-07-03', null),
    washed('2030-12-31', used(99, 99)),
    sampleJob(),
  ];

  it('is counted month by month, with what was caught apart from what ran off', () => {
    const months = waterOfYear(jobs, 2031);
    expect(months).toHaveLength(12);
    expect(months[0]).toEqual({ month: '2031-01', washes: 2, counted: 2, waterL: 32, runoffL: 4, caughtL: 9 });
    expect(months[6]).toEqual({ month: '2031-07', washes: 2, counted: 1, waterL: 8, runoffL: 0, caughtL: 0 });
    expect(months.reduce((sum, { washes }) => sum + washes, 0)).toBe(4);
  });
});
