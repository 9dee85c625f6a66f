import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import type { Job } from '@esmero/core';
import type { KeepFault, StoredJob } from '@esmero/store';

/** How the job on the desk stands to what is kept. */
export type Saving =
  | { readonly kind: 'clean' }
  | { readonly kind: 'dirty' }
  | { readonly kind: 'conflict'; readonly theirs: StoredJob }
  | KeepFault;

export interface DeskState {
  readonly job: Job | null;
  /** Revision in the store that this job was made from. */
  readonly revision: number;
  readonly past: readonly Job[];
  readonly future: readonly Job[];
  /** Changes of one stroke of the brush are one step back. */
  readonly stroke: string | null;
  /** What was done last, in words; stands beside the totals that it changed. */
  readonly cause: string;
  readonly opening: 'nothing' | 'loading' | 'open' | 'missing';
  readonly saving: Saving;
}

export const deskActions = createActionGroup({
  source: 'Desk',
  events: {
    Open: props<{ id: string }>(),
    Opened: props<{ stored: StoredJob }>(),
    Missing: emptyProps(),
    Edited: props<{ job: Job; cause: string; stroke: string | null }>(),
    Undo: emptyProps(),
    Redo: emptyProps(),
    Flush: emptyProps(),
    Saved: props<{ job: Job; revision: number }>(),
    'Save Refused': props<{ fault: KeepFault }>(),
    'Conflict Found': props<{ theirs: StoredJob }>(),
    'Keep Mine': emptyProps(),
    'Keep Both': props<{ id: string }>(),
    'Take Theirs': emptyProps(),
    'Retry Save': emptyProps(),
    'Saved Elsewhere': props<{ id: string; revision: number }>(),
  },
});

const initial: DeskState = {
  job: null,
  revision: 0,
  past: [],
  future: [],
  stroke: null,
  cause: '',
  opening: 'nothing',
  saving: { kind: 'clean' },
};

/** Steps that can be taken back. */
const STEPS_BACK = 200;

const fresh = (stored: StoredJob): DeskState => ({
  ...initial,
  job: stored.job,
  revision: stored.revision,
  opening: 'open',
});

/** A conflict is settled by its own buttons; a fault of the disk by the next save that works. */
const dirtied = (saving: Saving): Saving => (saving.kind === 'conflict' ? saving : { kind: 'dirty' });

export const deskFeature = createFeature({
  name: 'desk',
  reducer: createReducer(
    initial,
    on(deskActions.open, (): DeskState => ({ ...initial, opening: 'loading' })),
    on(deskActions.opened, (_state, { stored }): DeskState => fresh(stored)),
    on(deskActions.missing, (): DeskState => ({ ...initial, opening: 'missing' })),
    on(deskActions.edited, (state, { job, cause, stroke }): DeskState => {
      if (!state.job || job === state.job) return state;
      const goesOn = stroke !== null && stroke === state.stroke;
      return {
        ...state,
        job,
        cause,
        stroke,
        past: goesOn ? state.past : [...state.past, state.job].slice(-STEPS_BACK),
        future: [],
        saving: dirtied(state.saving),
      };
    }),
    on(deskActions.undo, (state): DeskState => {
      const job = state.past.at(-1);
      if (!job || !state.job) return state;
      return {
        ...state,
        job,
        past: state.past.slice(0, -1),
        future: [state.job, ...state.future],
        stroke: null,
        cause: 'Undone',
        saving: dirtied(state.saving),
      };
    }),
    on(deskActions.redo, (state): DeskState => {
      const [job, ...future] = state.future;
      if (!job || !state.job) return state;
      return {
        ...state,
        job,
        past: [...state.past, state.job],
        future,
        stroke: null,
        cause: 'Done again',
        saving: dirtied(state.saving),
      };
    }),
    on(deskActions.saved, (state, { job, revision }): DeskState => {
      if (state.job?.id !== job.id) return state;
      return { ...state, revision, saving: state.job === job ? { kind: 'clean' } : { kind: 'dirty' } };
    }),
    on(deskActions.saveRefused, (state, { fault }): DeskState => ({ ...state, saving: fault })),
    on(deskActions.conflictFound, (state, { theirs }): DeskState => ({
      ...state,
      saving: { kind: 'conflict', theirs },
    })),
    on(deskActions.takeTheirs, (state): DeskState =>
      state.saving.kind === 'conflict' ? fresh(state.saving.theirs) : state,
    ),
    on(deskActions.keepMine, (state): DeskState =>
      state.saving.kind === 'conflict'
        ? { ...state, revision: state.saving.theirs.revision, saving: { kind: 'dirty' } }
        : state,
    ),
    on(deskActions.keepBoth, (state, { id }): DeskState =>
      state.job
        ? {
            ...state,
            job: { ...state.job, id, name: `${state.job.name} (my copy)`.slice(0, 160) },
            revision: 0,
            saving: { kind: 'dirty' },
          }
        : state,
    ),
  ),
  extraSelectors: ({ selectPast, selectFuture }) => ({
    selectCanUndo: createSelector(selectPast, (past) => past.length > 0),
    selectCanRedo: createSelector(selectFuture, (future) => future.length > 0),
  }),
});
