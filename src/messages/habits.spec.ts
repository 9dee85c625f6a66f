import { defaultHabits, habitAnswers, habitKeys } from '@esmero/model';
import { describe, expect, it } from 'vitest';
import { habitAnswer, habitWords, hourText } from '.';

describe('words for habits', () => {
  it('ask every question and name every answer, each differently', () => {
    expect([...habitKeys].sort()).toEqual(Object.keys(defaultHabits).sort());
    for (const key of habitKeys) {
      const names = habitAnswers[key].map((answer) => habitAnswer(key, answer as never));
      expect(new Set(names).size).toBe(habitAnswers[key].length);
      expect(Object.keys(habitWords[key].answers)).toHaveLength(habitAnswers[key].length);
      for (const name of names) expect(name).toMatch(/\w{2}/);
    }
  });

  it('tell hours by the clock', () => {
    expect([9.5, 0, 13.25, 24].map(hourText)).toEqual(['09:30', '00:00', '13:15', '24:00']);
  });
});
