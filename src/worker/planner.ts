import { type Job, planJob } from '@esmero/core';
import type { Answer, Planner } from './protocol';

const failed = (error: unknown): Answer => ({
  kind: 'failed',
  message: error instanceof Error ? error.message : String(error),
});

/** The planner as the worker runs it: the core, with errors turned into data. */
export const planner: Planner = {
  plan(job: Job): Answer {
    try {
      return { kind: 'plan', plan: planJob(job) };
    } catch (error) {
      return failed(error);
    }
  },
};
