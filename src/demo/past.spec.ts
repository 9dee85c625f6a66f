import { describe, expect, it } from 'vitest';
import { isUseful, learn, logOf } from '@esmero/core';
import { usedIn } from '@esmero/model';
import { daysBetween } from '@esmero/units';
import { demoJobs, demoOn, pastRuns } from '.';

const TODAY = '2034-11-27';
const runs = [...pastRuns(TODAY)];

describe('the demo on the day of the first start', () => {
  it('has work for today and the next days, and nothing that is a year away', () => {
    const days = demoOn(TODAY).jobs.map(({ date }) => daysBetween(TODAY, date));
    expect(days.filter((day) => day === 0).length).toBeGreaterThan(0);
    expect(Math.min(...days)).toBe(0);
    expect(Math.max(...days)).toBeLessThan(366);
    expect(days.filter((day) => day <= 8).length).toBeGreaterThanOrEqual(5);
  });

  it('keeps frost and noon sun to their season', () => {
    const on = Object.fromEntries(demoOn(TODAY).jobs.map(({ id, date }) => [id, date]));
    expect(on).toMatchObject({ 'demo-frost': '2035-01-19', 'demo-noon': '2035-09-03' });
    expect(demoOn('2034-01-19').jobs.find(({ id }) => id === 'demo-frost')!.date).toBe('2034-01-19');
  });

  it('has stock that was used last yesterday', () => {
    const { movements } = demoOn(TODAY);
    const at = (day: string): number => Date.parse(`${day}T00:00:00Z`);
    expect(Math.max(...movements.map((one) => one.at))).toBeLessThan(at(TODAY));
    expect(Math.max(...movements.map((one) => one.at))).toBeGreaterThanOrEqual(at('2034-11-26'));
  });
});

describe('the past of the demo', () => {
  it('is some months of runs that are over, each counted and all of it done', () => {
    expect(logOf(runs).length).toBe(runs.length);
    expect(runs.length).toBeGreaterThanOrEqual(15);
    const ago = runs.map(({ date }) => daysBetween(date, TODAY));
    expect(Math.max(...ago)).toBeGreaterThan(60);
    expect(Math.min(...ago)).toBeGreaterThan(0);
    for (const { run } of runs) expect(usedIn(run!)!.doneShare).toBeCloseTo(1, 6);
  });

  it('is the same for everybody, and has its own days', () => {
    const short = ({ id, run }: (typeof runs)[number]): string => `${id}: ${run!.endedAt}`;
    expect([...pastRuns(TODAY)].map(short)).toEqual(runs.map(short));
    expect(new Set(runs.map(({ id }) => id)).size).toBe(runs.length);
    expect(runs.some(({ id }) => demoJobs.some((job) => job.id === id))).toBe(false);
  });

  it('teaches that these hands are slower than planned and pour more', () => {
    const learned = learn(runs).filter(isUseful);
    const factor = (lesson: string): number => learned.find((one) => one.lesson === lesson)!.factor;
    expect(factor('minutes')).toBeGreaterThan(1.03);
    expect(factor('ml.wash')).toBeGreaterThan(1.03);
  });
});
