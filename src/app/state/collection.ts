import { type EntityState, createEntityAdapter } from '@ngrx/entity';
import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import type { Job, LibraryEntry, Movement } from '@esmero/model';
import { briefOf, entryId } from '@esmero/kept';
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
  /** What was fetched while a write was under way may lack it: fetched again afterwards. */
  readonly stale: boolean;
  readonly conflict: EntryConflict | null;
  readonly problem: string | null;
  /** Why nothing could be fetched; it can be tried again. */
  readonly unreadable: string | null;
}

export const collectionActions = createActionGroup({
  source: 'Collection',
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
    /** To another day. */
    'Move Job': props<{ id: string; date: string }>(),
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
  stale: false,
  conflict: null,
  problem: null,
  unreadable: null,
};

export const collectionFeature = createFeature({
  name: 'shelf',
  reducer: createReducer(
    initial,
    on(collectionActions.loaded, (state, { keeping, library, jobs, movements }): CollectionState => {
      const stale = state.writing > 0;
      const kept = stale && state.ready ? state : { entries: entryAdapter.setAll([...library], state.entries), moves: moveAdapter.setAll([...movements], state.moves) };
      return { ...state, ready: true, keeping, briefs: briefAdapter.setAll([...jobs], state.briefs), entries: kept.entries, moves: kept.moves, stale, unreadable: null };
    }),
    on(collectionActions.unreadable, (state, { message }): CollectionState => ({ ...state, unreadable: message })),
    on(collectionActions.listed, (state, { stored }): CollectionState => {
      const known = state.briefs.entities[stored.id];
      if (!state.ready || known?.revision === stored.revision) return state;
      // Archived or not, it stays: saving does not change that.
      const brief = { ...briefOf(stored), archived: known?.archived ?? stored.archived };
      const others = briefAdapter.removeOne(stored.id, state.briefs);
      return { ...state, briefs: { ids: [stored.id, ...(others.ids as string[])], entities: { ...others.entities, [stored.id]: brief } } };
    }),
    // Shown at once, so that a second tap counts with the first; what could not be kept goes again.
    on(collectionActions.post, (state, { movements }): CollectionState => ({ ...state, moves: moveAdapter.addMany([...movements], state.moves) })),
    on(
      ...[collectionActions.putEntry, collectionActions.deleteEntry, collectionActions.addJob, collectionActions.archiveJobs, collectionActions.deleteJobs, collectionActions.moveJob, collectionActions.rescueAll, collectionActions.post],
      (state): CollectionState => ({ ...state, writing: state.writing + 1 }),
    ),
    on(
      ...[collectionActions.written, collectionActions.posted, collectionActions.problem, collectionActions.entrySaved, collectionActions.entryConflict],
      (state): CollectionState => ({ ...state, writing: Math.max(0, state.writing - 1) }),
    ),
    on(collectionActions.entrySaved, (state, { stored }): CollectionState => ({ ...state, entries: entryAdapter.upsertOne(stored, state.entries) })),
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
