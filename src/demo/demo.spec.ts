import { describe, expect, it } from 'vitest';
import { eyeCurve, planJob, triesOf } from '@esmero/core';
import type { PracticeSession } from '@esmero/model';
import { demo, demoJobs, demoOn } from '.';

describe('the demo', () => {
  it('has enough of everything', () => {
    const count = (kind: string): number => demo.library.filter((entry) => entry.kind === kind).length;
    expect(count('vehicle')).toBeGreaterThanOrEqual(4);
    expect(count('site')).toBeGreaterThanOrEqual(5);
    expect(demoJobs.length).toBeGreaterThanOrEqual(6);
  });

  it('leads to every method, one of them a refusal', () => {
    const methods = new Set(demoJobs.map((job) => planJob(job).method));
    expect(methods).toEqual(new Set(['waterless', 'rinseless', 'shampoo', 'hybrid', 'decline']));
  });

  it('has somebody new whose eye gets better with practice, a little low as it is', () => {
    const sessions = demoOn('2031-07-14').library.flatMap((entry): PracticeSession[] =>
      entry.kind === 'practice' ? [entry.item] : [],
    );
    const tries = triesOf(sessions, 'The new helper', 'panels');
    const right = (from: number): number => tries.slice(from, from + 14).filter(({ isRight }) => isRight).length;
    expect(right(28)).toBeGreaterThan(right(0));
    expect(eyeCurve(tries).factor).toBeGreaterThan(1);
    expect(tries.at(-1)!.at).toBeLessThan(Date.UTC(2031, 6, 14));
  });

  it('washes the dusty estate on the deck with ten towels and no runoff', () => {
    const plan = planJob(demoJobs[0]!);
    expect(demoJobs[0]!.towels.reduce((sum, { clean }) => sum + clean, 0)).toBe(10);
    expect(plan.totals.runoffL.value).toBe(0);
    expect(plan.totals.litres.value).toBeLessThanOrEqual(12);
    expect(plan.towels.some(({ missing }) => missing)).toBe(false);
  });
});
