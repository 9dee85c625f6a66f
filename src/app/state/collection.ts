import { type EntityState, createEntityAdapter } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import type { Job, LibraryEntry, Movement } from '@esmero/model';
import { briefOf, entryId } from '@esmero/kept';
import { same, unstamped } from '@esmero/records';
import type { Keeping, StoredBrief, StoredEntry, StoredJob } from '@esmero/store';

/** Two people have changed the same fields of an item: one of them is asked. */
export interface EntryConflict {
  readonly mine: LibraryEntry;
  readonly theirs: StoredEntry;
  readonly fields: readonly string[];
}

/** What is kept on this machine besides the job on the desk. */
export interface CollectionState {
  readonly ready: boolean;
  readonly keeping: Keeping;
  readonly entries: EntityState<StoredEntry>;
  /** In brief, the last changed first. */
  readonly briefs: EntityState<StoredBrief>;
  /** All that moved, oldest first. */
  readonly moves: EntityState<Movement>;
  /** Writes that are under way. */
  readonly writing: number;
  /** Something was written since the last fetch began: what that brings may lack it. */
  readonly touched: boolean;
  /** What is shown may lack something: fetched again once all is written. */
  readonly stale: boolean;
  readonly conflict: EntryConflict | null;
  readonly problem: string | null;
  /** Why nothing could be fetched; it can be tried again. */
  readonly unreadable: string | null;
}

/** What of a job belongs to its day. */
type OfDay = Pick<Job, 'date' | 'site' | 'weather' | 'readings'>;

export const collectionActions = createActionGroup({
  source: 'Collection',
  events: {
    Load: emptyProps(),
    Loaded: props<{
      keeping: Keeping;
      library: readonly StoredEntry[];
      jobs: readonly StoredBrief[];
      movements: readonly Movement[];
    }>(),
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
    /** To another day, with what is true of that day. */
    'Move Job': props<{ id: string; day: OfDay }>(),
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

const entryAdapter = createEntityAdapter<StoredEntry>({ selectId: entryId });
const briefAdapter = createEntityAdapter<StoredBrief>();
const moveAdapter = createEntityAdapter<Movement>();

const initial: CollectionState = {
  ready: false,
  keeping: 'for-good',
  entries: entryAdapter.getInitialState(),
  briefs: briefAdapter.getInitialState(),
  moves: moveAdapter.getInitialState(),
  writing: 0,
  touched: false,
  stale: false,
  conflict: null,
  problem: null,
  unreadable: null,
};

export const collectionFeature = createFeature({
  name: 'shelf',
  reducer: createReducer(
    initial,
    on(collectionActions.load, (state): CollectionState => ({ ...state, touched: state.writing > 0 })),
    on(collectionActions.loaded, (state, { keeping, library, jobs, movements }): CollectionState => {
      if (state.touched && state.ready) return { ...state, stale: true, unreadable: null };
      const [entries, briefs, moves] = [
        entryAdapter.setAll([...library], state.entries),
        briefAdapter.setAll([...jobs], state.briefs),
        moveAdapter.setAll([...movements], state.moves),
      ];
      return { ...state, ready: true, keeping, entries, briefs, moves, stale: state.touched, unreadable: null };
    }),
    on(collectionActions.unreadable, (state, { message }): CollectionState => ({ ...state, unreadable: message })),
    on(collectionActions.listed, (state, { stored }): CollectionState => {
      const known = state.briefs.entities[stored.id];
      if (!state.ready || known?.revision === stored.revision) return state;
      // Archived or not, it stays: saving does not change that.
      const brief = { ...briefOf(stored), archived: known?.archived ?? stored.archived };
      const others = briefAdapter.removeOne(stored.id, state.briefs);
      return {
        ...state,
        touched: true,
        briefs: { ids: [stored.id, ...(others.ids as string[])], entities: { ...others.entities, [stored.id]: brief } },
      };
    }),
    // Shown at once, so that a second tap counts with the first; what could not be kept goes again.
    on(collectionActions.post, (state, { movements }): CollectionState => ({
      ...state,
      moves: moveAdapter.addMany([...movements], state.moves),
    })),
    on(collectionActions.putEntry, (state, { entry }): CollectionState => ({
      ...state,
      entries: entryAdapter.upsertOne(
        { revision: 0, ...unstamped, ...state.entries.entities[entryId(entry)], ...entry } as StoredEntry,
        state.entries,
      ),
    })),
    on(
      ...[
        collectionActions.putEntry,
        collectionActions.deleteEntry,
        collectionActions.addJob,
        collectionActions.archiveJobs,
        collectionActions.deleteJobs,
        collectionActions.moveJob,
        collectionActions.rescueAll,
        collectionActions.post,
      ],
      (state): CollectionState => ({ ...state, writing: state.writing + 1, touched: true }),
    ),
    on(
      ...[
        collectionActions.written,
        collectionActions.posted,
        collectionActions.problem,
        collectionActions.entrySaved,
        collectionActions.entryConflict,
      ],
      (state): CollectionState => ({ ...state, writing: Math.max(0, state.writing - 1) }),
    ),
    on(collectionActions.entrySaved, (state, { stored }): CollectionState => {
      // A change that came since is on its way, and stays in sight.
      if (state.writing > 0) return { ...state, stale: true };
      const shown = state.entries.entities[entryId(stored)];
      // A form that shows the very item goes on with it.
      return {
        ...state,
        entries: entryAdapter.upsertOne(
          shown && same(shown.item, stored.item) ? ({ ...stored, item: shown.item } as StoredEntry) : stored,
          state.entries,
        ),
      };
    }),
    on(collectionActions.entryConflict, (state, { mine, theirs, fields }): CollectionState => ({
      ...state,
      entries: entryAdapter.upsertOne(theirs, state.entries),
      conflict: { mine, theirs, fields },
    })),
    on(collectionActions.conflictSettled, (state): CollectionState => ({ ...state, conflict: null })),
    on(collectionActions.problem, (state, { message }): CollectionState => ({ ...state, problem: message })),
    on(collectionActions.problemSeen, (state): CollectionState => ({ ...state, problem: null })),
  ),
  extraSelectors: ({ selectEntries, selectBriefs, selectMoves }) => ({
    selectLibrary: createSelector(selectEntries, entryAdapter.getSelectors().selectAll),
    selectJobs: createSelector(selectBriefs, briefAdapter.getSelectors().selectAll),
    selectMovements: createSelector(selectMoves, moveAdapter.getSelectors().selectAll),
  }),
});
