import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import type { Job } from '@esmero/model';
import { merged, same } from '@esmero/records';
import type { KeepFault, StoredJob } from '@esmero/store';
import { type Rescue, arrived } from './rescue';

/** How the job on the desk stands to what is kept. */
export type Saving =
  | { readonly kind: 'clean' }
  | { readonly kind: 'dirty' }
  /** Both changed the same fields otherwise, by their paths. */
  | { readonly kind: 'conflict'; readonly theirs: StoredJob; readonly fields: readonly string[] }
  | KeepFault;

export interface DeskState {
  readonly job: Job | null;
  /** The job as it is kept, by what this page last heard; null where it was never kept. */
  readonly kept: Job | null;
  /** Revision of that in the store. */
  readonly revision: number;
  readonly past: readonly Job[];
  readonly future: readonly Job[];
  /** Changes of one stroke of the brush are one step back. */
  readonly stroke: string | null;
  /** What was done last, in words; stands beside the totals that it changed. */
  readonly cause: string;
  readonly opening: 'nothing' | 'loading' | 'open' | 'missing' | 'unreadable';
  readonly saving: Saving;
}

export const deskActions = createActionGroup({
  source: 'Desk',
  events: {
    Open: props<{ id: string }>(),
    Opened: props<{ stored: StoredJob }>(),
    Missing: emptyProps(),
    /** Fetching it failed; it can be tried again. */
    Unreadable: props<{ message: string }>(),
    Edited: props<{ job: Job; cause: string; stroke: string | null }>(),
    Undo: emptyProps(),
    Redo: emptyProps(),
    Flush: emptyProps(),
    Saved: props<{ job: Job; revision: number }>(),
    'Save Refused': props<{ fault: KeepFault }>(),
    /** Somebody else has saved this job: another tab, or an import. */
    'Theirs Found': props<{ theirs: StoredJob }>(),
    /** A page went away with this unsaved. */
    Rescued: props<{ rescue: Rescue; stored: StoredJob | null }>(),
    'Keep Mine': emptyProps(),
    'Keep Both': props<{ id: string; instead: string }>(),
    'Take Theirs': emptyProps(),
    'Retry Save': emptyProps(),
    'Saved Elsewhere': props<{ id: string; revision: number }>(),
  },
});

const initial: DeskState = {
  job: null,
  kept: null,
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
  kept: stored.job,
  revision: stored.revision,
  opening: 'open',
});

/** Steps back and forth go on from what they have: else to take one's own step back would take theirs back, too. */
const rebased = (jobs: readonly Job[], kept: Job | null, theirs: Job): readonly Job[] =>
  jobs.map((job) => merged(kept, job, theirs).value);

/** The job on the desk put together with what somebody else has saved of it; where both changed a field, whose `first` is stands. */
function joined(state: DeskState, theirs: StoredJob, first: 'mine' | 'theirs'): DeskState {
  if (!state.job) return state;
  const { kept } = state;
  const job = first === 'mine' ? merged(kept, state.job, theirs.job).value : merged(kept, theirs.job, state.job).value;
  return {
    ...state,
    job,
    kept: theirs.job,
    revision: theirs.revision,
    past: rebased(state.past, kept, theirs.job),
    future: rebased(state.future, kept, theirs.job),
    cause: 'Joined with what was saved elsewhere',
    stroke: null,
    saving: same(job, theirs.job) ? { kind: 'clean' } : { kind: 'dirty' },
  };
}

/** Settled by itself where both changed different things; a page without changes of its own just follows. */
function met(state: DeskState, theirs: StoredJob): DeskState {
  if (state.job?.id !== theirs.id || theirs.revision <= state.revision) return state;
  const { conflicts } = merged(state.kept, state.job, theirs.job);
  return conflicts.length > 0
    ? { ...state, saving: { kind: 'conflict', theirs, fields: conflicts } }
    : joined(state, theirs, 'mine');
}

/** A conflict is settled by its own buttons; a fault of the disk by the next save that works. */
const dirtied = (saving: Saving): Saving => (saving.kind === 'conflict' ? saving : { kind: 'dirty' });

export const deskFeature = createFeature({
  name: 'desk',
  reducer: createReducer(
    initial,
    on(deskActions.open, (): DeskState => ({ ...initial, opening: 'loading' })),
    on(deskActions.opened, (_state, { stored }): DeskState => fresh(stored)),
    on(deskActions.unreadable, (): DeskState => ({ ...initial, opening: 'unreadable' })),
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
      return { ...state, kept: job, revision, saving: state.job === job ? { kind: 'clean' } : { kind: 'dirty' } };
    }),
    on(deskActions.saveRefused, (state, { fault }): DeskState => ({ ...state, saving: fault })),
    on(deskActions.theirsFound, (state, { theirs }): DeskState => met(state, theirs)),
    on(deskActions.rescued, (_state, { rescue, stored }): DeskState => {
      const { job, kept, base } = stored ? arrived(rescue, stored) : rescue;
      const left: DeskState = {
        ...initial,
        job,
        kept,
        revision: base,
        opening: 'open',
        saving: { kind: 'dirty' },
        past: kept ? [kept] : [],
      };
      return stored ? met(left, stored) : left;
    }),
    on(deskActions.takeTheirs, (state): DeskState =>
      state.saving.kind === 'conflict' ? joined(state, state.saving.theirs, 'theirs') : state,
    ),
    on(deskActions.keepMine, (state): DeskState =>
      state.saving.kind === 'conflict' ? joined(state, state.saving.theirs, 'mine') : state,
    ),
    on(deskActions.keepBoth, (state, { id }): DeskState =>
      state.job
        ? {
            ...state,
            job: { ...state.job, id, name: `${state.job.name} (my copy)`.slice(0, 160) },
            kept: null,
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
