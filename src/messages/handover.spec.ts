import { describe, expect, it } from 'vitest';
import { planJob } from '@esmero/core';
import { demoJobs } from '@esmero/demo';
import { doneSentences, suggestionText, untilText } from './handover';

describe('the handover in words', () => {
  it('says how long a method lasts, surely and perhaps', () => {
    expect(untilText({ early: 11, likely: 23, late: 48 }, 120)).toBe(
      '23 days; 11 days if it gets dirty fast, 48 days if slowly',
    );
    expect(untilText({ early: 120, likely: 120, late: 120 }, 120)).toBe('120 days or more');
    expect(untilText({ early: 0, likely: 0, late: 0 }, 120)).toBe('not suitable');
  });

  it('counts every part of the car once', () => {
    const { zones } = planJob(demoJobs[0]!);
    const lines = doneSentences(zones);
    const counted = lines.map((line) => Number(/: (\d+) panels/.exec(line)?.[1] ?? line.split(/;| and /).length));
    expect(counted.reduce((sum, one) => sum + one, 0)).toBe(zones.length);
  });

  it('names the day, or says that a pre-rinse will be due', () => {
    const visit = {
      furthestDays: 120,
      usual: demoJobs[0]!.since[0]!,
      zones: [],
      car: { waterless: none, rinseless: none },
    };
    expect(suggestionText({ ...visit, suggested: null }, '2031-07-14')).toContain('pre-rinse');
    expect(suggestionText({ ...visit, suggested: { method: 'waterless', days: 18 } }, '2031-07-14')).toContain(
      '1 Aug 2031, 18 days from now',
    );
  });
});

const none = { early: 0, likely: 0, late: 0 };
