import type { About, Plan, Studies, StudyKind } from '@esmero/core';
import type { Job, VehicleMethod } from '@esmero/model';
import type { Day } from '@esmero/units';

/** What crosses to the planner and back is plain data; a thrown error comes back as a failure. */
export type Answer =
  { readonly kind: 'plan'; readonly plan: Plan } | { readonly kind: 'failed'; readonly message: string };

/** What a list says of a plan; null where there could not be one. */
export type PlanBrief = { readonly method: VehicleMethod; readonly minutes: number } | null;

export type StudyAnswer<K extends StudyKind> =
  | { readonly kind: 'done'; readonly answer: Studies[K] }
  /** Called off, or overtaken by the same question about something else. */
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed'; readonly message: string };

/** Told now and then which share of a study is done, 0 to 1. */
export type Progress = (share: number) => void;

export interface Planner {
  plan(job: Job): Answer;
  brief(job: Job): PlanBrief;
  /** Works in slices, so that plans and calls to stop get through in between. */
  study<K extends StudyKind>(kind: K, about: About<K>, progress: Progress): Promise<StudyAnswer<K>>;
  stop(kind: StudyKind): void;
  /** Runs that the demo had before its first start. */
  past(today: Day): Promise<readonly Job[]>;
}
