import { type About, type StudyKind, planRun, studies } from '@esmero/core';
import { pastRuns } from '@esmero/demo';
import type { Job } from '@esmero/model';
import type { Day } from '@esmero/units';
import type { Answer, PlanBrief, Planner, Progress, StudyAnswer } from './protocol';

const failed = (error: unknown) => ({
  kind: 'failed' as const,
  message: error instanceof Error ? error.message : String(error),
});

/** Longest that a study works before it lets other messages in, ms. */
const SLICE_MS = 30;

const nextTask = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/** The newest asking of each kind; an older one stops when it is no longer that. */
const newest = new Map<StudyKind, symbol>();

async function work<K extends StudyKind>(kind: K, about: About<K>, progress: Progress): Promise<StudyAnswer<K>> {
  const mine = Symbol(kind);
  newest.set(kind, mine);
  const study = studies[kind](about);
  let since = performance.now();
  for (;;) {
    const { done, value } = study.next();
    if (done) return { kind: 'done', answer: value };
    if (performance.now() - since < SLICE_MS) continue;
    progress(value);
    await nextTask();
    if (newest.get(kind) !== mine) return { kind: 'stopped' };
    since = performance.now();
  }
}

/** The demo’s past, run by run; what else is asked meanwhile comes in between. */
async function past(today: Day): Promise<readonly Job[]> {
  const runs: Job[] = [];
  for (const run of pastRuns(today)) {
    runs.push(run);
    await nextTask();
  }
  return runs;
}

/** The planner as the worker runs it: the core, with errors turned into data. */
export const planner: Planner = {
  plan(job: Job): Answer {
    try {
      return { kind: 'plan', plan: planRun(job) };
    } catch (error) {
      return failed(error);
    }
  },
  brief(job: Job): PlanBrief {
    try {
      const { method, totals } = planRun(job);
      return { method, minutes: totals.minutes.value };
    } catch {
      return null;
    }
  },
  study: (kind, about, progress) => work(kind, about, progress).catch(failed),
  stop: (kind) => void newest.delete(kind),
  past,
};
