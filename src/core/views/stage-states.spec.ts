import { describe, expect, it } from 'vitest';
import type { Job } from '../model';
import { planJob } from '../planning/plan-job';
import { sampleJob, soilAll } from '../testing/sample';
import { zonesOf } from '../vehicle';
import { stageStates } from './stage-states';

const statesOf = (job: Job) =>
  stageStates(
    job,
    planJob(job),
    zonesOf(job.vehicle).map(({ id }) => id),
  );
const run = { startedAt: 1, endedAt: null, events: [], counts: [], punch: [] };

describe('states of the stages', () => {
  it('a car nobody has looked at is not begun; one that is looked at in part asks for the rest', () => {
    expect(statesOf(sampleJob({ soil: {} }))['walk-round']).toBe('open');
    const { roof } = soilAll('dust', 1);
    expect(statesOf(sampleJob({ soil: { roof: roof! } }))['walk-round']).toBe('attention');
    expect(statesOf(sampleJob({ soil: soilAll('dust', 1) }))['walk-round']).toBe('done');
  });

  it('a refusal asks to be read, and leaves nothing to mix, count or order', () => {
    const states = statesOf(sampleJob({ soil: soilAll('mud', 5) }));
    expect(states.method).toBe('attention');
    expect([states.mix, states.towels, states.order]).toEqual(['open', 'open', 'open']);
  });

  it('a pile that is too small asks for towels', () => {
    const job = sampleJob();
    const plan = planJob(job);
    const short = { ...plan, towels: plan.towels.map((towel, i) => ({ ...towel, missing: i === 0 })) };
    expect(stageStates(job, short, []).towels).toBe('attention');
    expect(statesOf(job).towels).toBe('done');
  });

  it('a run asks until it has ended, and the handover until nothing is left over', () => {
    expect(statesOf(sampleJob()).run).toBe('open');
    expect(statesOf(sampleJob({ run })).run).toBe('attention');
    const ended = { ...run, endedAt: 2 };
    expect(statesOf(sampleJob({ run: ended })).handover).toBe('done');
    const left = { ...ended, punch: [{ id: 'p', text: 'tyres', zone: null, done: false }] };
    expect(statesOf(sampleJob({ run: left })).handover).toBe('attention');
  });
});
