import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { Collection, Job, LibraryEntry, Movement } from '@esmero/core';
import type { StoredJob } from '@esmero/store';

/** What is kept on this machine besides the job on the desk. */
export interface ShelfState {
  readonly ready: boolean;
  /** False when nothing outlives the tab. */
  readonly durable: boolean;
  readonly library: readonly LibraryEntry[];
  readonly jobs: readonly StoredJob[];
  /** All that moved, oldest first. */
  readonly movements: readonly Movement[];
  readonly problem: string | null;
}

export const shelfActions = createActionGroup({
  source: 'Shelf',
  events: {
    Load: emptyProps(),
    Loaded: props<{ durable: boolean; library: readonly LibraryEntry[]; jobs: readonly StoredJob[]; movements: readonly Movement[] }>(),
    /** What moves on the shelf; counts of towels in the library follow. */
    Post: props<{ movements: readonly Movement[]; entries: readonly LibraryEntry[] }>(),
    'Put Entry': props<{ entry: LibraryEntry }>(),
    'Add Job': props<{ job: Job }>(),
    'Archive Job': props<{ id: string; archived: boolean }>(),
    Merge: props<{ collection: Collection; what: string }>(),
    Merged: props<{ what: string }>(),
    Problem: props<{ message: string }>(),
    'Problem Seen': emptyProps(),
  },
});

const initial: ShelfState = { ready: false, durable: true, library: [], jobs: [], movements: [], problem: null };

export const shelfFeature = createFeature({
  name: 'shelf',
  reducer: createReducer(
    initial,
    on(shelfActions.loaded, (state, { durable, library, jobs, movements }): ShelfState => ({
      ...state,
      ready: true,
      durable,
      library,
      jobs,
      movements,
    })),
    on(shelfActions.problem, (state, { message }): ShelfState => ({ ...state, problem: message })),
    on(shelfActions.problemSeen, (state): ShelfState => ({ ...state, problem: null })),
  ),
});
