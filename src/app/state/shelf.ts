import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { Job, LibraryEntry, Movement } from '@esmero/model';
import { type Keeping, type StoredBrief, type StoredEntry, type StoredJob, briefOf, entryId } from '@esmero/store';

/** Two people have changed the same fields of an item: one of them is asked. */
export interface EntryConflict {
  readonly mine: LibraryEntry;
  readonly theirs: StoredEntry;
  readonly fields: readonly string[];
}

/** What is kept on this machine besides the job on the desk. */
export interface ShelfState {
  readonly ready: boolean;
  readonly keeping: Keeping;
  readonly library: readonly StoredEntry[];
  /** In brief, the last changed first. */
  readonly jobs: readonly StoredBrief[];
  /** All that moved, oldest first. */
  readonly movements: readonly Movement[];
  /** Writes that are under way. */
  readonly writing: number;
  /** What was fetched while a write was under way may lack it: fetched again afterwards. */
  readonly stale: boolean;
  readonly conflict: EntryConflict | null;
  readonly problem: string | null;
  /** Why nothing could be fetched; it can be tried again. */
  readonly unreadable: string | null;
}

export const shelfActions = createActionGroup({
  source: 'Shelf',
  events: {
    Load: emptyProps(),
    Loaded: props<{ keeping: Keeping; library: readonly StoredEntry[]; jobs: readonly StoredBrief[]; movements: readonly Movement[] }>(),
    Unreadable: props<{ message: string }>(),
    /** What moves in the stock. */
    Post: props<{ movements: readonly Movement[] }>(),
    /** @param base the item that the change was made on; null for a new one */
    'Put Entry': props<{ entry: LibraryEntry; base: LibraryEntry | null }>(),
    'Entry Saved': props<{ stored: StoredEntry }>(),
    'Entry Conflict': props<EntryConflict>(),
    'Conflict Settled': emptyProps(),
    'Delete Entry': props<{ entry: LibraryEntry }>(),
    'Add Job': props<{ job: Job }>(),
    'Archive Jobs': props<{ ids: readonly string[]; archived: boolean }>(),
    'Delete Jobs': props<{ ids: readonly string[] }>(),
    /** A job was saved, opened, or found changed. */
    Listed: props<{ stored: StoredJob }>(),
    /** All was deleted underneath: what this page still has is the only copy. */
    'Rescue All': emptyProps(),
    Posted: emptyProps(),
    /** Jobs or items were written; they are fetched again. */
    Written: emptyProps(),
    Problem: props<{ message: string }>(),
    'Problem Seen': emptyProps(),
  },
});

const initial: ShelfState = {
  ready: false,
  keeping: 'for-good',
  library: [],
  jobs: [],
  movements: [],
  writing: 0,
  stale: false,
  conflict: null,
  problem: null,
  unreadable: null,
};

const withEntry = (library: readonly StoredEntry[], stored: StoredEntry): readonly StoredEntry[] => {
  const id = entryId(stored);
  return library.some((one) => entryId(one) === id) ? library.map((one) => (entryId(one) === id ? stored : one)) : [...library, stored];
};

export const shelfFeature = createFeature({
  name: 'shelf',
  reducer: createReducer(
    initial,
    on(shelfActions.loaded, (state, { keeping, library, jobs, movements }): ShelfState => {
      const stale = state.writing > 0;
      const kept = stale && state.ready ? state : { library, movements };
      return { ...state, ready: true, keeping, jobs, library: kept.library, movements: kept.movements, stale, unreadable: null };
    }),
    on(shelfActions.unreadable, (state, { message }): ShelfState => ({ ...state, unreadable: message })),
    on(shelfActions.listed, (state, { stored }): ShelfState => {
      const known = state.jobs.find(({ id }) => id === stored.id);
      if (!state.ready || known?.revision === stored.revision) return state;
      // Archived or not, it stays: saving does not change that.
      const brief = { ...briefOf(stored), archived: known?.archived ?? stored.archived };
      return { ...state, jobs: [brief, ...state.jobs.filter((one) => one !== known)] };
    }),
    // Shown at once, so that a second tap counts with the first; what could not be kept goes again.
    on(shelfActions.post, (state, { movements }): ShelfState => ({ ...state, movements: [...state.movements, ...movements] })),
    on(
      ...[shelfActions.putEntry, shelfActions.deleteEntry, shelfActions.addJob, shelfActions.archiveJobs, shelfActions.deleteJobs, shelfActions.rescueAll, shelfActions.post],
      (state): ShelfState => ({ ...state, writing: state.writing + 1 }),
    ),
    on(
      ...[shelfActions.written, shelfActions.posted, shelfActions.problem, shelfActions.entrySaved, shelfActions.entryConflict],
      (state): ShelfState => ({ ...state, writing: Math.max(0, state.writing - 1) }),
    ),
    on(shelfActions.entrySaved, (state, { stored }): ShelfState => ({ ...state, library: withEntry(state.library, stored) })),
    on(shelfActions.entryConflict, (state, { mine, theirs, fields }): ShelfState => ({
      ...state,
      library: withEntry(state.library, theirs),
      conflict: { mine, theirs, fields },
    })),
    on(shelfActions.conflictSettled, (state): ShelfState => ({ ...state, conflict: null })),
    on(shelfActions.problem, (state, { message }): ShelfState => ({ ...state, problem: message })),
    on(shelfActions.problemSeen, (state): ShelfState => ({ ...state, problem: null })),
  ),
});
