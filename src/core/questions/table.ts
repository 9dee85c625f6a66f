import { type Due, type DueCar, duesOf } from '../clients';
import {
  type DyeAnswer,
  type ProofAnswer,
  type ProofAsked,
  type Raster,
  type SideAnswer,
  type SideAsked,
  type WipeAnswer,
  type WipeAsked,
  dyeStudy,
  halfPanelProof,
  sideMeter,
  wipeTest,
} from '../eye';
import { type UsageAccount, usageAccount } from '../execution';
import type { Job, Lot } from '../model';
import { planJob } from '../planning';
import { type DecisionAsked, type DealCase, type DecisionCase, dealCaseOf, decisionOf } from '../practice';
import {
  type QuoteAnswer,
  type QuoteAsked,
  type Season,
  type SeasonAsked,
  type VisitAccount,
  quoteOf,
  seasonOf,
  visitAccount,
} from '../price';
import {
  type ApproachEffect,
  type BucketSpread,
  type HoursOfDay,
  type NextVisit,
  type Ordering,
  type PackingList,
  type Study,
  type TradeOff,
  type WhatIf,
  approachEffectsOf,
  bucketSpread,
  helpOf,
  hoursOfDay,
  nextVisitOf,
  packingListOf,
  tradeOffsOf,
  whatIf,
  workOrdersOf,
} from '../studies';
import type { DayChances, MendBrief } from '../tour';
import { type DayAnswer, type DayAsked, dayChancesQuestion, dayMendsQuestion, dayQuestion } from './day';
import { type LotBrief, lotQuestion } from './lot';

/** Long questions about a job, and what each is answered with. */
interface JobStudies {
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

/** Of a day. */
interface DayStudies {
  readonly day: DayAnswer;
  readonly 'day-mends': readonly MendBrief[];
  readonly 'day-chances': DayChances;
}

/** Of a lot. */
interface LotStudies {
  readonly lot: LotBrief;
}

/** Of what a visit costs. */
interface PriceStudies {
  readonly quote: QuoteAnswer | null;
  readonly 'visit-account': VisitAccount | null;
}

/** Of a year of one car. */
interface SeasonStudies {
  readonly season: Season;
}

/** Of the cars of clients. */
interface ClientStudies {
  readonly dues: readonly Due[];
}

/** Of a picture. */
interface PictureStudies {
  readonly 'wipe-test': WipeAnswer;
  readonly 'side-meter': SideAnswer;
  readonly dye: DyeAnswer;
}

interface PictureAsked {
  readonly 'wipe-test': WipeAsked;
  readonly 'side-meter': SideAsked;
  readonly dye: null;
}

/** A picture, and what it cannot tell itself. */
export interface OfPicture<K extends keyof PictureAsked> {
  readonly picture: Raster;
  readonly asked: PictureAsked[K];
}

/** Of practice. */
interface PracticeStudies {
  readonly decision: DecisionCase;
  readonly dealing: DealCase;
}

/** Of two pictures of a panel. */
interface ProofStudies {
  readonly proof: ProofAnswer;
}

export type Studies = JobStudies &
  PracticeStudies &
  ProofStudies &
  PictureStudies &
  DayStudies &
  LotStudies &
  PriceStudies &
  SeasonStudies &
  ClientStudies;
export type StudyKind = keyof Studies;

/** What a question is about. */
export type About<K extends StudyKind> = K extends keyof DayStudies
  ? DayAsked
  : K extends keyof LotStudies
    ? Lot
    : K extends keyof PriceStudies
      ? QuoteAsked
      : K extends keyof SeasonStudies
        ? SeasonAsked
        : K extends keyof ClientStudies
          ? readonly DueCar[]
          : K extends keyof PictureStudies
            ? OfPicture<K>
            : K extends keyof PracticeStudies
              ? K extends 'decision'
                ? DecisionAsked
                : Omit<DecisionAsked, 'card'>
              : K extends keyof ProofStudies
                ? ProofAsked
                : Job;

/** It may have to plan a run again from each change of plan. */
function* usageAccountOf(job: Job): Study<UsageAccount | null> {
  yield 0;
  return usageAccount(job);
}

/** How each is worked out, wherever it is asked. */
export const studies: { readonly [K in StudyKind]: (about: About<K>) => Study<Studies[K]> } = {
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
  day: dayQuestion,
  'day-mends': dayMendsQuestion,
  'day-chances': dayChancesQuestion,
  lot: lotQuestion,
  quote: quoteOf,
  'visit-account': visitAccount,
  season: seasonOf,
  dues: duesOf,
  'wipe-test': ({ picture, asked }) => wipeTest(picture, asked),
  'side-meter': ({ picture, asked }) => sideMeter(picture, asked),
  decision: decisionOf,
  dealing: dealCaseOf,
  proof: halfPanelProof,
  dye: ({ picture }) => dyeStudy(picture),
};
