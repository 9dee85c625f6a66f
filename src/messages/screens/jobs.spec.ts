import { describe, expect, it } from 'vitest';
import { dueText } from './jobs';

describe('when a job is due', () => {
  it.each([
    ['2031-07-14', 'today'],
    ['2031-07-15', 'tomorrow'],
    ['2031-07-20', 'in 6 days'],
    ['2031-07-13', '1 day late'],
    ['2031-07-10', '4 days late'],
    ['2031-12-24', ''],
    ['2030-07-14', ''],
  ])('%s is said as "%s"', (day, said) => {
    expect(dueText(day, '2031-07-14')).toBe(said);
  });
});
