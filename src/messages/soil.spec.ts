import { describe, expect, it } from 'vitest';
import type { BugPlan } from '@esmero/core';
import { bugSentence } from './soil';
import { unitsOf } from './units';

const u = unitsOf('metric');
const bugs: BugPlan = {
  cover: 'covered',
  purpose: 'bugs',
  rounds: 2,
  ml: 27.5,
  seconds: 6,
  dwellS: 120,
  soilGm2: 5,
  brush: true,
  rinses: false,
  left: null,
  mostC: 32,
};

describe('what is done about bugs', () => {
  it('says how much, how often and how, by the rounds', () => {
    expect(bugSentence(bugs, u)).toBe(
      '27.5 mL of bug remover, in two goes of 60 s, the second where bugs are still on. Lift, do not rub. A soft wet brush helps.',
    );
    expect(bugSentence({ ...bugs, rounds: 1, dwellS: 60, brush: false }, u)).toContain(
      '60 s to soften; keep as much for a second go. Lift',
    );
  });

  it('says first what to do where it cannot be done, and never speaks of a solvent', () => {
    expect(bugSentence({ ...bugs, left: 'too-warm' }, u)).toMatch(/^Shade it and let it cool to 32 °C first/);
    expect(bugSentence({ ...bugs, left: 'in-sun' }, u)).toMatch(/^Bring the front into the shade first/);
    for (const left of ['too-warm', 'in-sun', 'surface', 'finish'] as const)
      expect(bugSentence({ ...bugs, left }, u)).not.toContain('solvent');
  });
});
