import { TestBed } from '@angular/core/testing';
import { Store as State } from '@ngrx/store';
import { endRun, noteEvents, noteUse, planJob, startRun, tasksOf, ticksOf, usageAccount, useOf } from '@esmero/core';
import { demoJobs } from '@esmero/demo';
import type { Job } from '@esmero/model';
import { STORE } from '../state/ports';
import { collectionActions } from '../state/collection';

/** When runs of tests begin, ms of the epoch. */
export const START = 1_900_000_000_000;

/** A demo job that was run, and took so many times the planned minutes. */
function over(job: Job, times: number, day: number): Job {
  const plan = planJob(job);
  const begun = startRun(job, START + day);
  const done = tasksOf(plan).reduce((so, task) => noteEvents(so, ticksOf(plan, task, START + day)), begun);
  const ended = endRun(done, START + day + plan.totals.minutes.value * times * 60_000);
  const account = usageAccount(ended)!;
  return { ...noteUse(ended, useOf(account, account.expected, START + day)), id: `over-${day}` };
}

/** Three runs that took half as long again as planned. */
export const slowRuns = [over(demoJobs[0]!, 1.5, 1), over(demoJobs[1]!, 1.5, 2), over(demoJobs[4]!, 1.5, 3)];

/** Lays runs into the store and fetches what is there. */
export async function keep(jobs: readonly Job[]): Promise<void> {
  await (await TestBed.inject(STORE)).merge({ library: [], movements: [], photos: [], jobs });
  TestBed.inject(State).dispatch(collectionActions.load());
}
