import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { Collection, Job, LibraryEntry, Movement } from '@esmero/core';
import { type StoredBrief, type StoredJob, briefOf } from '@esmero/store';

/** What is kept on this machine besides the job on the desk. */
export interface ShelfState {
  readonly ready: boolean;
  /** False when nothing outlives the tab. */
  readonly durable: boolean;
  readonly library: readonly LibraryEntry[];
  /** In brief, the last changed first. */
  readonly jobs: readonly StoredBrief[];
  /** All that moved, oldest first. */
  readonly movements: readonly Movement[];
  /** Writes that are under way. */
  readonly writing: number;
  /** What was fetched while a write was under way may lack it: fetched again afterwards. */
  readonly stale: boolean;
  readonly problem: string | null;
}

export const shelfActions = createActionGroup({
  source: 'Shelf',
  events: {
    Load: emptyProps(),
    Loaded: props<{ durable: boolean; library: readonly LibraryEntry[]; jobs: readonly StoredBrief[]; movements: readonly Movement[] }>(),
    /** What moves on the shelf; counts of towels in the library follow. */
    Post: props<{ movements: readonly Movement[]; entries: readonly LibraryEntry[] }>(),
    'Put Entry': props<{ entry: LibraryEntry }>(),
    'Add Job': props<{ job: Job }>(),
    'Archive Job': props<{ id: string; archived: boolean }>(),
    /** A job was saved, opened, or found changed. */
    Listed: props<{ stored: StoredJob }>(),
    Merge: props<{ collection: Collection; what: string }>(),
    Posted: emptyProps(),
    Merged: props<{ what: string }>(),
    Problem: props<{ message: string }>(),
    'Problem Seen': emptyProps(),
  },
});

const initial: ShelfState = { ready: false, durable: true, library: [], jobs: [], movements: [], writing: 0, stale: false, problem: null };

const isSame = (p: LibraryEntry, q: LibraryEntry): boolean => p.kind === q.kind && p.item.id === q.item.id;

export const shelfFeature = createFeature({
  name: 'shelf',
  reducer: createReducer(
    initial,
    on(shelfActions.loaded, (state, { durable, library, jobs, movements }): ShelfState => {
      const stale = state.writing > 0;
      const kept = stale && state.ready ? state : { library, movements };
      return { ...state, ready: true, durable, jobs, library: kept.library, movements: kept.movements, stale };
    }),
    on(shelfActions.listed, (state, { stored }): ShelfState => {
      const known = state.jobs.find(({ id }) => id === stored.id);
      if (!state.ready || known?.revision === stored.revision) return state;
      // Put away or not, it stays: saving does not change that.
      const brief = { ...briefOf(stored), archived: known?.archived ?? stored.archived };
      return { ...state, jobs: [brief, ...state.jobs.filter((one) => one !== known)] };
    }),
    // Shown at once, so that a second tap reckons with the first; what could not be kept goes again.
    on(shelfActions.post, (state, { movements, entries }): ShelfState => ({
      ...state,
      movements: [...state.movements, ...movements],
      library: state.library.map((one) => entries.find((entry) => isSame(entry, one)) ?? one),
    })),
    on(
      shelfActions.putEntry,
      shelfActions.addJob,
      shelfActions.archiveJob,
      shelfActions.merge,
      shelfActions.post,
      (state): ShelfState => ({ ...state, writing: state.writing + 1 }),
    ),
    on(shelfActions.merged, shelfActions.posted, shelfActions.problem, (state): ShelfState => ({ ...state, writing: Math.max(0, state.writing - 1) })),
    on(shelfActions.problem, (state, { message }): ShelfState => ({ ...state, problem: message })),
    on(shelfActions.problemSeen, (state): ShelfState => ({ ...state, problem: null })),
  ),
});
