import { describe, expect, it } from 'vitest';
import type { Job } from '../model';
import { sampleJob } from '../testing/sample';
import { mayBecome, setAside } from './towels';

const cleanOf = ({ towels }: Job) => towels.map(({ id, role, clean }) => [id, role, clean]);
const all = ({ towels }: Job): number => towels.reduce((sum, { clean }) => sum + clean, 0);

describe('setting a towel aside', () => {
  const job = sampleJob();
  const finish = job.towels.find(({ role }) => role === 'finish')!;

  it('takes it from its batch, and keeps the number of towels', () => {
    const then = setAside(job, finish.id, 'wheels');
    expect(all(then)).toBe(all(job));
    expect(cleanOf(then)).toContainEqual([finish.id, 'finish', finish.clean - 1]);
    expect(cleanOf(then)).toContainEqual([`${finish.id}-wheels`, 'wheels', 1]);
  });

  it('puts a second one of the same make with the first, and one back where it came from', () => {
    const twice = setAside(setAside(job, finish.id, 'glass'), finish.id, 'glass');
    expect(cleanOf(twice)).toContainEqual([`${finish.id}-glass`, 'glass', 2]);
    const back = setAside(twice, `${finish.id}-glass`, 'finish');
    expect(cleanOf(back)).toContainEqual([finish.id, 'finish', finish.clean - 1]);
  });

  it('does nothing where there is none left, or it has been on wheels', () => {
    const none = { ...job, towels: job.towels.map((batch) => ({ ...batch, clean: 0 })) };
    expect(setAside(none, finish.id, 'wheels')).toBe(none);
    expect(mayBecome('wheels', 'finish')).toBe(false);
    const wheels = job.towels.find(({ role }) => role === 'wheels')!;
    expect(setAside(job, wheels.id, 'wash')).toBe(job);
  });
});
