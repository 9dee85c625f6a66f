import { type UsageAccount, usageAccount } from '../execution';
import type { Job } from '../model';
import { planJob } from '../planning';
import { type ApproachEffect, approachEffectsOf } from './approach-matters';
import { type BucketSpread, bucketSpread } from './bucket-comparison';
import { type HoursOfDay, hoursOfDay } from './hours-of-day';
import { type NextVisit, nextVisitOf } from './next-visit';
import { type PackingList, packingListOf } from './packing-list';
import type { Study } from './study';
import { type TradeOff, tradeOffsOf } from './trade-offs';
import { type WhatIf, helpOf, whatIf } from './what-if';
import { type Ordering, workOrdersOf } from './work-orders';

/** Long questions and what each is answered with. */
export interface Studies {
  readonly 'what-if': readonly WhatIf[];
  /** For parts that are left out. */
  readonly help: readonly WhatIf[];
  readonly 'approach-effects': readonly ApproachEffect[];
  readonly 'trade-offs': readonly TradeOff[];
  readonly 'hours-of-day': HoursOfDay;
  readonly 'next-visit': NextVisit;
  readonly 'work-orders': readonly Ordering[];
  readonly 'usage-account': UsageAccount | null;
  readonly 'packing-list': PackingList;
  readonly 'bucket-comparison': readonly BucketSpread[];
}
export type StudyKind = keyof Studies;

/** It may have to plan a run again from each change of plan. */
function* usageAccountOf(job: Job): Study<UsageAccount | null> {
  yield 0;
  return usageAccount(job);
}

/** How each is worked out, wherever it is asked. */
export const studies: { readonly [K in StudyKind]: (job: Job) => Study<Studies[K]> } = {
  'what-if': (job) => whatIf(job, planJob(job)),
  help: (job) => helpOf(job, planJob(job)),
  'approach-effects': approachEffectsOf,
  'trade-offs': tradeOffsOf,
  'hours-of-day': hoursOfDay,
  'next-visit': (job) => nextVisitOf(job),
  'work-orders': workOrdersOf,
  'usage-account': usageAccountOf,
  'packing-list': (job) => packingListOf(job, planJob(job)),
  'bucket-comparison': (job) => bucketSpread(job, planJob(job)),
};
