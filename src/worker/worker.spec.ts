import { describe, expect, it, vi } from 'vitest';
import { finish, planJob, whatIf } from '@esmero/core';
import type { Job } from '@esmero/model';
import { demoJobs } from '@esmero/demo';
import { LatestOnly, PATIENCE_MS } from './client';
import { planner } from './planner';
import type { Answer } from './protocol';

const [first, second, third] = demoJobs as readonly [Job, Job, Job];

/** A planner that answers when it is told to. */
function slow() {
  const waiting: (() => void)[] = [];
  const asked: string[] = [];
  const ask = (job: Job): Promise<Answer> => {
    asked.push(job.id);
    return new Promise((resolve) => waiting.push(() => resolve({ kind: 'plan', plan: planJob(job) })));
  };
  const next = async (): Promise<void> => {
    waiting.shift()!();
    await new Promise((resolve) => setTimeout(resolve, 0));
  };
  let stopped = 0;
  return { client: new LatestOnly(ask, () => stopped++), asked, next, stopped: () => stopped };
}

describe('the planner in the worker', () => {
  it('plans with the very core, in plain data that survives the crossing', () => {
    const answer = structuredClone(planner.plan(first));
    expect(answer).toEqual({ kind: 'plan', plan: planJob(first) });
  });

  it('works long questions out in slices, says how far it is, and turns errors into data', async () => {
    const shares: number[] = [];
    const found = await planner.study('what-if', first, (share) => shares.push(share));
    expect(found).toEqual({ kind: 'done', answer: finish(whatIf(first, planJob(first))) });
    expect(shares).toEqual([...shares].sort((p, q) => p - q));
    expect((await planner.study('hours-of-day', { ...first, vehicle: null as never }, () => undefined)).kind).toBe(
      'failed',
    );
  });

  it('stops a study that is called off or asked anew', async () => {
    const nothing = (): void => undefined;
    const off = planner.study('approach-effects', first, () => planner.stop('approach-effects'));
    expect((await off).kind).toBe('stopped');
    const [early, late] = [
      planner.study('approach-effects', first, nothing),
      planner.study('approach-effects', second, nothing),
    ];
    expect((await early).kind).toBe('stopped');
    expect((await late).kind).toBe('done');
  });

  it('turns what is thrown into data', () => {
    const answer = planner.plan({ ...first, vehicle: null as never });
    expect(answer.kind).toBe('failed');
  });
});

describe('asking for the latest only', () => {
  it('answers a single question', async () => {
    const { client, next } = slow();
    const answer = client.plan(first);
    await new Promise((resolve) => setTimeout(resolve, 0));
    await next();
    expect((await answer).kind).toBe('plan');
  });

  it('never asks what has been overtaken, and drops an answer that comes too late', async () => {
    const { client, asked, next } = slow();
    const answers = [client.plan(first), client.plan(second), client.plan(third)];
    await new Promise((resolve) => setTimeout(resolve, 0));
    // The first had not been sent when the third overtook it: only the third is asked.
    expect(asked).toEqual([third.id]);
    await next();
    const kinds = (await Promise.all(answers)).map(({ kind }) => kind);
    expect(kinds).toEqual(['stale', 'stale', 'plan']);
  });

  it('drops the answer to a question that was overtaken while it was worked on', async () => {
    const { client, asked, next } = slow();
    const early = client.plan(first);
    await new Promise((resolve) => setTimeout(resolve, 0));
    const late = client.plan(second);
    await next();
    expect((await early).kind).toBe('stale');
    await next();
    expect((await late).kind).toBe('plan');
    expect(asked).toEqual([first.id, second.id]);
  });

  it('stops what lets a newer question wait for long, and nothing else', async () => {
    vi.useFakeTimers();
    try {
      const { client, asked, next, stopped } = slow();
      const early = client.plan(first);
      await vi.advanceTimersByTimeAsync(10 * PATIENCE_MS);
      // Nothing waits for it: it may take what it takes.
      expect(stopped()).toBe(0);
      const late = client.plan(second);
      await vi.advanceTimersByTimeAsync(1);
      expect(stopped()).toBe(1);
      expect((await early).kind).toBe('stale');
      expect(asked).toEqual([first.id, second.id]);
      // What comes soon after is given time.
      const last = client.plan(third);
      await vi.advanceTimersByTimeAsync(PATIENCE_MS - 10);
      expect(stopped()).toBe(1);
      void next();
      void next();
      await vi.advanceTimersByTimeAsync(0);
      expect((await late).kind).toBe('stale');
      void next();
      await vi.advanceTimersByTimeAsync(0);
      expect((await last).kind).toBe('plan');
      expect(stopped()).toBe(1);
    } finally {
      vi.useRealTimers();
    }
  });

  it('says so when the planner breaks, and goes on asking afterwards', async () => {
    let broken = true;
    const client = new LatestOnly(
      async (job) => {
        if (broken) throw new Error('worker gone');
        return planner.plan(job);
      },
      () => undefined,
    );
    expect(await client.plan(first)).toEqual({ kind: 'failed', message: 'worker gone' });
    broken = false;
    expect((await client.plan(first)).kind).toBe('plan');
  });
});
