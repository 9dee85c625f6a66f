import { createActionGroup, createFeature, createReducer, on, props } from '@ngrx/store';
import type { Plan } from '@esmero/core';
import { deskActions } from './desk';

export interface PlanState {
  readonly plan: Plan | null;
  /** The plan before the last change, to say what the change did. */
  readonly before: Plan | null;
  readonly cause: string;
  readonly pending: boolean;
  readonly failure: string | null;
}

export const planActions = createActionGroup({
  source: 'Plan',
  events: {
    Planned: props<{ plan: Plan; cause: string }>(),
    Failed: props<{ message: string }>(),
  },
});

const initial: PlanState = { plan: null, before: null, cause: '', pending: false, failure: null };

export const planFeature = createFeature({
  name: 'plan',
  reducer: createReducer(
    initial,
    on(deskActions.open, (): PlanState => ({ ...initial, pending: true })),
    on(deskActions.edited, deskActions.undo, deskActions.redo, (state): PlanState => ({
      ...state,
      pending: true,
    })),
    on(planActions.planned, (state, { plan, cause }): PlanState => ({
      plan,
      before: state.plan,
      cause,
      pending: false,
      failure: null,
    })),
    on(planActions.failed, (state, { message }): PlanState => ({
      ...state,
      pending: false,
      failure: message,
    })),
  ),
});
