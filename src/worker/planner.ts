import { type Job, planJob, whatIf } from '@esmero/core';
import type { Answer, Planner, WhatIfAnswer } from './protocol';

const failed = (error: unknown) => ({
  kind: 'failed' as const,
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
  whatIf(job: Job): WhatIfAnswer {
    try {
      return { kind: 'what-if', answers: whatIf(job, planJob(job)) };
    } catch (error) {
      return failed(error);
    }
  },
};
